import Papa from 'papaparse';
import { db, type Db } from '@/data/db';
import { ordersOfOpenJobs, type OrderRow } from '@/data/reservations';

export type { OrderRow } from '@/data/reservations';

export const orders = (from: Db = db()): OrderRow[] => ordersOfOpenJobs(from);

/** What has not been ordered yet, as a file for the suppliers: equal parts in one line. */
export function ordersFile(from: Db = db()): string {
  const open = orders(from).filter(({ orderedAt }) => orderedAt === null);
  const lines = new Map<string, { row: OrderRow; tickets: number[] }>();
  for (const row of open) {
    const key = `${row.supplier} ${row.itemId ?? row.label}`;
    const line = lines.get(key) ?? { row, tickets: [] };
    line.tickets.push(row.number);
    lines.set(key, line);
  }
  return `${Papa.unparse(
    {
      fields: ['supplier', 'id', 'part', 'count', 'tickets', 'wanted_by'],
      data: [...lines.values()].map(({ row, tickets }) => [
        row.supplier,
        row.itemId ?? '',
        row.label,
        tickets.length,
        tickets.join(' '),
        row.promisedDay ?? '',
      ]),
    },
    { newline: '\n' },
  )}\n`;
}
