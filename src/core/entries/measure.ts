import { fitKeyName, isFitKey, type JobSnapshot } from '../job';
import {
  CONFIRMED,
  historyOf,
  isPartKey,
  isSetupKey,
  readingText,
  setupValue,
  type Reading,
  type SetupKey,
  type Stage,
} from '../setup';
import { cannot } from './refusal';
import { retractionOf, type EntryRow } from './rows';
import { toRows } from './typed';
import type { Makers } from './types';

const stageOfKey = (key: string): Stage | '' =>
  isFitKey(key) ? 'fit' : isSetupKey(key) ? setupValue(key).stage : '';

/** Readings as they are typed or ticked, and looked at again. */
export const MEASURE = {
  takeReadings({ readings, instead = [] }, snapshot) {
    const rows = readings.flatMap((entry, i) => toRows(entry, i, snapshot));
    const wrong = instead.map((seq, i) => wrongBefore(seq, i, rows, snapshot));
    const last = rows.at(-1)!;
    const name = isFitKey(last.key) ? fitKeyName(last.key) : setupValue(last.key as SetupKey).name;
    const more = rows.length > 1 ? ` and ${rows.length - 1} more` : '';
    return {
      stage: stageOfKey(rows[0]!.key),
      summary: `${name}: ${last.entered}${more}${wrong.length > 0 ? ', instead of the one before' : ''}`,
      rows: [...wrong, ...rows],
    };
  },

  confirmReadings({ keys }, snapshot) {
    const history = historyOf(snapshot.readings);
    const rows = keys.flatMap((key, i) => stillSo(key, i, history, snapshot));
    const [first, ...others] = rows;
    const said = readingText(first as unknown as Reading, snapshot.shop.units);
    const name = setupValue(first!.key as SetupKey).name;
    return {
      stage: stageOfKey(first!.key),
      summary: `${name}: still ${said}${others.length > 0 ? `, and ${others.length} more` : ''}`,
      rows,
    };
  },

  discardReading({ seq, reason }, snapshot) {
    const row = standing(seq, snapshot);
    if (!row) throw cannot('no-reading', 'This reading is not there any more.', '/seq');
    const said =
      'method' in row
        ? `${setupValue(row.key).name}: ${readingText(row, snapshot.shop.units)}`
        : `${fitKeyName(row.key)}: ${row.entered}`;
    return {
      stage: '',
      summary: `Left out “${said}”: ${reason.trim()}`,
      rows: [retractionOf(seq, 'discarded', reason.trim())],
    };
  },
} as const satisfies Partial<Makers>;

/** A reading that counts, by its number. */
const standing = (seq: number, { readings, fitReadings }: JobSnapshot) =>
  readings.find((row) => row.seq === seq) ?? fitReadings.find((row) => row.seq === seq) ?? null;

/** A reading said to be wrong by the one that comes now: left out with that as its reason. */
function wrongBefore(
  seq: number,
  at: number,
  rows: readonly EntryRow[],
  snapshot: JobSnapshot,
): EntryRow {
  const row = standing(seq, snapshot);
  if (!row || !rows.some(({ key }) => key === row.key))
    throw cannot('no-reading', 'The reading before is not there any more.', `/instead/${at}`);
  const now = rows.find(({ key }) => key === row.key)!.entered;
  return retractionOf(seq, 'discarded', `read again: ${now}`);
}

/** The newest reading once more, as found now; of the marks that of every distance. */
function stillSo(
  key: string,
  at: number,
  history: ReturnType<typeof historyOf>,
  snapshot: JobSnapshot,
): EntryRow[] {
  const pointer = `/keys/${at}`;
  if (!isSetupKey(key) || isPartKey(key))
    throw cannot('unknown-value', `There is no value called “${key}”.`, pointer);
  const rows = history.get(key) ?? [];
  if (rows.length === 0)
    throw cannot('not-measured', `${setupValue(key).name} was never taken: measure it.`, pointer);
  const newest =
    setupValue(key).kind === 'mark'
      ? rows.filter((row, i) => rows.findLastIndex(({ si }) => si === row.si) === i)
      : rows.slice(-1);
  return newest.map(({ si, si2, choice, entered, data }) => ({
    bowId: snapshot.bow!.id,
    key,
    si,
    si2,
    choice,
    entered,
    method: CONFIRMED,
    retracts: null,
    data: data?.kind === 'mark' ? { ...data, offMm: 0 } : data,
  }));
}
