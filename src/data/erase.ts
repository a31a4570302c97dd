import {
  deepWithoutNames,
  erasedArcher,
  erasedJob,
  namesOf,
  quoteWithoutPerson,
  sheetWithoutPerson,
  withoutNames,
  type HeldOfArcher,
} from '@/core/erase';
import { CLOSED_ENTRY, VISIT_KINDS, type Archer, type Job } from '@/core/job';
import type { Db } from './db';
import { jobById, jobsOfArcher, OPEN, updateArcher, updateJob } from './jobs';

/** How much is held of somebody. */
export function heldOfArcher(db: Db, archerId: string): HeldOfArcher {
  const count = (table: string) =>
    db
      .prepare(
        `SELECT count(*) FROM ${table} JOIN job ON job.id = ${table}.job_id WHERE job.archer_id = ?`,
      )
      .pluck()
      .get(archerId) as number;
  return {
    readings: count('reading'),
    entries: count('job_event'),
    sheets: count('sheet'),
    quotes: count('quote'),
    payments: count('payment'),
    photos: count('photo'),
    traces: count('aim_shot'),
  };
}

/** When somebody was erased, UTC instant; null while they are known. */
export const erasedAt = (db: Db, archerId: string): string | null =>
  (db.prepare('SELECT erased_at FROM archer WHERE id = ?').pluck().get(archerId) as
    string | null | undefined) ?? null;

/** How many were erased: tablets that knew of fewer forget the pages they kept. */
export const erasedCount = (db: Db): number =>
  db.prepare('SELECT count(*) FROM archer WHERE erased_at IS NOT NULL').pluck().get() as number;

/** Somebody who was not here for long. */
export interface LongGone {
  readonly archerId: string;
  readonly name: string;
  /** UTC instant of the newest job: opened or handed over. */
  readonly lastAt: string;
}

/** Whoever was here last before an instant, the longest ago first; who has an open job is not among them. */
export const longGone = (db: Db, before: string, limit: number): LongGone[] =>
  db
    .prepare(
      `SELECT archer.id AS archerId, archer.name,
         max(max(job.created_at, coalesce(job.delivered_at, ''),
           coalesce(job.closed_json ->> 'at', ''))) AS lastAt
       FROM job JOIN archer ON archer.id = job.archer_id WHERE archer.erased_at IS NULL
       GROUP BY job.archer_id
       HAVING lastAt < @before AND total(${OPEN}) = 0
       ORDER BY lastAt LIMIT @limit`,
    )
    .all({ before, limit }) as LongGone[];

/** Documents of a job made without the person; what does not change is not written. */
function rewriteDocuments(
  db: Db,
  table: 'sheet' | 'quote',
  jobId: string,
  rewrite: (document: Readonly<Record<string, unknown>>) => unknown,
): void {
  const rows = db
    .prepare(`SELECT revision, document_json AS text FROM ${table} WHERE job_id = ?`)
    .all(jobId) as { revision: number; text: string }[];
  const write = db.prepare(
    `UPDATE ${table} SET document_json = ? WHERE job_id = ? AND revision = ?`,
  );
  for (const { revision, text } of rows) {
    const next = JSON.stringify(rewrite(JSON.parse(text) as Readonly<Record<string, unknown>>));
    if (next !== text) write.run(next, jobId, revision);
  }
}

interface EventText {
  readonly id: number;
  readonly summary: string;
  readonly inverse: string | null;
  readonly redo: string | null;
}

const eventTexts = (db: Db, jobId: string) =>
  db
    .prepare(
      'SELECT id, summary, inverse_json AS inverse, redo_json AS redo FROM job_event WHERE job_id = ?',
    )
    .all(jobId) as EventText[];

const TAKEN_BACK = /^(Taken back|Brought again): /;

/** Entries keep what was done; what would bring the person back goes. */
function eraseEntries(db: Db, jobId: string, names: readonly string[]): void {
  const write = db.prepare(
    'UPDATE job_event SET summary = ?, inverse_json = NULL, redo_json = NULL WHERE id = ?',
  );
  for (const { id, summary } of eventTexts(db, jobId)) {
    // Why it was back, or came to nothing, in the archer's own words: that it was stays.
    const told = [...VISIT_KINDS.map(({ name }) => name), CLOSED_ENTRY].find((name) =>
      summary.replace(TAKEN_BACK, '').startsWith(`${name}: `),
    );
    const bare = told && summary.slice(0, summary.indexOf(told) + told.length);
    write.run(bare ?? withoutNames(summary, names), id);
  }
}

