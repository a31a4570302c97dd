import type { SheetDocument } from '@/core/sheet';
import { db, type Db } from '@/data/db';
import { sheetDocument } from '@/data/records';
import { notFound } from './problem';

/** A build sheet as it was made. */
export function loadSheet(jobId: string, revision: string, from: Db = db()): SheetDocument {
  const number = /^[1-9]\d{0,5}$/.test(revision) ? Number(revision) : 0;
  const found = number > 0 ? sheetDocument(from, jobId, number) : null;
  if (!found) throw notFound('build sheet');
  return found as SheetDocument;
}
