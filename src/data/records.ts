import type { LeftOut } from '@/contracts/history';
import type { EntryRow } from '@/core/entries';
import { fitReadingOf, isFitKey, type FitReading } from '@/core/job';
import type { Exception } from '@/core/route';
import { type Reading, type ReadingData, isSetupKey } from '@/core/setup';
import type { StepTimes } from '@/core/bench';
import type { Db } from './db';
import { json, plain, RowMapping } from './mapping';

/** A row of the readings table before it has its number. */
export interface NewReading extends EntryRow {
  readonly jobId: string;
  readonly who: string;
  readonly at: string;
  readonly data: ReadingData | null;
  /** Where it stands among the others, where it was sent later than it was taken; null for its own number. */
  readonly place: number | null;
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
    place: plain('place'),
  },
);

/** Adds a row and returns its number. A reading it takes back is named by where it stands. */
export function appendReading(
  db: Db,
  reading: Omit<NewReading, 'data' | 'place'> & Partial<NewReading>,
): number {
  const { jobId, retracts } = reading;
  readingMapping.insert(db, {
    data: null,
    place: null,
    ...reading,
    retracts: retracts === null ? null : numberAt(db, jobId, retracts),
    seq: null,
  });
  return (db.prepare('SELECT last_insert_rowid() AS seq').get() as { seq: number }).seq;
}

interface Link {
  readonly seq: number;
  readonly retracts: number;
}

/**
 * Readings of a job that were taken back or left out. A retraction that was itself taken back counts no
 * more, and so on: each points to an earlier row, so one pass from the newest settles them all.
 */
function retracted(db: Db, jobId: string): ReadonlySet<number> {
  const links = db
    .prepare(
      'SELECT seq, retracts FROM reading WHERE job_id = ? AND retracts IS NOT NULL ORDER BY seq DESC',
    )
    .all(jobId) as Link[];
  const gone = new Set<number>();
  for (const { seq, retracts } of links) if (!gone.has(seq)) gone.add(retracts);
  return gone;
}

/** The number of the reading that stands at a place. */
const numberAt = (db: Db, jobId: string, place: number): number =>
  Number.isInteger(place)
    ? place
    : (db
        .prepare('SELECT seq FROM reading WHERE job_id = ? AND place = ?')
        .pluck()
        .get(jobId, place) as number);

/** Room for some thirty thousand between two numbers; a step that has no rounding. */
const STEP = 2 ** -16;

/**
 * A free place before a reading, after everything else that stands before it.
 *
 * @param before where that reading stands.
 */
export function placeBefore(db: Db, jobId: string, before: number): number {
  const under = Math.ceil(before) - 1;
  const last = db
    .prepare(
      `SELECT max(place) FROM reading
       WHERE job_id = @jobId AND place > @under AND place < @before`,
    )
    .pluck()
    .get({ jobId, under, before }) as number | null;
  const place = (last ?? under) + STEP;
  return place < before ? place : ((last ?? under) + before) / 2;
}

/** A reading that came after one of the job, as it stands. */
export interface Since extends NewReading {
  readonly seq: number;
  /** It was neither taken back nor left out. */
  readonly counts: boolean;
}

/** Readings that came after a number, in the order they came. */
export function readingsSince(db: Db, jobId: string, seq: number): Since[] {
  const gone = retracted(db, jobId);
  return db
    .prepare(
      `SELECT ${readingMapping.columnList} FROM reading
       WHERE job_id = ? AND seq > ? AND retracts IS NULL ORDER BY seq`,
    )
    .all(jobId, seq)
    .map((row) => readingMapping.fromRow(row))
    .map((row) => ({ ...row, seq: row.seq!, counts: !gone.has(row.seq!) }));
}

/** Readings somebody left out with a reason, newest first. */
export function leftOutReadings(db: Db, jobId: string): LeftOut[] {
  const gone = retracted(db, jobId);
  return (
    db
      .prepare(
        `SELECT out.seq AS by, reading.seq AS seq, reading.key AS key, reading.entered AS entered,
           out.entered AS reason, out.who AS who, out.at AS at
         FROM reading AS out JOIN reading ON reading.seq = out.retracts
         WHERE out.job_id = ? AND out.method = 'discarded' ORDER BY out.seq DESC`,
      )
      .all(jobId) as LeftOut[]
  ).filter(({ by }) => !gone.has(by));
}

export const lastSeq = (db: Db, jobId: string): number =>
  (
    db.prepare('SELECT coalesce(max(seq), 0) AS seq FROM reading WHERE job_id = ?').get(jobId) as {
      seq: number;
    }
  ).seq;

/** Readings that count, of the present bow or of the archer. */
function standingRows(db: Db, jobId: string, bowId: string | null) {
  const gone = retracted(db, jobId);
  return db
    .prepare(
      `SELECT ${readingMapping.columnList} FROM reading
       WHERE job_id = @jobId AND retracts IS NULL AND (bow_id IS NULL OR bow_id = @bowId)
       ORDER BY coalesce(place, seq)`,
    )
    .all({ jobId, bowId })
    .map((row) => readingMapping.fromRow(row))
    .filter(({ seq }) => !gone.has(seq!));
}

export function readingsOf(db: Db, jobId: string, bowId: string | null) {
  const readings: Reading[] = [];
  const fitReadings: FitReading[] = [];
  for (const row of standingRows(db, jobId, bowId)) {
    const { key, si, si2, choice, entered, method, who, at, data } = row;
    const seq = row.place ?? row.seq!;
    if (isSetupKey(key)) {
      readings.push({ seq, key, si, si2, choice, entered, method, who, at, data });
    } else if (isFitKey(key)) {
      fitReadings.push(fitReadingOf({ seq, key, si, si2, choice, data, entered, who, at }));
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

export const withdrawException = (db: Db, jobId: string, id: number, withdrawn = true) =>
  db
    .prepare('UPDATE step_exception SET withdrawn = ? WHERE job_id = ? AND id = ?')
    .run(withdrawn ? 1 : 0, jobId, id);

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
      'SELECT step_id AS id, count, sum_log_min AS sumLogMin FROM step_time_sum ORDER BY step_id',
    )
    .all() as { id: string; count: number; sumLogMin: number }[];
  return Object.fromEntries(rows.map(({ id, count, sumLogMin }) => [id, { count, sumLogMin }]));
}
