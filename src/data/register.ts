import type { BowCondition } from '@/core/bow';
import type { Db } from './db';

/** A bow that left, as the register keeps it. */
interface LeftBow {
  readonly jobId: string;
  readonly serial: string | null;
  /** UTC instants. */
  readonly firstLeftAt: string;
  readonly leftAt: string;
  /** The day its newest sheet asks the archer for, YYYY-MM-DD. */
  readonly askedDay: string | null;
  /** Told at earlier visits together, and since it left last. */
  readonly shotsBefore: number;
  readonly shotsSince: number;
}

/** The same as a row of the register. */
export interface RegisterHead extends LeftBow {
  readonly number: number;
  readonly name: string;
  readonly minor: 0 | 1;
  readonly guardianName: string;
  readonly guardianPhone: string;
  readonly phone: string;
  readonly email: string;
  readonly maker: string | null;
  readonly model: string | null;
  readonly condition: BowCondition | null;
  /** Null while it is back in the shop. */
  readonly deliveredAt: string | null;
  readonly comeBackDay: string | null;
  readonly sheets: number;
  /** How often it was back. */
  readonly visits: number;
  /** Instant the newest string or cable was put on here; null where none was. */
  readonly stringAt: string | null;
}

/** Which bows of the register are wanted. */
export type RegisterWish =
  | { readonly of: 'all' }
  /** To be looked at by that day. */
  | { readonly of: 'due'; readonly day: string }
  | { readonly of: 'part'; readonly itemId: string }
  | { readonly of: 'bow'; readonly bowId: string }
  | { readonly of: 'jobs'; readonly jobIds: readonly string[] };

const KEPT = `left_bow.job_id AS jobId, left_bow.serial, first_left_at AS firstLeftAt, left_at AS leftAt,
  asked_day AS askedDay, shots_before AS shotsBefore, shots_since AS shotsSince`;

/** Handed over, or handed over once and back for a visit; not where the first handover was taken back. */
const LEFT = `(job.delivered_at IS NOT NULL OR job.visit_json <> 'null')`;

const FROM = `FROM left_bow JOIN job ON job.id = left_bow.job_id
  LEFT JOIN archer ON archer.id = job.archer_id
  LEFT JOIN bow ON bow.id = job.bow_id LEFT JOIN job_bow ON job_bow.job_id = job.id`;

const WHERE: Readonly<Record<RegisterWish['of'], string>> = {
  all: LEFT,
  due: 'job.come_back_day <= @day AND job.delivered_at IS NOT NULL',
  part: `${LEFT} AND job.id IN (SELECT job_id FROM part_on_bow WHERE item_id = @itemId)`,
  bow: `${LEFT} AND job.bow_id = @bowId`,
  jobs: `${LEFT} AND job.id IN (SELECT value FROM json_each(@jobIds))`,
};

const ORDER: Readonly<Record<RegisterWish['of'], string>> = {
  all: 'left_at DESC, number DESC',
  due: 'job.come_back_day, number',
  part: 'left_at DESC, number DESC',
  bow: 'left_at DESC, number DESC',
  jobs: 'left_at DESC, number DESC',
};

const bound = (wish: RegisterWish) =>
  wish.of === 'jobs' ? { ...wish, jobIds: JSON.stringify(wish.jobIds) } : wish;

export const registerCount = (db: Db, wish: RegisterWish): number =>
  db.prepare(`SELECT count(*) ${FROM} WHERE ${WHERE[wish.of]}`).pluck().get(bound(wish)) as number;

export const registerPage = (
  db: Db,
  wish: RegisterWish,
  { limit, offset }: { readonly limit: number; readonly offset: number },
): RegisterHead[] =>
  db
    .prepare(
      `SELECT ${KEPT}, job.number, coalesce(archer.name, '') AS name,
         coalesce(archer.minor, 0) AS minor, coalesce(archer.guardian_name, '') AS guardianName,
         coalesce(archer.guardian_phone, '') AS guardianPhone, coalesce(archer.phone, '') AS phone,
         coalesce(archer.email, '') AS email, bow.maker, bow.model, job_bow.condition,
         job.delivered_at AS deliveredAt, job.come_back_day AS comeBackDay,
         (SELECT count(*) FROM sheet WHERE sheet.job_id = job.id) AS sheets,
         (SELECT count(*) FROM job_event WHERE job_event.job_id = job.id AND ends_visit = 1) - 1
           + (job.delivered_at IS NULL) AS visits,
         (SELECT at FROM reading WHERE reading.job_id = job.id AND key = 'newString'
            AND retracts IS NULL AND NOT EXISTS
              (SELECT 1 FROM reading AS back
               WHERE back.job_id = job.id AND back.retracts = reading.seq)
          ORDER BY seq DESC LIMIT 1) AS stringAt
       ${FROM} WHERE ${WHERE[wish.of]} ORDER BY ${ORDER[wish.of]} LIMIT @limit OFFSET @offset`,
    )
    .all({ ...bound(wish), limit, offset }) as RegisterHead[];

/** Null for a bow that never left. */
export const leftBow = (db: Db, jobId: string): LeftBow | null =>
  (db.prepare(`SELECT ${KEPT} FROM left_bow WHERE job_id = ?`).get(jobId) as LeftBow | undefined) ??
  null;

/** Jobs whose bow left under that number, the newest first. */
export const jobsOfSerial = (
  db: Db,
  serial: string,
): { readonly jobId: string; readonly number: number }[] =>
  db
    .prepare(
      `SELECT job.id AS jobId, job.number FROM left_bow JOIN job ON job.id = left_bow.job_id
       WHERE serial = ? AND ${LEFT} ORDER BY left_at DESC LIMIT 5`,
    )
    .all(serial) as { jobId: string; number: number }[];

/** As the archer tells it, since it left last. */
export const setShots = (db: Db, jobId: string, shots: number) =>
  db.prepare('UPDATE left_bow SET shots_since = ? WHERE job_id = ?').run(shots, jobId);

/** Asked for another day, without a sheet that says so. */
export const askFor = (db: Db, jobId: string, day: string) =>
  db.prepare('UPDATE left_bow SET asked_day = ? WHERE job_id = ?').run(day, jobId);

/** Parts that are on bows that left, of these ids, with how many. */
export const onBows = (db: Db, itemIds: readonly string[]): ReadonlyMap<string, number> =>
  new Map(
    (
      db
        .prepare(
          `SELECT item_id AS id, count(DISTINCT part_on_bow.job_id) AS count
           FROM part_on_bow JOIN left_bow ON left_bow.job_id = part_on_bow.job_id
           WHERE item_id IN (SELECT value FROM json_each(?)) GROUP BY item_id`,
        )
        .all(JSON.stringify(itemIds)) as { id: string; count: number }[]
    ).map(({ id, count }) => [id, count]),
  );
