import type { Metadata } from 'next';
import { suppliers } from '@/server/part-stock';
import { samplesNamed } from '@/server/samples';
import { loadShop } from '@/server/shop';
import { PartsPage } from '@/ui/shop/PartsPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.parts };

export default function Page() {
  return <PartsPage units={loadShop().units} suppliers={suppliers()} samples={samplesNamed()} />;
}
