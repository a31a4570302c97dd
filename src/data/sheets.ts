import { type SheetHead } from '@/core/job';
import type { Db } from './db';

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
