import type { Metadata } from 'next';
import { loadShop } from '@/server/shop';
import { ShopPage } from '@/ui/shop/ShopPage';

export const metadata: Metadata = { title: 'Shop settings' };

export default function Page() {
  return <ShopPage shop={loadShop()} />;
}
