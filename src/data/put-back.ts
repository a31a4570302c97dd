import { chmodSync, copyFileSync, rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import { erasedAt, eraseArcher, overwriteErased } from './erase';
import { OWNER_ALONE } from './backup';
import { addEvent } from './events';
import { archerById } from './jobs';
import { migrate } from './migrate';

/** What was entered in the shop and is in a backup not, or stands there otherwise. */
export interface SinceBackup {
  readonly entries: number;
  /** Jobs these entries are of. */
  readonly jobs: number;
}

const SINCE = 'FROM live.job_event WHERE id NOT IN (SELECT id FROM main.job_event)';

/** Opens a backup beside the shop’s file, named `live` there; both are only read. */
export function sinceBackup(backup: string, live: string): SinceBackup {
  const db = new Database(backup, { readonly: true, fileMustExist: true });
  try {
    db.prepare('ATTACH ? AS live').run(live);
    return db
      .prepare(`SELECT count(*) AS entries, count(DISTINCT job_id) AS jobs ${SINCE}`)
      .get() as SinceBackup;
  } finally {
    db.close();
  }
}

export interface PutBackBy {
  /** UTC instant. */
  readonly at: string;
  readonly who: string;
  readonly tablet: string;
  /** As the entry on every job that changes by it reads. */
  readonly summary: string;
}

/** Who may do what is no part of what is put back; each after what it names. */
const STAY = ['person', 'tablet', 'pairing', 'session', 'maker', 'wrong_try', 'program'];

/**
 * Makes what a backup holds ready to stand in a running shop’s place, at `coming`. It takes from the shop’s file
 * what no backup brings back: who may do what from which tablet, what was written down of what was done, and who was
 * erased since. Numbers go on where the shop’s stood, so that no tablet takes something new for what it knows.
 */
export function makeReady(backup: string, live: string, coming: string, by: PutBackBy): void {
  rmSync(coming, { force: true });
  copyFileSync(backup, coming);
  chmodSync(coming, OWNER_ALONE);
  const db = new Database(coming, { fileMustExist: true });
  try {
    db.pragma('foreign_keys = ON');
    migrate(db);
    db.prepare('ATTACH ? AS live').run(live);
    db.transaction(() => {
      keepPeople(db);
      keepWritten(db);
      keepErased(db);
      keepCounting(db, by);
    })();
    db.exec('DETACH live');
    overwriteErased(db);
    // One file, without a log beside it.
    db.pragma('journal_mode = DELETE');
  } finally {
    db.close();
  }
}

function keepPeople(db: Database.Database): void {
  for (const table of [...STAY].reverse()) db.exec(`DELETE FROM main.${table}`);
  for (const table of STAY) db.exec(`INSERT INTO main.${table} SELECT * FROM live.${table}`);
}

/** Lines since; an entry whose own row is not put back is told in words. */
function keepWritten(db: Database.Database): void {
  db.exec(`INSERT INTO main.audit (id, at, who, tablet, kind, what, detail_json)
    SELECT line.id, line.at, line.who, line.tablet, line.kind,
      CASE WHEN line.event_id IS NULL THEN line.what ELSE coalesce(event.summary, '') END, line.detail_json
    FROM live.audit AS line LEFT JOIN live.job_event AS event ON event.id = line.event_id
    WHERE line.id NOT IN (SELECT id FROM main.audit) ORDER BY line.id`);
}

/** Who was erased since the backup was made stays so. */
function keepErased(db: Database.Database): void {
  const gone = db
    .prepare('SELECT id, erased_at AS at FROM live.archer WHERE erased_at IS NOT NULL')
    .all() as { id: string; at: string }[];
  for (const { id, at } of gone) {
    const archer = archerById(db, id);
    if (archer && erasedAt(db, id) === null) eraseArcher(db, archer, at);
  }
}

/** A job that stands otherwise than a tablet knows it has a newer version, and says why. */
function keepCounting(db: Database.Database, by: PutBackBy): void {
  db.exec(`UPDATE main.sqlite_sequence SET seq = max(seq, coalesce(
    (SELECT live.seq FROM live.sqlite_sequence AS live WHERE live.name = sqlite_sequence.name), 0))`);
  db.exec(`UPDATE main.touched SET times = 1 + max(times, coalesce(
    (SELECT live.times FROM live.touched AS live WHERE live.what = touched.what), 0))`);
  const changed = db
    .prepare(
      `SELECT job.id, max(job.version, live.version) + 1 AS version FROM main.job AS job
       JOIN live.job AS live ON live.id = job.id
       WHERE job.version <> live.version OR job.id IN (SELECT job_id ${SINCE})`,
    )
    .all() as { id: string; version: number }[];
  const count = db.prepare('UPDATE main.job SET version = ? WHERE id = ?');
  for (const { id: jobId, version } of changed) {
    count.run(version, jobId);
    addEvent(db, { ...by, jobId, version, stage: '', inverse: null });
  }
}

/** Number of the last line of what was done: by it two files are told apart that were one. */
export function lastWritten(path: string): number {
  const db = new Database(path, { readonly: true, fileMustExist: true });
  try {
    return db.prepare('SELECT coalesce(max(id), 0) FROM audit').pluck().get() as number;
  } finally {
    db.close();
  }
}

/** Where what is made ready lies, beside the shop’s file. */
export const comingOf = (live: string): string => `${live}.coming`;

/** What was made ready and never laid over, because the program was ended: nobody needs it. */
export function dropComing(live: string): void {
  for (const tail of ['', '-journal', '-wal', '-shm'])
    rmSync(comingOf(live) + tail, { force: true });
}

const ALL_PAGES = 0x7fffffff;

/**
 * Lays what was made ready over the shop’s file, in one transaction of it: whoever reads goes on reading what stood
 * there, and reads the new after it; a program that is ended in the middle leaves the old.
 */
export async function layOver(coming: string, live: string): Promise<void> {
  const db = new Database(coming, { readonly: true, fileMustExist: true });
  try {
    await db.backup(live, { progress: () => ALL_PAGES });
  } finally {
    db.close();
  }
}
