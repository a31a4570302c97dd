import { fitKeyName, isFitKey } from '@/core/job';
import {
  CONFIRMED,
  historyOf,
  isPartKey,
  isSetupKey,
  readingText,
  setupValue,
  type Reading,
  type SetupKey,
} from '@/core/setup';
import { readingBySeq } from '@/data/records';
import { jobsOfSerial } from '@/data/register';
import { appendRows, retractionOf, toRows, type PlainRow } from '../take-readings';
import type { Stage } from '@/core/setup';
import { ofStage, cannot, type Handlers, type Work } from './types';

const stageOfKey = (key: string): Stage | '' =>
  isFitKey(key) ? 'fit' : isSetupKey(key) ? setupValue(key).stage : '';

/** Readings as they are typed or ticked, and looked at again. */
export const MEASURE = ofStage('', {
  takeReadings({ readings, instead = [] }, work) {
    const { db, snapshot } = work;
    const rows = readings.flatMap((entry, i) => toRows(entry, i, snapshot));
    rows.forEach((row, i) => refuseTwice(row, i, work));
    const wrong = instead.map((seq, i) => wrongBefore(seq, i, rows, work));
    const stamp = { jobId: snapshot.job.id, who: work.who, at: work.at };
    const seqs = appendRows(db, [...wrong, ...rows], stamp);
    const last = rows.at(-1)!;
    const name = isFitKey(last.key) ? fitKeyName(last.key) : setupValue(last.key as SetupKey).name;
    const more = rows.length > 1 ? ` and ${rows.length - 1} more` : '';
    return {
      stage: stageOfKey(rows[0]!.key),
      summary: `${name}: ${last.entered}${more}${wrong.length > 0 ? ', instead of the one before' : ''}`,
      inverse: { do: 'retract', seqs },
    };
  },

  confirmReadings({ keys }, work) {
    const { db, snapshot, who, at } = work;
    const history = historyOf(snapshot.readings);
    const rows = keys.flatMap((key, i) => stillSo(key, i, history, work));
    const seqs = appendRows(db, rows, { jobId: snapshot.job.id, who, at });
    const [first, ...others] = rows;
    const said = readingText(first as unknown as Reading, snapshot.shop.units);
    const name = setupValue(first!.key as SetupKey).name;
    return {
      stage: stageOfKey(first!.key),
      summary: `${name}: still ${said}${others.length > 0 ? `, and ${others.length} more` : ''}`,
      inverse: { do: 'retract', seqs },
    };
  },
} satisfies Partial<Handlers>);

/** A number is of one bow: a bow of the shop cannot have that of one that left. */
function refuseTwice({ key, choice }: PlainRow, at: number, { db, snapshot }: Work): void {
  if (key !== 'serialNumber' || !choice || snapshot.job.elsewhere) return;
  const other = jobsOfSerial(db, choice).find(({ jobId }) => jobId !== snapshot.job.id);
  if (other)
    throw cannot(
      'serial-twice',
      `The bow no. ${choice} left the shop with ticket ${other.number}. Read the number once more; a bow that comes back is opened there, one that changed hands is taken in as the archer’s own.`,
      `/command/readings/${at}/entered`,
    );
}

/** A reading said to be wrong by the one that comes now: left out with that as its reason. */
function wrongBefore(seq: number, at: number, rows: readonly PlainRow[], work: Work): PlainRow {
  const row = readingBySeq(work.db, work.snapshot.job.id, seq);
  if (!row || !rows.some(({ key }) => key === row.key))
    throw cannot(
      'no-reading',
      'The reading before is not there any more.',
      `/command/instead/${at}`,
    );
  const now = rows.find(({ key }) => key === row.key)!.entered;
  return retractionOf(seq, 'discarded', `read again: ${now}`);
}

/** The newest reading once more, as found now; of the marks that of every distance. */
function stillSo(
  key: string,
  at: number,
  history: ReturnType<typeof historyOf>,
  { snapshot }: Work,
): PlainRow[] {
  const pointer = `/command/keys/${at}`;
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
