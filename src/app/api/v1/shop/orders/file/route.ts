import { otherMethods } from '@/server/http';
import { ordersFile } from '@/server/orders';

/** What has not been ordered yet, as CSV. */
export const GET = () =>
  new Response(ordersFile(), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="orders.csv"',
      'cache-control': 'no-store',
    },
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
