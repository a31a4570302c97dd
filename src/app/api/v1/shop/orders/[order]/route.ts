import { byOf } from '@/server/access/asker';
import { noted } from '@/server/access/note';
import { answer, otherMethods, readJson } from '@/server/http';
import { settleShelfOrder } from '@/server/orders';

type Params = { params: Promise<{ order: string }> };

/** An order for the shelf has come, or was called off. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => {
    const { order } = await params;
    const body = await readJson(request);
    return noted(
      byOf(request),
      'stock',
      ({ kind, itemId, count }) => `Order ${order} settled: ${count} × ${kind} ${itemId}`,
      () => settleShelfOrder(order, body),
      body,
    );
  });

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
