import type { Metadata } from 'next';
import { loadShop } from '@/server/shop';
import { ShopPage } from '@/ui/shop/ShopPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.shop };

export default function Page() {
  return <ShopPage shop={loadShop()} />;
}
