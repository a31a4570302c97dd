import type { Db } from './db';

/** How often a job, or what all jobs share, was changed; counted by the tables themselves. */
export const touchedTimes = (db: Db, what: string): number =>
  (db.prepare('SELECT times FROM touched WHERE what = ?').pluck().get(what) as
    number | undefined) ?? 0;

/** Writes what nobody reads, to see whether the file can be written: the same value again would not be. */
export const tryWriting = (db: Db): void =>
  db
    .transaction(() => {
      db.prepare(
        "INSERT INTO touched VALUES ('health', 1) ON CONFLICT (what) DO UPDATE SET times = times + 1",
      ).run();
    })
    .immediate();
