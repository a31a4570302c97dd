import type { OrderRow } from '@/core/job';
import type { Counted } from '@/core/kit';
import type { Db } from './db';

/** What jobs wait for and what comes for the shelf, by supplier. */
export function openOrders(db: Db): OrderRow[] {
  const rows = [...partOrders(db), ...bowOrders(db), ...ordersForTheShelf(db)];
  const key = ({ supplier, promisedDay, number }: OrderRow) =>
    [supplier, promisedDay ?? '9999', String(number).padStart(9, '0')].join('\u0000');
  return rows.sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
}

type PartRow = OrderRow & { readonly shortJson: string };

/** Of a built set each part that is short has its own line. */
function partOrders(db: Db): OrderRow[] {
  const rows = db
    .prepare(
      `SELECT NULL AS orderId, job.id AS jobId, job.version, job.number, archer.name AS archer,
              job.promised_day AS promisedDay, job_part.slot, job_part.item_id AS itemId,
              job_part.label, 1 AS count, coalesce(catalogue_item.supplier, '') AS supplier,
              job_part.arrives_day AS arrivesDay, job_part.ordered_at AS orderedAt,
              job_part.arrived_at AS arrivedAt, job_part.short_json AS shortJson
       FROM job_part
       JOIN job ON job.id = job_part.job_id
       JOIN archer ON archer.id = job.archer_id
       LEFT JOIN catalogue_item ON catalogue_item.id = job_part.item_id
       WHERE job_part.handed_over = 0 AND job_part.owned = 0 AND job_part.arrives_day IS NOT NULL
       ORDER BY job_part.slot`,
    )
    .all() as PartRow[];
  return rows.flatMap(({ shortJson, ...row }) => {
    if (row.itemId !== null) return [row];
    const short = JSON.parse(shortJson) as Counted[];
    if (short.length === 0) return [row];
    return short.map(({ itemId, count }) => ({ ...row, ...partNamed(db, itemId), itemId, count }));
  });
}

const bowOrders = (db: Db): OrderRow[] =>
  db
    .prepare(
      `SELECT NULL AS orderId, job.id AS jobId, job.version, job.number, archer.name AS archer,
              job.promised_day AS promisedDay, 'bow' AS slot, bow.id AS itemId,
              bow.maker || ' ' || bow.model || ', ' || bow.hand AS label, 1 AS count, bow.supplier,
              job_bow.arrives_day AS arrivesDay, job_bow.ordered_at AS orderedAt,
              job_bow.arrived_at AS arrivedAt
       FROM job_bow
       JOIN job ON job.id = job_bow.job_id
       JOIN archer ON archer.id = job.archer_id
       JOIN bow ON bow.id = job_bow.bow_id
       WHERE job_bow.handed_over = 0 AND job_bow.arrives_day IS NOT NULL`,
    )
    .all() as OrderRow[];

export const ordersForTheShelf = (db: Db): OrderRow[] =>
  db
    .prepare(
      `SELECT stock_order.id AS orderId, NULL AS jobId, NULL AS version, ticket AS number,
              '' AS archer, NULL AS promisedDay, kind AS slot, item_id AS itemId,
              coalesce(bow.maker || ' ' || bow.model || ', ' || bow.hand,
                       part.maker || ' ' || part.model, item_id) AS label,
              stock_order.count, coalesce(bow.supplier, part.supplier, '') AS supplier,
              stock_order.arrives_day AS arrivesDay, ordered_at AS orderedAt, NULL AS arrivedAt
       FROM stock_order
       LEFT JOIN bow ON kind = 'bow' AND bow.id = item_id
       LEFT JOIN catalogue_item AS part ON kind = 'part' AND part.id = item_id`,
    )
    .all() as OrderRow[];

const partNamed = (db: Db, itemId: string) =>
  (db
    .prepare(`SELECT maker || ' ' || model AS label, supplier FROM catalogue_item WHERE id = ?`)
    .get(itemId) as { label: string; supplier: string } | undefined) ?? {
    label: itemId,
    supplier: '',
  };
