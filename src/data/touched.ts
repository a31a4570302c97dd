import type { Db } from './db';

/** How often a job, or what all jobs share, was changed; counted by the tables themselves. */
export const touchedTimes = (db: Db, what: string): number =>
  (db.prepare('SELECT times FROM touched WHERE what = ?').pluck().get(what) as
    number | undefined) ?? 0;