/** Another one's job that was made like one of these names it: its words and its sheets lose the name alone. */
function eraseFromLike(db: Db, jobIds: readonly string[], names: readonly string[]): void {
  const others = db
    .prepare(
      `SELECT id FROM job WHERE like_json ->> '$.sheet.jobId' IN (SELECT value FROM json_each(?))`,
    )
    .pluck()
    .all(JSON.stringify(jobIds)) as string[];
  const bare = (text: string | null) =>
    text === null ? null : JSON.stringify(deepWithoutNames(JSON.parse(text) as unknown, names));
  const write = db.prepare(
    'UPDATE job_event SET summary = ?, inverse_json = ?, redo_json = ? WHERE id = ?',
  );
  for (const id of others.filter((other) => !jobIds.includes(other))) {
    const job = jobById(db, id)!;
    updateJob(db, { ...job, like: deepWithoutNames(job.like, names) });
    for (const { id: event, summary, inverse, redo } of eventTexts(db, id))
      write.run(withoutNames(summary, names), bare(inverse), bare(redo), event);
    db.prepare('INSERT OR IGNORE INTO erasing VALUES (?)').run(id);
    rewriteDocuments(db, 'sheet', id, (document) => deepWithoutNames(document, names));
  }
}

/** What was told of a job in words of one's own and is repeated in its entries. */
function freeWords(db: Db, { id, visit }: Job): string[] {
  const column = (sql: string) => db.prepare(sql).pluck().all(id) as (string | null)[];
  return [
    visit?.words ?? '',
    ...column("SELECT document_json ->> '$.visit.words' FROM sheet WHERE job_id = ?"),
    ...column('SELECT words FROM photo WHERE job_id = ?'),
  ].filter((words): words is string => Boolean(words));
}

/** Takes a person out of everything; what the bow was made by stays. To be run in a transaction. */
export function eraseArcher(db: Db, archer: Archer, at: string): void {
  const names = namesOf(archer);
  const jobs = jobsOfArcher(db, archer.id);
  const ids = jobs.map(({ id }) => id);
  for (const id of ids) db.prepare('INSERT OR IGNORE INTO erasing VALUES (?)').run(id);
  updateArcher(db, erasedArcher(archer));
  db.prepare('UPDATE archer SET erased_at = ? WHERE id = ?').run(at, archer.id);
  for (const job of jobs) {
    const words = [...names, ...freeWords(db, job)];
    updateJob(db, erasedJob(job, names));
    rewriteDocuments(db, 'sheet', job.id, (document) => sheetWithoutPerson(document, names));
    rewriteDocuments(db, 'quote', job.id, (document) => quoteWithoutPerson(document, names));
    eraseEntries(db, job.id, words);
    erasePhotos(db, job.id);
    const signed = db
      .prepare('SELECT id, reason FROM step_exception WHERE job_id = ?')
      .all(job.id) as { id: number; reason: string }[];
    for (const { id, reason } of signed)
      db.prepare('UPDATE step_exception SET reason = ? WHERE id = ?').run(
        withoutNames(reason, names),
        id,
      );
  }
  eraseFromLike(db, ids, names);
  db.prepare('DELETE FROM erasing').run();
  db.prepare("INSERT OR REPLACE INTO setting VALUES (?, 'true')").run(OVERWRITE);
}

const OVERWRITE = 'overwrite';

/** Does it so that what is deleted is overwritten at once, as far as SQLite reaches it. */
export function overwriting<T>(db: Db, work: () => T): T {
  db.pragma('secure_delete = ON');
  try {
    return work();
  } finally {
    db.pragma('secure_delete = OFF');
    db.pragma('wal_checkpoint(TRUNCATE)');
  }
}

/**
 * Writes the file anew where somebody was erased since: pieces of what once stood there lie between the rows until
 * then. It takes a second for a hundred megabytes, so it is done while nobody is served yet.
 */
export function overwriteErased(db: Db): void {
  const wanted = db.prepare('SELECT 1 FROM setting WHERE key = ?').pluck().get(OVERWRITE);
  if (wanted === undefined) return;
  db.exec('VACUUM');
  db.prepare('DELETE FROM setting WHERE key = ?').run(OVERWRITE);
  db.pragma('wal_checkpoint(TRUNCATE)');
}

function erasePhotos(db: Db, jobId: string): void {
  db.prepare(
    'DELETE FROM photo_picture WHERE photo_id IN (SELECT id FROM photo WHERE job_id = ?)',
  ).run(jobId);
  db.prepare('DELETE FROM photo WHERE job_id = ?').run(jobId);
}
