import type { BowRecord } from '../bow';
import { laneEntry, type JobSnapshot, type LaneEntry } from '../job';
import type { ReadingData, Stage } from '../setup';
import { read } from '../units';
import { cannot, NO_BOW } from './refusal';

/** A reading an entry adds, before who, when and its number are known. */
export interface EntryRow {
  /** Null for what is the archer’s. */
  readonly bowId: string | null;
  readonly key: string;
  readonly si: number | null;
  readonly si2: number | null;
  readonly choice: string | null;
  readonly entered: string;
  readonly method: string;
  /** The number of the reading it takes back; null for a reading of its own. */
  readonly retracts: number | null;
  readonly data?: ReadingData | null;
}

/** What an entry comes to: rows to add, where it belongs, how it reads in the history. */
export interface Taken {
  readonly stage: Stage | '';
  readonly summary: string;
  readonly rows: readonly EntryRow[];
}

/** Everything on the lane is done with a bow. */
export function bowOf({ bow }: JobSnapshot): BowRecord {
  if (!bow) throw cannot(...NO_BOW);
  return bow;
}

/** Reads one typed number as its field does, or refuses with its place in the entry. */
export function number(text: string, entry: LaneEntry, { shop }: JobSnapshot, pointer: string) {
  const answer = read(text, laneEntry(entry, shop.units));
  if (!answer.ok) throw cannot(answer.code, answer.message, `/${pointer}`);
  const entered = answer.unitAssumed ? `${answer.entered} ${answer.unit}` : answer.entered;
  return { si: answer.si, entered };
}

type Said = Pick<EntryRow, 'key' | 'si' | 'entered'> & Partial<EntryRow>;

/** An entry of this bow. */
const atStage =
  (stage: Stage) =>
  (snapshot: JobSnapshot, summary: string, rows: readonly Said[]): Taken => ({
    stage,
    summary,
    rows: rows.map((row) => ({
      bowId: bowOf(snapshot).id,
      si2: null,
      choice: null,
      method: 'typed',
      retracts: null,
      ...row,
    })),
  });

export const onLane = atStage('lane');
export const atSteady = atStage('steady');

/** A row that takes another back: `discarded` with its reason, `takenIn` or `undo` without. */
export const retractionOf = (
  retracts: number,
  method: 'discarded' | 'takenIn' | 'undo',
  reason = '',
): EntryRow => ({
  bowId: null,
  key: 'retraction',
  si: null,
  si2: null,
  choice: null,
  entered: reason,
  method,
  retracts,
});
