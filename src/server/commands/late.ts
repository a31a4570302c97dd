import type { Command } from '@/contracts/commands';
import type { Meet, Waited } from '@/contracts/waited';
import { isAdding, mayWait, taken, type EntryRow } from '@/core/entries';
import { fitKeyName, isFitKey, isMethod, type FitKey, type JobSnapshot } from '@/core/job';
import { isSetupKey, setupValue } from '@/core/setup';
import type { Db } from '@/data/db';
import { entriesSince, eventsSince } from '@/data/events';
import { readingsSince, type Since } from '@/data/records';
import { Problem } from '../problem';
import { spaced, type Inverse } from './types';

interface Ground {
  readonly db: Db;
  readonly snapshot: JobSnapshot;
  readonly waited: Waited;
  /** When it was made. */
  readonly at: string;
  /** What names the outbox it waited in, at the head of its key. */
  readonly outbox: string;
}

/** The head of a key that tells one browser’s waiting entries from everybody else’s. */
export const outboxOf = (key: string | undefined): string =>
  key?.includes('.') ? key.slice(0, key.indexOf('.') + 1) : '\0';

/**
 * Where the readings of an entry go that was made earlier than it comes: before the reading that stands there;
 * null at the end. Refused, to be asked about, where somebody else entered the same otherwise meanwhile, or the bow was
 * handed over.
 */
export function placeOfLate(command: Command, ground: Ground): number | null {
  if (!mayWait(command.name))
    throw new Problem(422, 'does-not-wait', 'This does not wait', {
      detail: 'This needs the shop’s program: what it rests on may be another when it comes.',
    });
  const { snapshot, waited, at } = ground;
  const { asked } = waited;
  const sheet = snapshot.sheets[0];
  if (sheet && sheet.at > at && asked?.counts !== 'now')
    throw toAsk(ground, 'handed-over-meanwhile', [], {
      title: 'The bow was handed over meanwhile',
      detail: `Sheet ${sheet.revision} was made before this came: it does not stand on it.`,
    });
  if (command.name === 'setAnswers') refuseOverwriting(command, ground);
  if (command.name === 'signStep') return placeByTime(sinceOfOthers(ground), at);
  if (!isAdding(command.name)) return null;
  const entry = taken(command.name, command as never, snapshot);
  // What is refused now is refused by the entry itself, with its reason.
  const rows = entry.ok ? entry.rows.filter(({ retracts }) => retracts === null) : [];
  const ofBow = rows.some(({ bowId }) => bowId !== null);
  if (ofBow && waited.saw.bowId !== snapshot.job.bowId && asked?.counts !== 'now')
    throw toAsk(ground, 'other-bow', [], {
      title: 'Another bow was chosen meanwhile',
      detail:
        'The job has another bow now than when this was taken. It says nothing of the new one, unless it was taken on it.',
    });
  const others = sinceOfOthers(ground);
  const same = others.filter((other) => rows.some((row) => isSame(row, other)));
  const open = same.filter(({ seq, counts }) => counts && seq > (asked?.seq ?? 0));
  const meets = rows.flatMap((row) => {
    const other = open.findLast((one) => isSame(row, one) && differs(row, one));
    return other ? [meetOf(row, other)] : [];
  });
  if (meets.length > 0)
    throw toAsk(ground, 'entries-meet', meets, {
      title: 'Entered on another tablet meanwhile',
      detail: `${meets.map(({ name }) => name).join(', ')}: another tablet entered something else meanwhile. Both are kept; say which counts.`,
    });
  if (asked?.counts === 'this') return null;
  return asked?.counts === 'theirs' && same[0] ? placeOf(same[0]) : placeByTime(others, at);
}

const placeOf = ({ place, seq }: Since): number => place ?? seq;

/** Before the first that was taken later. */
function placeByTime(others: readonly Since[], at: string): number | null {
  const later = others.find((other) => Date.parse(other.at) > Date.parse(at));
  return later ? placeOf(later) : null;
}

/** Readings others took since the maker looked. */
function sinceOfOthers({ db, snapshot, waited: { saw }, outbox }: Ground): Since[] {
  const { own } = entriesSince(db, snapshot.job.id, { version: saw.version, outbox });
  const mine = new Set(
    own.flatMap((inverse) => {
      const { do: does, seqs = [] } = inverse as { do: string; seqs?: readonly number[] };
      return does === 'retract' ? seqs : [];
    }),
  );
  return readingsSince(db, snapshot.job.id, Math.floor(saw.seq)).filter(
    ({ seq }) => !mine.has(seq),
  );
}

/** Lengths and trials of the archer add up; of everything else the last one counts, of marks that of each distance. */
const addsUp = (key: string) => isFitKey(key) && (isMethod(key) || key === 'weightTrial');
const isMark = (key: string) => isSetupKey(key) && setupValue(key).kind === 'mark';
const isSame = (row: EntryRow, other: Since) =>
  row.key === other.key &&
  row.bowId === other.bowId &&
  !addsUp(row.key) &&
  (!isMark(row.key) || Math.abs((row.si ?? 0) - (other.si ?? 0)) < 0.5);

/** By more than the value is known. */
function differs(row: EntryRow, other: Since): boolean {
  const tolerance = isSetupKey(row.key) ? setupValue(row.key).tolerance : 0;
  const apart = (a: number | null, b: number | null) =>
    (a === null) !== (b === null) || Math.abs((a ?? 0) - (b ?? 0)) > tolerance;
  return row.choice !== other.choice || apart(row.si, other.si) || apart(row.si2, other.si2);
}

const meetOf = (row: EntryRow, other: Since): Meet => ({
  name: isSetupKey(row.key) ? setupValue(row.key).name : fitKeyName(row.key as FitKey),
  mine: row.entered,
  theirs: other.entered,
  who: other.who,
  at: other.at,
});

/** Answers about the job another tablet changed otherwise meanwhile are not overwritten unasked. */
function refuseOverwriting(
  { job = {} }: Extract<Command, { name: 'setAnswers' }>,
  ground: Ground,
): void {
  const { db, snapshot, waited, outbox } = ground;
  if (waited.asked?.counts === 'this') return;
  const { others } = entriesSince(db, snapshot.job.id, { version: waited.saw.version, outbox });
  const touched = new Set(
    (others as Inverse[]).flatMap((inverse) =>
      inverse.do === 'restore' ? Object.keys(inverse.job ?? {}) : [],
    ),
  );
  const said = (value: unknown) => (typeof value === 'string' ? value : JSON.stringify(value));
  const [newest] = eventsSince(db, snapshot.job.id, waited.saw.version);
  const meets = (Object.keys(job) as (keyof typeof job)[])
    .filter((field) => touched.has(field) && said(snapshot.job[field]) !== said(job[field]))
    .map((field) => ({
      name: spaced(field),
      mine: said(job[field]),
      theirs: said(snapshot.job[field]),
      who: newest?.who ?? '',
      at: newest?.at ?? '',
    }));
  if (meets.length > 0)
    throw toAsk(ground, 'entries-meet', meets, {
      title: 'Answered on another tablet meanwhile',
      detail: `${meets.map(({ name }) => name).join(', ')}: another tablet answered otherwise meanwhile. Say which counts.`,
    });
}

const toAsk = (
  { db, snapshot, waited }: Ground,
  reason: string,
  meets: readonly Meet[],
  { title, detail }: { readonly title: string; readonly detail: string },
) =>
  new Problem(409, reason, title, {
    detail,
    meets,
    changed: eventsSince(db, snapshot.job.id, waited.saw.version),
    snapshot,
  });
