import { isFitKey, type FitReading, type JobEvent, type SheetHead } from '@/core/job';
import type { Exception, Reading, ReadingData, StepTimes } from '@/core/route';
import { isSetupKey } from '@/core/route';
import type { Db } from './db';
import { json, plain, RowMapping } from './mapping';

/** A row of the readings table before it has its number. */
export interface NewReading {
  readonly jobId: string;
  readonly bowId: string | null;
  readonly key: string;
  readonly si: number | null;
  readonly si2: number | null;
  readonly choice: string | null;
  readonly entered: string;
  readonly method: string;
  readonly who: string;
  readonly at: string;
  readonly retracts: number | null;
  readonly data: ReadingData | null;
}

export const readingMapping = new RowMapping<NewReading & { readonly seq: number | null }>(
  'reading',
  {
    seq: plain('seq'),
    jobId: plain('jobId'),
    bowId: plain('bowId'),
    key: plain('key'),
    si: plain('si'),
    si2: plain('si2'),
    choice: plain('choice'),
    entered: plain('entered'),
    method: plain('method'),
    who: plain('who'),
    at: plain('at'),
    retracts: plain('retracts'),
    data: json('data'),
  },
);

/** Adds a row and returns its number. */
export function appendReading(
  db: Db,
  reading: Omit<NewReading, 'data'> & Partial<NewReading>,
): number {
  readingMapping.insert(db, { data: null, ...reading, seq: null });
  return (db.prepare('SELECT last_insert_rowid() AS seq').get() as { seq: number }).seq;
}

/**
 * A reading stands that is no retraction and was not retracted; a retraction that was itself taken
 * back counts no more.
 */
const STANDS = `retracts IS NULL AND seq NOT IN (
  SELECT gone.retracts FROM reading AS gone
  WHERE gone.job_id = @jobId AND gone.retracts IS NOT NULL AND gone.seq NOT IN (
    SELECT back.retracts FROM reading AS back
    WHERE back.job_id = @jobId AND back.retracts IS NOT NULL))`;

/** A reading that stands, by its number; null where there is none of this job. */
export function readingBySeq(db: Db, jobId: string, seq: number) {
  const row = db
    .prepare(
      `SELECT ${readingMapping.columnList} FROM reading
       WHERE job_id = @jobId AND seq = @seq AND ${STANDS}`,
    )
    .get({ jobId, seq });
  return row ? readingMapping.fromRow(row) : null;
}

export const lastSeq = (db: Db, jobId: string): number =>
  (
    db.prepare('SELECT coalesce(max(seq), 0) AS seq FROM reading WHERE job_id = ?').get(jobId) as {
      seq: number;
    }
  ).seq;

/** Readings that count, of the present bow or of the archer. */
function standingRows(db: Db, jobId: string, bowId: string | null) {
  return db
    .prepare(
      `SELECT ${readingMapping.columnList} FROM reading
       WHERE job_id = @jobId AND ${STANDS} AND (bow_id IS NULL OR bow_id = @bowId)
       ORDER BY seq`,
    )
    .all({ jobId, bowId })
    .map((row) => readingMapping.fromRow(row));
}

export function readingsOf(db: Db, jobId: string, bowId: string | null) {
  const readings: Reading[] = [];
  const fitReadings: FitReading[] = [];
  for (const row of standingRows(db, jobId, bowId)) {
    const { seq, key, si, si2, choice, entered, method, who, at, data } = row;
    if (isSetupKey(key)) {
      readings.push({ seq: seq!, key, si, si2, choice, entered, method, who, at, data });
    } else if (isFitKey(key)) {
      const trial = key === 'weightTrial';
      fitReadings.push({
        seq: seq!,
        key,
        si,
        si2,
        outcome: trial ? (choice as FitReading['outcome']) : null,
        choice: trial ? null : choice,
        entered,
        who,
        at,
      });
    }
  }
  return { readings, fitReadings };
}

export function addException(db: Db, jobId: string, exception: Exception): number {
  const { stepId, reason, who, at, seq } = exception;
  return Number(
    db
      .prepare(
        `INSERT INTO step_exception (job_id, step_id, reason, who, at, after_seq)
         VALUES (?, ?, ?, ?, ?, ?)`,
      )
      .run(jobId, stepId, reason, who, at, Math.floor(seq)).lastInsertRowid,
  );
}

export const withdrawException = (db: Db, jobId: string, id: number) =>
  db.prepare('UPDATE step_exception SET withdrawn = 1 WHERE job_id = ? AND id = ?').run(jobId, id);

