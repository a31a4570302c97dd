import { type JobEvent } from '@/core/job';
import type { Db } from './db';

interface NewEvent {
  readonly jobId: string;
  readonly version: number;
  readonly at: string;
  readonly who: string;
  /** Where it was made; empty where that is not known. */
  readonly tablet?: string;
  readonly stage: string;
  readonly summary: string;
  readonly inverse: unknown;
  readonly key?: string;
  /** It hands the bow over: what comes after it is another visit. Or it takes that back. */
  readonly visit?: 'ends' | 'reopens';
}

/** The visit an entry belongs to: that of the one before it, the next where that one ended it. */
function visitOf(db: Db, { jobId, visit }: NewEvent): number {
  if (visit === 'reopens') {
    const ended = db
      .prepare(
        `UPDATE job_event SET ends_visit = 0 WHERE id =
           (SELECT max(id) FROM job_event WHERE job_id = ? AND ends_visit = 1) RETURNING visit`,
      )
      .pluck()
      .get(jobId) as number | undefined;
    if (ended !== undefined) return ended;
  }
  return (
    (db
      .prepare('SELECT visit + ends_visit FROM job_event WHERE job_id = ? ORDER BY id DESC LIMIT 1')
      .pluck()
      .get(jobId) as number | undefined) ?? 1
  );
}

