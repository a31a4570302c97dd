import type { Metadata } from 'next';
import { suppliers } from '@/server/part-stock';
import { loadShop } from '@/server/shop';
import { PartsPage } from '@/ui/shop/PartsPage';

export const metadata: Metadata = { title: 'Parts of the shop' };

export default function Page() {
  return <PartsPage units={loadShop().units} suppliers={suppliers()} />;
}