/** Half a step after the last reading it knew of: later readings void it, earlier ones do not. */
export const exceptionsOf = (db: Db, jobId: string): Exception[] =>
  db
    .prepare(
      `SELECT step_id AS stepId, reason, who, at, after_seq + 0.5 AS seq FROM step_exception
       WHERE job_id = ? AND withdrawn = 0 ORDER BY id`,
    )
    .all(jobId) as Exception[];

export const acknowledgedOf = (db: Db, jobId: string): string[] =>
  db
    .prepare('SELECT caution_id FROM acknowledgement WHERE job_id = ? ORDER BY at')
    .pluck()
    .all(jobId) as string[];

export function acknowledge(db: Db, jobId: string, cautionId: string, who: string, at: string) {
  db.prepare('INSERT OR IGNORE INTO acknowledgement VALUES (?, ?, ?, ?)').run(
    jobId,
    cautionId,
    who,
    at,
  );
}

export const unacknowledge = (db: Db, jobId: string, cautionId: string) =>
  db
    .prepare('DELETE FROM acknowledgement WHERE job_id = ? AND caution_id = ?')
    .run(jobId, cautionId);

export interface NewEvent {
  readonly jobId: string;
  readonly version: number;
  readonly at: string;
  readonly who: string;
  readonly summary: string;
  readonly inverse: unknown;
}

export const addEvent = (db: Db, event: NewEvent) =>
  db
    .prepare(
      `INSERT INTO job_event (job_id, version, at, who, summary, inverse_json)
       VALUES (?, ?, ?, ?, ?, ?)`,
    )
    .run(
      event.jobId,
      event.version,
      event.at,
      event.who,
      event.summary,
      event.inverse === null ? null : JSON.stringify(event.inverse),
    );

/** Newest first. */
export const eventsOf = (db: Db, jobId: string, limit = 30): JobEvent[] =>
  (
    db
      .prepare(
        `SELECT id, version, at, who, summary, inverse_json IS NOT NULL AND undone = 0 AS canUndo
         FROM job_event WHERE job_id = ? ORDER BY id DESC LIMIT ?`,
      )
      .all(jobId, limit) as (Omit<JobEvent, 'canUndo'> & { canUndo: number })[]
  ).map((event) => ({ ...event, canUndo: event.canUndo === 1 }));

export const eventsSince = (db: Db, jobId: string, version: number): JobEvent[] =>
  eventsOf(db, jobId, 100).filter((event) => event.version > version);

/** The newest entry that can be taken back, with the command that does it. */
export function undoable(db: Db, jobId: string) {
  const row = db
    .prepare(
      `SELECT id, summary, inverse_json AS inverse FROM job_event
       WHERE job_id = ? AND inverse_json IS NOT NULL AND undone = 0 ORDER BY id DESC LIMIT 1`,
    )
    .get(jobId) as { id: number; summary: string; inverse: string } | undefined;
  return row ? { ...row, inverse: JSON.parse(row.inverse) as unknown } : null;
}

export const markUndone = (db: Db, eventId: number) =>
  db.prepare('UPDATE job_event SET undone = 1 WHERE id = ?').run(eventId);

export const sheetsOf = (db: Db, jobId: string): SheetHead[] =>
  db
    .prepare('SELECT revision, at, who FROM sheet WHERE job_id = ? ORDER BY revision DESC')
    .all(jobId) as SheetHead[];

export function insertSheet(db: Db, jobId: string, head: SheetHead, document: unknown) {
  db.prepare('INSERT INTO sheet VALUES (?, ?, ?, ?, ?)').run(
    jobId,
    head.revision,
    head.at,
    head.who,
    JSON.stringify(document),
  );
}

/** The document as it was made; null for an unknown job or revision. */
export function sheetDocument(db: Db, jobId: string, revision: number): unknown {
  const row = db
    .prepare('SELECT document_json AS document FROM sheet WHERE job_id = ? AND revision = ?')
    .get(jobId, revision) as { document: string } | undefined;
  return row ? (JSON.parse(row.document) as unknown) : null;
}

/** How long a step took; added, never changed. */
export const addStepTime = (
  db: Db,
  row: { jobId: string; stepId: string; seconds: number; who: string; at: string },
) =>
  db
    .prepare(
      'INSERT INTO step_time (job_id, step_id, seconds, who, at) VALUES (@jobId, @stepId, @seconds, @who, @at)',
    )
    .run(row);

/** What the shop's clock saw of every step: how often, and the sum of the logarithms of its minutes. */
export function stepTimes(db: Db): StepTimes {
  const rows = db
    .prepare(
      'SELECT step_id AS id, count(*) AS count, sum(ln(seconds / 60)) AS sumLogMin FROM step_time GROUP BY step_id',
    )
    .all() as { id: string; count: number; sumLogMin: number }[];
  return Object.fromEntries(rows.map(({ id, count, sumLogMin }) => [id, { count, sumLogMin }]));
}
