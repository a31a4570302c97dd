import { read, type QuantityName, type ReadOptions } from '@/core/units';
import { appendRows, type PlainRow } from '../take-readings';
import { cannot, type Done, type Work } from './types';

/** Everything on the lane is done with a bow. */
export function bowOf({ snapshot }: Work) {
  if (!snapshot.bow) throw cannot('no-bow', 'Choose a bow first.');
  return snapshot.bow;
}

type Limits = Partial<Pick<ReadOptions, 'min' | 'max' | 'bareUnit'>>;

/** Reads one typed number, or refuses with its field. */
export function number(
  text: string,
  quantity: QuantityName,
  what: string,
  pointer: string,
  work: Work,
  limits: Limits,
) {
  const answer = read(text, { quantity, shop: work.snapshot.shop.units, what, ...limits });
  if (!answer.ok) throw cannot(answer.code, answer.message, `/command/${pointer}`);
  const entered = answer.unitAssumed ? `${answer.entered} ${answer.unit}` : answer.entered;
  return { si: answer.si, entered };
}

export const distanceOf = (text: string, work: Work, min = 3, pointer = 'distance') =>
  number(text, 'distance', 'distance', pointer, work, { min, max: 150 });
export const sideways = (text: string, what: string, pointer: string, work: Work, most: number) =>
  number(text, 'length', what, pointer, work, { min: -most, max: most, bareUnit: 'mm' });

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
