import type { Metadata } from 'next';
import { consumables, loadShop, loadStepTimes } from '@/server/shop';
import { StepsPage } from '@/ui/shop/StepsPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.steps };

export default function Page() {
  return <StepsPage shop={loadShop()} times={loadStepTimes()} consumables={consumables()} />;
}
