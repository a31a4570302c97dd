import { laneEntry, type LaneEntry } from '@/core/job';
import { read } from '@/core/units';
import { appendRows, type PlainRow } from '../take-readings';
import { cannot, type Done, type Work } from './types';
import { NO_BOW } from '../refusals';

/** Everything on the lane is done with a bow. */
export function bowOf({ snapshot }: Work) {
  if (!snapshot.bow) throw cannot(...NO_BOW);
  return snapshot.bow;
}

/** Reads one typed number as its field does, or refuses with its place in the command. */
export function number(text: string, entry: LaneEntry, work: Work, pointer: string) {
  const answer = read(text, laneEntry(entry, work.snapshot.shop.units));
  if (!answer.ok) throw cannot(answer.code, answer.message, `/command/${pointer}`);
  const entered = answer.unitAssumed ? `${answer.entered} ${answer.unit}` : answer.entered;
  return { si: answer.si, entered };
}

/** Writes rows of this bow, and says how they are taken back. */
export function keep(
  work: Work,
  summary: string,
  rows: readonly (Pick<PlainRow, 'key' | 'si' | 'entered'> & Partial<PlainRow>)[],
): Done {
  const { db, snapshot, who, at } = work;
  const whole = rows.map((row): PlainRow => ({
    bowId: snapshot.bow!.id,
    si2: null,
    choice: null,
    method: 'typed',
    retracts: null,
    ...row,
  }));
  const seqs = appendRows(db, whole, { jobId: snapshot.job.id, who, at });
  return { summary, inverse: { do: 'retract', seqs } };
}
