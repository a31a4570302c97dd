import { derive, type JobSnapshot } from '../job';
import { sheetDocument, type SheetDocument, type SheetGround, type SheetStamp } from '../sheet';
import { aFinishedJob } from './fixtures';

export const A_STAMP: SheetStamp = {
  revision: 1,
  madeAt: '2026-11-24T16:00:00.000Z',
  madeDay: '2026-11-24',
  madeBy: 'T. Okoro',
  openReason: null,
};

/** The sheet of a job, of a finished one where none is given, signed on paper with nothing left open. */
export const aSheet = (
  stamp: Partial<SheetStamp> = {},
  snapshot: JobSnapshot = aFinishedJob(),
  ground?: SheetGround,
): SheetDocument => sheetDocument(snapshot, derive(snapshot), { ...A_STAMP, ...stamp }, ground);
