import type { Db } from './db';

/**
 * How many of each part the open jobs have put aside from stock, but for one job: what is ordered for
 * a job, brought along, or handed over already is not among them.
 */
export const reservedByOthers = (db: Db, jobId: string): Map<string, number> =>
  new Map(
    (
      db
        .prepare(
          `SELECT job_part.item_id AS id, count(*) AS count
           FROM job_part JOIN job ON job.id = job_part.job_id
           WHERE job_part.item_id IS NOT NULL AND job_part.owned = 0
             AND job_part.arrives_day IS NULL AND job.delivered_at IS NULL AND job.id <> ?
           GROUP BY job_part.item_id`,
        )
        .all(jobId) as { id: string; count: number }[]
    ).map(({ id, count }) => [id, count]),
  );

/** Who has put this part aside last, for a word to whoever comes second. */
export const lastReservedBy = (db: Db, itemId: string, jobId: string): number | null =>
  (db
    .prepare(
      `SELECT job.number FROM job_part JOIN job ON job.id = job_part.job_id
       WHERE job_part.item_id = ? AND job_part.owned = 0 AND job_part.arrives_day IS NULL
         AND job.delivered_at IS NULL AND job.id <> ?
       ORDER BY job_part.rowid DESC LIMIT 1`,
    )
    .pluck()
    .get(itemId, jobId) as number | undefined) ?? null;

/** One of each leaves the shop; a count never goes below nothing. */
export function takeFromStock(db: Db, itemIds: readonly string[]): void {
  const take = db.prepare('UPDATE catalogue_item SET stock = stock - 1 WHERE id = ? AND stock > 0');
  for (const id of itemIds) take.run(id);
}

export interface OrderRow {
  readonly jobId: string;
  readonly version: number;
  readonly number: number;
  readonly archer: string;
  readonly promisedDay: string | null;
  readonly slot: string;
  readonly itemId: string | null;
  readonly label: string;
  readonly supplier: string;
  readonly deliveryDays: number;
  readonly arrivesDay: string;
  readonly orderedAt: string | null;
  readonly arrivedAt: string | null;
}

/** What open jobs wait for, by supplier. */
export const ordersOfOpenJobs = (db: Db): OrderRow[] =>
  db
    .prepare(
      `SELECT job.id AS jobId, job.version, job.number, archer.name AS archer,
              job.promised_day AS promisedDay, job_part.slot, job_part.item_id AS itemId,
              job_part.label, coalesce(catalogue_item.supplier, '') AS supplier,
              coalesce(catalogue_item.delivery_days, 0) AS deliveryDays,
              job_part.arrives_day AS arrivesDay, job_part.ordered_at AS orderedAt,
              job_part.arrived_at AS arrivedAt
       FROM job_part
       JOIN job ON job.id = job_part.job_id
       JOIN archer ON archer.id = job.archer_id
       LEFT JOIN catalogue_item ON catalogue_item.id = job_part.item_id
       WHERE job_part.arrives_day IS NOT NULL AND job_part.owned = 0 AND job.delivered_at IS NULL
       ORDER BY supplier, job.promised_day IS NULL, job.promised_day, job.number, job_part.slot`,
    )
    .all() as OrderRow[];
