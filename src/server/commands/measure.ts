import { fitKeyName, isFitKey } from '@/core/job';
import { setupValue, type SetupKey } from '@/core/route';
import { appendRows, toRows } from '../take-readings';
import type { Handlers } from './types';

/** Readings as they are typed or ticked. */
export const MEASURE = {
  takeReadings({ readings }, work) {
    const { db, snapshot } = work;
    const rows = readings.flatMap((entry, i) => toRows(entry, i, snapshot));
    const seqs = appendRows(db, rows, { jobId: snapshot.job.id, who: work.who, at: work.at });
    const last = rows.at(-1)!;
    const name = isFitKey(last.key) ? fitKeyName(last.key) : setupValue(last.key as SetupKey).name;
    return {
      summary: `${name}: ${last.entered}${rows.length > 1 ? ` and ${rows.length - 1} more` : ''}`,
      inverse: { do: 'retract', seqs },
    };
  },
} satisfies Partial<Handlers>;
