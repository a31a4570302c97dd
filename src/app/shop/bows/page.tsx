import type { Metadata } from 'next';
import { allBows } from '@/server/stock';
import { loadShop } from '@/server/shop';
import { BowStockPage } from '@/ui/shop/BowStockPage';

export const metadata: Metadata = { title: 'Bows of the shop' };

export default function Page() {
  return <BowStockPage bows={allBows()} units={loadShop().units} />;
}
