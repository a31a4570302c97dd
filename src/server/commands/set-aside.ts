import { retractionOf } from '@/core/entries';
import { fitKeyName, isFitKey } from '@/core/job';
import { setupValue, type Reading } from '@/core/setup';
import { leftOutReadings } from '@/data/records';
import { appendRows } from '../take-readings';
import { ofStage, cannot, type Handlers } from './types';

/** A reading left out is taken in again. */
export const SET_ASIDE = ofStage('', {
  takeIn({ seq }, { db, snapshot, who, at }) {
    const out = leftOutReadings(db, snapshot.job.id).find((row) => row.seq === seq);
    if (!out) throw cannot('no-reading', 'This reading is not left out.', '/command/seq');
    const seqs = appendRows(db, [retractionOf(out.by, 'takenIn')], {
      jobId: snapshot.job.id,
      who,
      at,
    });
    const name = isFitKey(out.key)
      ? fitKeyName(out.key)
      : setupValue(out.key as Reading['key']).name;
    return {
      summary: `Counts again: ${name}: ${out.entered}`,
      inverse: { do: 'retract', seqs },
    };
  },
} satisfies Partial<Handlers>);
