import type { Metadata } from 'next';
import { allBows } from '@/server/stock';
import { singleBows } from '@/server/bow-pieces';
import { loadShop } from '@/server/shop';
import { BowStockPage } from '@/ui/shop/BowStockPage';

export const metadata: Metadata = { title: 'Bows of the shop' };

export default function Page() {
  return <BowStockPage bows={allBows()} pieces={singleBows()} units={loadShop().units} />;
}