/** Adds an entry and returns its number. */
export const addEvent = (db: Db, event: NewEvent): number =>
  Number(
    db
      .prepare(
        `INSERT INTO job_event
           (job_id, version, at, who, tablet, stage, summary, inverse_json, key, visit, ends_visit)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      )
      .run(
        event.jobId,
        event.version,
        event.at,
        event.who,
        event.tablet ?? '',
        event.stage,
        event.summary,
        event.inverse === null ? null : JSON.stringify(event.inverse),
        event.key ?? null,
        visitOf(db, event),
        event.visit === 'ends' ? 1 : 0,
      ).lastInsertRowid,
  );

/** The entry that was kept with this key; null where none was. */
export const entryOfKey = (db: Db, jobId: string, key: string): number | null =>
  (db.prepare('SELECT id FROM job_event WHERE job_id = ? AND key = ?').pluck().get(jobId, key) as
    number | undefined) ?? null;

/** Whether a command with this key was kept already. */
export const hasCommand = (db: Db, jobId: string, key: string): boolean =>
  entryOfKey(db, jobId, key) !== null;

/** Entries of a job after a version: those sent by this outbox, and those of everybody else. */
export function entriesSince(
  db: Db,
  jobId: string,
  { version, outbox }: { readonly version: number; readonly outbox: string },
): { readonly own: readonly unknown[]; readonly others: readonly unknown[] } {
  const rows = db
    .prepare(
      `SELECT inverse_json AS inverse, key FROM job_event
       WHERE job_id = ? AND version > ? AND inverse_json IS NOT NULL AND undone = 0 ORDER BY id`,
    )
    .all(jobId, version) as { inverse: string; key: string | null }[];
  const of = (own: boolean) =>
    rows
      .filter(({ key }) => (key ?? '').startsWith(outbox) === own)
      .map(({ inverse }) => JSON.parse(inverse) as unknown);
  return { own: of(true), others: of(false) };
}

/** An entry under a signed sheet is not taken back: the sheet says what was done. */
const AFTER_SHEET = `job_event.at > coalesce(
  (SELECT max(sheet.at) FROM sheet WHERE sheet.job_id = job_event.job_id), '')`;
const EVENT = `SELECT id, version, at, who, stage, summary, visit,
  inverse_json IS NOT NULL AND undone = 0 AND ${AFTER_SHEET} AS canUndo,
  redo_json IS NOT NULL AND undone = 1 AND ${AFTER_SHEET} AS canRedo
  FROM job_event WHERE job_id = @jobId`;

type EventRow = Omit<JobEvent, 'canUndo' | 'canRedo'> & { canUndo: number; canRedo: number };
const toEvent = (event: EventRow): JobEvent => ({
  ...event,
  canUndo: event.canUndo === 1,
  canRedo: event.canRedo === 1,
});

/** Newest first. */
export const eventsOf = (db: Db, jobId: string, limit = 30): JobEvent[] =>
  (db.prepare(`${EVENT} ORDER BY id DESC LIMIT @limit`).all({ jobId, limit }) as EventRow[]).map(
    toEvent,
  );

/** A page of the whole history, newest first: entries older than `before` that hold the words. */
export const eventPage = (
  db: Db,
  jobId: string,
  { words, before, limit }: { words: string; before: number | null; limit: number },
): JobEvent[] =>
  (
    db
      .prepare(
        `${EVENT} AND (@before IS NULL OR id < @before)
         AND (instr(lower(summary), lower(@words)) > 0 OR instr(lower(who), lower(@words)) > 0)
         ORDER BY id DESC LIMIT @limit`,
      )
      .all({ jobId, words, before, limit }) as EventRow[]
  ).map(toEvent);

/** The newest entry of another job that answered this of the archer. */
export function archerEntry(
  db: Db,
  archerId: string,
  notOf: string,
  field: string,
): JobEvent | null {
  const row = db
    .prepare(
      `SELECT job_event.id, job_event.version, job_event.at, job_event.who, job_event.stage,
              job_event.summary, job_event.visit, 0 AS canUndo, 0 AS canRedo
       FROM job_event JOIN job ON job.id = job_event.job_id
       WHERE job.archer_id = ? AND job.id <> ?
         AND json_type(job_event.inverse_json, '$.archer.' || ?) IS NOT NULL
       ORDER BY job_event.id DESC LIMIT 1`,
    )
    .get(archerId, notOf, field) as EventRow | undefined;
  return row ? toEvent(row) : null;
}

/** The job that was opened with this key; null where none was. */
export const openedWith = (db: Db, key: string): string | null =>
  (db.prepare('SELECT job_id FROM job_event WHERE version = 1 AND key = ?').pluck().get(key) as
    string | undefined) ?? null;

export const eventsSince = (db: Db, jobId: string, version: number): JobEvent[] =>
  eventsOf(db, jobId, 100).filter((event) => event.version > version);

/** An entry with what takes it back and what brings it again. */
export interface Reversible extends JobEvent {
  readonly inverse: unknown;
  readonly redo: unknown;
}

function reversible(db: Db, jobId: string, where: string, id: number | null): Reversible | null {
  const row = db
    .prepare(
      `${EVENT.replace('SELECT id,', 'SELECT inverse_json AS inverse, redo_json AS redo, id,')} ${where}`,
    )
    .get({ jobId, id }) as (EventRow & { inverse: string; redo: string | null }) | undefined;
  if (!row) return null;
  const parsed = (text: string | null) => (text === null ? null : (JSON.parse(text) as unknown));
  return { ...toEvent(row), inverse: parsed(row.inverse), redo: parsed(row.redo) };
}

/** An entry by its number; null where this job has none. */
export const eventById = (db: Db, jobId: string, id: number) =>
  reversible(db, jobId, 'AND id = @id', id);

/** The newest entry that can be taken back; none under a signed sheet. */
export const undoable = (db: Db, jobId: string) =>
  reversible(
    db,
    jobId,
    `AND inverse_json IS NOT NULL AND undone = 0 AND ${AFTER_SHEET} AND @id IS NULL
     ORDER BY id DESC LIMIT 1`,
    null,
  );

/** The entry taken back last, while nothing else was entered since. */
export const redoable = (db: Db, jobId: string) =>
  reversible(
    db,
    jobId,
    `AND redo_json IS NOT NULL AND undone = 1 AND ${AFTER_SHEET} AND @id IS NULL
     AND NOT EXISTS (SELECT 1 FROM job_event AS later WHERE later.job_id = @jobId
       AND later.id > job_event.undone_by AND later.inverse_json IS NOT NULL)
     ORDER BY undone_by DESC LIMIT 1`,
    null,
  );

/** Entries after one that still stand and can be taken back themselves, oldest first. */
export const laterEntries = (db: Db, jobId: string, id: number): Reversible[] =>
  (
    db
      .prepare(
        `SELECT id FROM job_event
         WHERE job_id = ? AND id > ? AND inverse_json IS NOT NULL AND undone = 0 ORDER BY id`,
      )
      .pluck()
      .all(jobId, id) as number[]
  ).map((later) => eventById(db, jobId, later)!);

export const markUndone = (db: Db, eventId: number, by: number, redo: unknown) =>
  db
    .prepare('UPDATE job_event SET undone = 1, undone_by = ?, redo_json = ? WHERE id = ?')
    .run(by, JSON.stringify(redo), eventId);

export const markRedone = (db: Db, eventId: number, inverse: unknown) =>
  db
    .prepare(
      'UPDATE job_event SET undone = 0, undone_by = NULL, redo_json = NULL, inverse_json = ? WHERE id = ?',
    )
    .run(JSON.stringify(inverse), eventId);
