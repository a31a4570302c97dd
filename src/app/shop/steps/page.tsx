import type { Metadata } from 'next';
import { loadShop, loadStepTimes } from '@/server/shop';
import { StepsPage } from '@/ui/shop/StepsPage';

export const metadata: Metadata = { title: 'Steps of the bench' };

export default function Page() {
  return <StepsPage shop={loadShop()} times={loadStepTimes()} />;
}
