import { derive } from '../job';
import { sheetDocument, type SheetDocument, type SheetStamp } from '../sheet';
import { aFinishedJob } from './fixtures';

/** The sheet of a finished job, signed on paper with nothing left open. */
export function aSheet(stamp: Partial<SheetStamp> = {}): SheetDocument {
  const snapshot = aFinishedJob();
  return sheetDocument(snapshot, derive(snapshot), {
    revision: 3,
    madeAt: '2026-11-24T16:00:00.000Z',
    madeDay: '2026-11-24',
    madeBy: 'T. Okoro',
    openReason: null,
    ...stamp,
  });
}
