import Papa from 'papaparse';
import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { FORMULA } from '@/contracts/csv';
import { db, type Db } from '@/data/db';
import { addBows } from '@/data/bow-pieces';
import type { OrderRow } from '@/core/job';
import { openOrders } from '@/data/orders';
import { addToShelf, shelfOrderById, takeShelfOrder, type ShelfOrder } from '@/data/reservations';
import { invalid, Problem } from './problem';

export const orders = (from: Db = db()): OrderRow[] => openOrders(from);

/** What has not been ordered yet, as a file for the suppliers: equal parts in one line. */
export function ordersFile(from: Db = db()): string {
  const open = orders(from).filter(({ orderedAt }) => orderedAt === null);
  const lines = new Map<string, { row: OrderRow; count: number; tickets: number[] }>();
  for (const row of open) {
    const key = `${row.supplier} ${row.itemId ?? row.label}`;
    const line = lines.get(key) ?? { row, count: 0, tickets: [] };
    line.count += row.count;
    line.tickets.push(row.number);
    lines.set(key, line);
  }
  return `${Papa.unparse(
    {
      fields: ['supplier', 'id', 'part', 'count', 'tickets', 'wanted_by'],
      data: [...lines.values()].map(({ row, count, tickets }) => [
        row.supplier,
        row.itemId ?? '',
        row.label,
        count,
        tickets.join(' '),
        row.promisedDay ?? '',
      ]),
    },
    { newline: '\n', escapeFormulae: FORMULA },
  )}\n`;
}

const checkSettled = checker(
  Type.Object(
    {
      state: Type.Unsafe<'arrived' | 'calledOff'>({
        type: 'string',
        enum: ['arrived', 'calledOff'],
      }),
    },
    { additionalProperties: false },
  ),
);

/** What was ordered for the shelf has come and is counted, or comes no more. Once: then it is gone. */
export function settleShelfOrder(id: string, body: unknown, on: Db = db()): ShelfOrder {
  const checked = checkSettled(body);
  if (!checked.ok) throw invalid(checked.errors);
  const run = on.transaction(() => {
    const order = /^\d{1,15}$/.test(id) ? shelfOrderById(on, Number(id)) : null;
    if (!order)
      throw new Problem(404, 'not-found', 'There is no such order', {
        detail:
          'There is no such order any more: on another screen it has come or was called off, or its number was mistyped.',
      });
    takeShelfOrder(on, order, order.count);
    if (checked.value.state === 'arrived') {
      if (order.kind === 'bow') addBows(on, order.itemId, order.count);
      else addToShelf(on, order);
    }
    return order;
  });
  return run.immediate();
}
