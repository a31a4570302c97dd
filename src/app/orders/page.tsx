import type { Metadata } from 'next';
import { orders } from '@/server/orders';
import { OrdersPage } from '@/ui/orders/OrdersPage';

export const metadata: Metadata = { title: 'To order' };

export default function Page() {
  return <OrdersPage orders={orders()} />;
}
