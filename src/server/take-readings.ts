import type { EntryRow } from '@/core/entries';
import type { Db } from '@/data/db';
import { appendReading, type NewReading } from '@/data/records';

/** Writes the rows; returns their numbers for the undo. */
export const appendRows = (
  db: Db,
  rows: readonly EntryRow[],
  stamp: Pick<NewReading, 'jobId' | 'who' | 'at'>,
) => rows.map((row) => appendReading(db, { ...row, ...stamp }));
