import { isPartKey, latest, setupValue, type History, type Reading, type SetupKey } from '../setup';
import { addDays } from '../units';
import type { JobDerived } from './derive';
import type { Job, JobSnapshot } from './types';
import { REPLACED, type Visit, type VisitKind } from './visit-types';

/** The visit that is open; null while the bow is with its archer, or before it first left. */
export const openVisitOf = ({ visit, deliveredAt }: Pick<Job, 'visit' | 'deliveredAt'>) =>
  deliveredAt === null ? visit : null;

/** The day a job is promised for; a bow back in the shop keeps the promise of before no more. */
export const promisedOf = (job: Pick<Job, 'visit' | 'deliveredAt' | 'promisedDay'>) =>
  openVisitOf(job) ? null : job.promisedDay;

/** What strings and cords do in two weeks, in the order it is looked at: at rest, drawn, shot, tightened. */
const SETTLES: readonly SetupKey[] = [
  'inTracks',
  'braceHeight',
  'axleToAxle',
  'nockHeight',
  'loop',
  'peepHeight',
  'peepRotation',
  'restCord',
  'timing',
  'drawLength',
  'peakWeight',
  'cordSettled',
  'firstMark',
  'fasteners',
];

/** Days from one visit to the next: the second comes soon, later ones by months. Shop rule. */
const NEXT_DAYS = { first: 14, later: 90 };

/** The day the archer is asked for next. */
export const nextVisitDay = (visit: Visit | null, day: string): string =>
  addDays(day, visit === null ? NEXT_DAYS.first : NEXT_DAYS.later);

const newestSeq = ({ readings }: Pick<JobSnapshot, 'readings'>) =>
  Math.max(0, ...readings.map(({ seq }) => seq));

/**
 * What is looked at on a visit: what settles, or what a repair makes stale, and whatever is stale
 * besides; only what was taken before.
 */
export function visitKeys(kind: VisitKind, { history, plan }: JobDerived): SetupKey[] {
  const stale = plan.stale.map(({ key }) => key);
  const wanted = REPLACED[kind] ? stale : [...SETTLES, ...stale];
  const order = new Map(SETTLES.map((key, i) => [key, i]));
  return [...new Set(wanted)]
    .filter((key) => history.has(key) && !isPartKey(key) && setupValue(key).takenWhole !== true)
    .sort((a, b) => (order.get(a) ?? SETTLES.length) - (order.get(b) ?? SETTLES.length));
}

/**
 * A visit as it begins: what was read so far is what the bow left with.
 *
 * @param snapshot before anything of the visit was noted.
 * @param derived once what was replaced was noted, where that is why it is back.
 */
export const newVisit = (
  kind: VisitKind,
  words: string,
  snapshot: JobSnapshot,
  derived: JobDerived,
  stamp: { readonly at: string; readonly who: string },
): Visit => ({
  kind,
  words,
  ...stamp,
  seq: newestSeq(snapshot),
  keys: visitKeys(kind, derived),
});

/** A value of the visit: as it left, as it is found now, and by how much it went. */
export interface VisitRow {
  readonly key: SetupKey;
  readonly before: Reading | null;
  readonly now: Reading | null;
  /** Now less before, SI; null for what is no number or not read yet. */
  readonly drift: number | null;
  /** The drift lies within the value's tolerance; null where there is none. */
  readonly within: boolean | null;
}

export function visitRows({ keys, seq }: Visit, history: History): VisitRow[] {
  return keys.map((key) => {
    const all = history.get(key) ?? [];
    const before = all.findLast((reading) => reading.seq <= seq) ?? null;
    const now = all.findLast((reading) => reading.seq > seq) ?? null;
    const { tolerance, kind } = setupValue(key);
    const isNumber = !['check', 'choice', 'text', 'group', 'mark', 'tear'].includes(kind);
    const drift =
      isNumber && before !== null && now !== null && before.si !== null && now.si !== null
        ? now.si - before.si
        : null;
    return {
      key,
      before,
      now,
      drift,
      within: drift === null ? null : Math.abs(drift) <= tolerance + 1e-9,
    };
  });
}

/** What was changed since a visit began, beyond what its tolerance lets pass. */
const changed = (key: SetupKey, { seq }: Visit, history: History): boolean => {
  const all = history.get(key) ?? [];
  const before = all.findLast((reading) => reading.seq <= seq);
  const now = latest(history, key);
  if (!now || now.seq <= seq) return false;
  if (setupValue(key).kind === 'check' || isPartKey(key)) return true;
  return Math.abs((now.si ?? 0) - (before?.si ?? 0)) > setupValue(key).tolerance;
};

/**
 * Cautions to be told again on a visit, by id: only where something they speak of is new. Weight and bolts
 * ask for the limit of turns, draw length for drawing, another string or part for looking.
 */
export function cautionsAgain(visit: Visit, history: History): string[] {
  const any = (...keys: SetupKey[]) => keys.some((key) => changed(key, visit, history));
  const otherPart = [...history.keys()].some(
    (key) => isPartKey(key) && changed(key, visit, history),
  );
  return [
    ...(any('newModule', 'moduleTop', 'moduleBottom', 'drawLength') ? ['drawSafely'] : []),
    ...(any('newLimb', 'limbTurnsUpper', 'limbTurnsLower', 'peakWeight') ? ['limbBolts'] : []),
    ...(any('newString', 'newModule', 'newLimb') || otherPart ? ['look'] : []),
  ];
}
