import type { Db } from './db';
import { OPEN } from './jobs';

/** A job by what can be read of it whatever else is wrong. */
export interface JobHead {
  readonly id: string;
  readonly number: number;
  /** Empty where the archer is not to be found. */
  readonly name: string;
  /** How often anything of it was changed. */
  readonly touched: number;
}

/** Every open job, promised first; those without a day last. */
export const openHeads = (db: Db): JobHead[] =>
  db
    .prepare(
      `SELECT job.id, job.number, coalesce(archer.name, '') AS name, coalesce(times, 0) AS touched
       FROM job LEFT JOIN archer ON archer.id = job.archer_id LEFT JOIN touched ON what = job.id
       WHERE ${OPEN}
       ORDER BY promised_day IS NULL, promised_day, number`,
    )
    .all() as JobHead[];

/** A delivered job as a row of a list. */
export interface DeliveredHead {
  readonly jobId: string;
  readonly number: number;
  readonly name: string;
  readonly hand: string;
  readonly minor: 0 | 1;
  readonly guardianName: string;
  /** Maker and model; null where the bow is not of the shop’s list. */
  readonly maker: string | null;
  readonly model: string | null;
  readonly promisedDay: string | null;
  readonly appointmentAt: string | null;
  readonly place: string;
  readonly deliveredAt: string;
  /** The day the archer is asked for next. */
  readonly comeBackDay: string | null;
}

const DELIVERED = `SELECT job.id AS jobId, job.number, coalesce(archer.name, '') AS name,
  coalesce(archer.hand, '') AS hand, coalesce(archer.minor, 0) AS minor,
  coalesce(archer.guardian_name, '') AS guardianName, bow.maker, bow.model,
  job.promised_day AS promisedDay, job.appointment_at AS appointmentAt, job.place,
  job.delivered_at AS deliveredAt, job.come_back_day AS comeBackDay
  FROM job LEFT JOIN archer ON archer.id = job.archer_id LEFT JOIN bow ON bow.id = job.bow_id`;

/** A page of the delivered jobs, the newest first. */
export const deliveredPage = (db: Db, limit: number, offset = 0): DeliveredHead[] =>
  db
    .prepare(
      `${DELIVERED} WHERE delivered_at IS NOT NULL ORDER BY delivered_at DESC, number DESC
       LIMIT ? OFFSET ?`,
    )
    .all(limit, offset) as DeliveredHead[];

/** Who is asked back between two days, the earliest first. */
export const askedBack = (db: Db, from: string, to: string, limit: number): DeliveredHead[] =>
  db
    .prepare(
      `${DELIVERED} WHERE come_back_day BETWEEN ? AND ? AND delivered_at IS NOT NULL
       ORDER BY come_back_day LIMIT ?`,
    )
    .all(from, to, limit) as DeliveredHead[];

/** A bow or part a job waits for. */
interface Awaited {
  readonly day: string;
  readonly label: string;
  readonly name: string;
  readonly jobId: string;
}

/** Everything jobs wait for, also what has not come by the handover; by day. */
export const allAwaited = (db: Db): Awaited[] =>
  db
    .prepare(
      `SELECT arrives_day AS day, label, archer.name, job.id AS jobId
       FROM (SELECT job_id, arrives_day, bow.maker || ' ' || bow.model AS label, 0 AS part, '' AS slot
             FROM job_bow JOIN bow ON bow.id = job_bow.bow_id
             WHERE handed_over = 0 AND arrives_day IS NOT NULL
             UNION ALL
             SELECT job_id, arrives_day, label, 1, slot FROM job_part
             WHERE handed_over = 0 AND arrives_day IS NOT NULL)
       JOIN job ON job.id = job_id JOIN archer ON archer.id = job.archer_id
       ORDER BY arrives_day, promised_day IS NULL, promised_day, number, part, slot`,
    )
    .all() as Awaited[];

/** Growing archers whose draw length was measured from an instant on, each with their newest job; nobody where that came to nothing. */
export const growingMeasured = (
  db: Db,
  { since, bornFrom }: { readonly since: string; readonly bornFrom: string },
): { readonly archerId: string; readonly jobId: string }[] =>
  db
    .prepare(
      `SELECT archer_id AS archerId, id AS jobId FROM job
       WHERE closed_json = 'null' AND number IN (
         SELECT max(newest.number) FROM job AS newest WHERE newest.archer_id IN (
           SELECT archer.id FROM reading
           JOIN job ON job.id = reading.job_id JOIN archer ON archer.id = job.archer_id
           WHERE reading.key IN ('armSpan', 'wallToMouth', 'markedArrow', 'fittingBow')
             AND reading.at >= @since
             AND coalesce(archer.birth_day >= @bornFrom, archer.age_band IN ('under12', '12to15')))
         GROUP BY newest.archer_id)`,
    )
    .all({ since, bornFrom }) as { archerId: string; jobId: string }[];
