import type { LeftOut } from '@/contracts/history';
import { isFitKey, type FitReading, type JobEvent, type SheetHead } from '@/core/job';
import type { Exception } from '@/core/route';
import { type Reading, type ReadingData, isSetupKey } from '@/core/setup';
import type { StepTimes } from '@/core/bench';
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

/** A reading that stands, by its number; null where there is none of this job. */
export function readingBySeq(db: Db, jobId: string, seq: number) {
  const row = db
    .prepare(
      `SELECT ${readingMapping.columnList} FROM reading
       WHERE job_id = ? AND seq = ? AND retracts IS NULL`,
    )
    .get(jobId, seq);
  return row && !retracted(db, jobId).has(seq) ? readingMapping.fromRow(row) : null;
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
       ORDER BY seq`,
    )
    .all({ jobId, bowId })
    .map((row) => readingMapping.fromRow(row))
    .filter(({ seq }) => !gone.has(seq!));
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
        hand: data?.kind === 'trial' ? data.hand : null,
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

interface NewEvent {
  readonly jobId: string;
  readonly version: number;
  readonly at: string;
  readonly who: string;
  readonly stage: string;
  readonly summary: string;
  readonly inverse: unknown;
  readonly key?: string;
}

/** Adds an entry and returns its number. */
export const addEvent = (db: Db, event: NewEvent): number =>
  Number(
    db
      .prepare(
        `INSERT INTO job_event (job_id, version, at, who, stage, summary, inverse_json, key)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
      )
      .run(
        event.jobId,
        event.version,
        event.at,
        event.who,
        event.stage,
        event.summary,
        event.inverse === null ? null : JSON.stringify(event.inverse),
        event.key ?? null,
      ).lastInsertRowid,
  );

/** Whether a command with this key was kept already. */
export const hasCommand = (db: Db, jobId: string, key: string): boolean =>
  db.prepare('SELECT 1 FROM job_event WHERE job_id = ? AND key = ?').pluck().get(jobId, key) === 1;

/** An entry under a signed sheet is not taken back: the sheet says what was done. */
const AFTER_SHEET = `job_event.at > coalesce(
  (SELECT max(sheet.at) FROM sheet WHERE sheet.job_id = job_event.job_id), '')`;
const EVENT = `SELECT id, version, at, who, stage, summary,
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
