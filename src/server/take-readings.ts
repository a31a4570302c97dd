import type { EntryRow } from '@/core/entries';
import type { Db } from '@/data/db';
import { appendReading, placeBefore, type NewReading } from '@/data/records';

interface Stamp extends Pick<NewReading, 'jobId' | 'who' | 'at'> {
  /** The place they go before, one after another; at the end where it is null. */
  readonly before?: number | null;
}

/** Writes the rows; returns their numbers for the undo. */
export const appendRows = (db: Db, rows: readonly EntryRow[], { before = null, ...stamp }: Stamp) =>
  rows.map((row) => {
    const place =
      before === null || row.retracts !== null ? null : placeBefore(db, stamp.jobId, before);
    return appendReading(db, { ...row, ...stamp, place });
  });
