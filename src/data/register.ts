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

/** What is looked for first: its rows alone, so that nothing else is read of those passed over. */
const FOUND = 'FROM left_bow CROSS JOIN job ON job.id = left_bow.job_id';
const BY_JOB = 'FROM job CROSS JOIN left_bow ON left_bow.job_id = job.id';

const NEWEST = 'left_at DESC, left_bow.rowid DESC';

const WISHES: Readonly<
  Record<
    RegisterWish['of'],
    { readonly from: string; readonly where: string; readonly order: string }
  >
> = {
  all: { from: FOUND, where: LEFT, order: NEWEST },
  due: {
    from: BY_JOB,
    where: 'job.come_back_day <= @day AND job.delivered_at IS NOT NULL',
    order: 'job.come_back_day, job.number',
  },
  part: {
    from: BY_JOB,
    where: `${LEFT} AND job.id IN (SELECT job_id FROM part_on_bow WHERE item_id = @itemId)`,
    order: NEWEST,
  },
  bow: { from: BY_JOB, where: `${LEFT} AND job.bow_id = @bowId`, order: NEWEST },
  jobs: {
    from: BY_JOB,
    where: `${LEFT} AND job.id IN (SELECT value FROM json_each(@jobIds))`,
    order: NEWEST,
  },
};

const bound = (wish: RegisterWish) =>
  wish.of === 'jobs' ? { ...wish, jobIds: JSON.stringify(wish.jobIds) } : wish;

export function registerCount(db: Db, wish: RegisterWish): number {
  // Of the whole register by two indices: it is asked for with every page of it.
  const sql =
    wish.of === 'all'
      ? `SELECT (SELECT count(*) FROM job WHERE delivered_at IS NOT NULL)
           + (SELECT count(*) FROM job WHERE delivered_at IS NULL AND visit_json <> 'null')`
      : `SELECT count(*) ${WISHES[wish.of].from} WHERE ${WISHES[wish.of].where}`;
  return db.prepare(sql).pluck().get(bound(wish)) as number;
}

export function registerPage(
  db: Db,
  wish: RegisterWish,
  { limit, offset }: { readonly limit: number; readonly offset: number },
): RegisterHead[] {
  const { from, where, order } = WISHES[wish.of];
  return db
    .prepare(
      `WITH found AS MATERIALIZED (
         SELECT job.id, row_number() OVER () AS place FROM (
           SELECT job.id ${from} WHERE ${where} ORDER BY ${order} LIMIT @limit OFFSET @offset
         ) AS job)
       SELECT ${KEPT}, job.number, coalesce(archer.name, '') AS name,
         coalesce(archer.minor, 0) AS minor, coalesce(archer.guardian_name, '') AS guardianName,
         coalesce(archer.guardian_phone, '') AS guardianPhone, coalesce(archer.phone, '') AS phone,
         coalesce(archer.email, '') AS email, bow.maker, bow.model, job_bow.condition,
         job.delivered_at AS deliveredAt, job.come_back_day AS comeBackDay,
         (SELECT count(*) FROM sheet WHERE sheet.job_id = job.id) AS sheets,
         (SELECT count(DISTINCT visit) FROM job_event
          WHERE job_event.job_id = job.id AND ends_visit = 1) - 1
           + (job.delivered_at IS NULL) AS visits,
         (SELECT at FROM reading WHERE reading.job_id = job.id AND key = 'newString'
            AND retracts IS NULL AND NOT EXISTS
              (SELECT 1 FROM reading AS back
               WHERE back.job_id = job.id AND back.retracts = reading.seq)
          ORDER BY seq DESC LIMIT 1) AS stringAt
       FROM found JOIN job ON job.id = found.id JOIN left_bow ON left_bow.job_id = job.id
       LEFT JOIN archer ON archer.id = job.archer_id
       LEFT JOIN bow ON bow.id = job.bow_id LEFT JOIN job_bow ON job_bow.job_id = job.id
       ORDER BY found.place`,
    )
    .all({ ...bound(wish), limit, offset }) as RegisterHead[];
}

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
