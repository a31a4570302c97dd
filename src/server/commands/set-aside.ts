import { fitKeyName, isFitKey, type JobSnapshot } from '@/core/job';
import { readingText, setupValue, type Reading } from '@/core/setup';
import { leftOutReadings, readingBySeq } from '@/data/records';
import { appendRows, retractionOf } from '../take-readings';
import { ofStage, cannot, type Handlers } from './types';

const textOf = (reading: Reading, { shop }: JobSnapshot) =>
  `${setupValue(reading.key).name}: ${readingText(reading, shop.units)}`;

/** Readings left out with a reason, and taken in again. */
export const SET_ASIDE = ofStage('', {
  discardReading({ seq, reason }, { db, snapshot, who, at }) {
    const row = readingBySeq(db, snapshot.job.id, seq);
    if (!row) throw cannot('no-reading', 'This reading is not there any more.', '/command/seq');
    const seqs = appendRows(db, [retractionOf(seq, 'discarded', reason.trim())], {
      jobId: snapshot.job.id,
      who,
      at,
    });
    const said = isFitKey(row.key)
      ? `${fitKeyName(row.key)}: ${row.entered}`
      : textOf({ ...row, seq, key: row.key as Reading['key'] }, snapshot);
    return {
      summary: `Left out “${said}”: ${reason.trim()}`,
      inverse: { do: 'retract', seqs },
    };
  },

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
