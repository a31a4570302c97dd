import type { SheetDocument } from '@/core/sheet';
import { db, type Db } from '@/data/db';
import { sheetDocument } from '@/data/sheets';
import { notFound } from './problem';

/** A build sheet as it was made; null for an unknown job or revision. */
export function findSheet(jobId: string, revision: string, from: Db = db()): SheetDocument | null {
  const number = /^[1-9]\d{0,5}$/.test(revision) ? Number(revision) : 0;
  return number > 0 ? (sheetDocument(from, jobId, number) as SheetDocument | null) : null;
}

/** The same, for the interface: an unknown one is a problem. */
export function loadSheet(jobId: string, revision: string, from: Db = db()): SheetDocument {
  const found = findSheet(jobId, revision, from);
  if (!found) throw notFound('build sheet');
  return found;
}
