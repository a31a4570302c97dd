import {
  HANDOVER_CAUTIONS,
  fitReadingOf,
  isFitKey,
  withAge,
  type Archer,
  type Job,
  type JobSnapshot,
} from '../job';
import { isSetupKey, type Reading } from '../setup';
import type { EntryRow } from './rows';
import { isAdding, taken } from './taken';

/** What may be entered without a connection besides readings. */
const BESIDES = ['setAnswers', 'acknowledge', 'signStep'] as const;

/** Whether an entry can wait for the shop’s program: it rests on nothing that only the shop knows. */
export const mayWait = (name: string): boolean =>
  isAdding(name) || (BESIDES as readonly string[]).includes(name);

/** An entry that was made and not yet sent. */
export interface WaitingEntry {
  /** Counted up by the browser it waits in. */
  readonly id: number;
  readonly command: { readonly name: string };
  readonly stage: string | null;
  readonly who: string;
  /** UTC instant, ISO. */
  readonly at: string;
}

/** Readings that wait are numbered from here: later than any the shop has. */
const WAITING_FROM = 2 ** 40;
/** More rows than any entry adds. */
const ROOM = 1024;

export const isWaiting = (seq: number): boolean => seq >= WAITING_FROM;
/** The entry a waiting reading is of. */
export const waitingOf = (seq: number): number => Math.floor((seq - WAITING_FROM) / ROOM);

/**
 * The job as it stands with what waits, oldest first: what is computed from it says what is on the bow, not what is
 * saved. An entry that is refused by now adds nothing; it is asked about once it is sent.
 */
export const withWaiting = (snapshot: JobSnapshot, entries: readonly WaitingEntry[]): JobSnapshot =>
  entries.reduce(withOne, snapshot);

function withOne(snapshot: JobSnapshot, entry: WaitingEntry): JobSnapshot {
  const { command } = entry;
  if (isAdding(command.name)) {
    const answer = taken(command.name, command as never, snapshot);
    if (!answer.ok) return snapshot;
    return answer.rows.reduce(
      (job, row, i) => withRow(job, row, { ...entry, seq: WAITING_FROM + entry.id * ROOM + i }),
      withEvent(snapshot, entry, answer.summary),
    );
  }
  const answered = command as Partial<Said>;
  switch (command.name) {
    case 'setAnswers':
      return withEvent(
        {
          ...snapshot,
          archer: withAge(
            { ...snapshot.archer, ...answered.archer },
            snapshot.today,
            snapshot.shop.persons,
          ),
          job: { ...snapshot.job, ...answered.job },
        },
        entry,
        `Answered: ${Object.keys({ ...answered.archer, ...answered.job }).join(', ')}`,
      );
    case 'acknowledge':
      return {
        ...snapshot,
        acknowledged: HANDOVER_CAUTIONS.map(({ id }) => id).filter((id) =>
          id === answered.cautionId ? answered.yes : snapshot.acknowledged.includes(id),
        ),
      };
    case 'signStep':
      return withEvent(
        {
          ...snapshot,
          exceptions: [
            ...snapshot.exceptions,
            {
              stepId: answered.stepId!,
              reason: answered.reason!.trim(),
              who: entry.who,
              at: entry.at,
              seq: WAITING_FROM + entry.id * ROOM + 0.5,
            },
          ],
        },
        entry,
        `Signed off: ${answered.reason!.trim()}`,
      );
    default:
      return snapshot;
  }
}

interface Said {
  readonly archer: Partial<Archer>;
  readonly job: Partial<Job>;
  readonly cautionId: string;
  readonly yes: boolean;
  readonly stepId: string;
  readonly reason: string;
}

/** Events that wait are numbered downwards from nothing: what takes one back is told it by that. */
const withEvent = (snapshot: JobSnapshot, entry: WaitingEntry, summary: string): JobSnapshot => ({
  ...snapshot,
  canRedo: false,
  events: [
    {
      id: -entry.id,
      version: snapshot.job.version,
      at: entry.at,
      who: entry.who,
      summary,
      stage: entry.stage ?? '',
      visit: snapshot.events[0]?.visit ?? 1,
      canUndo: true,
      canRedo: false,
    },
    ...snapshot.events,
  ],
});

interface Stamp {
  readonly seq: number;
  readonly who: string;
  readonly at: string;
}

function withRow(snapshot: JobSnapshot, row: EntryRow, { seq, who, at }: Stamp): JobSnapshot {
  const { key, retracts } = row;
  if (retracts !== null)
    return {
      ...snapshot,
      readings: snapshot.readings.filter((reading) => reading.seq !== retracts),
      fitReadings: snapshot.fitReadings.filter((reading) => reading.seq !== retracts),
    };
  const { si, si2, choice, entered, method, data = null } = row;
  if (isSetupKey(key)) {
    const reading: Reading = { seq, key, si, si2, choice, entered, method, who, at, data };
    return { ...snapshot, readings: [...snapshot.readings, reading] };
  }
  if (!isFitKey(key)) return snapshot;
  const reading = fitReadingOf({ seq, key, si, si2, choice, data, entered, who, at });
  return { ...snapshot, fitReadings: [...snapshot.fitReadings, reading] };
}
