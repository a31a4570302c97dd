import type { Metadata } from 'next';
import { orders } from '@/server/orders';
import { loadShop } from '@/server/shop';
import { OrdersPage } from '@/ui/orders/OrdersPage';

export const metadata: Metadata = { title: 'To order' };

export default function Page() {
  return <OrdersPage orders={orders()} people={loadShop().people} />;
}
