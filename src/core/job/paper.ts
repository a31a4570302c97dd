import type { Hand } from '../bow';
import { refused, answered, type Outcome } from '../outcome';
import {
  CONFIRMED,
  latest,
  MOVED_BY_PAPER,
  setupValue,
  paperBand,
  type History,
  type Reading,
  type SetupKey,
  type Target,
} from '../setup';
import type { BuildContext } from '../bench';
import {
  bareShaftAdvice,
  paperTune,
  restContradiction,
  walkBack,
  type Adjustment,
  type BareShaftAdvice,
  type BareShaftEvent,
  type PaperEvent,
  type PaperTuneResult,
  type WalkBackResult,
} from '../tuning';
import { metre, mm } from '../units';
import type { JobDerived } from './derive';
import type { JobSnapshot } from './types';

/** One mark of a cable guard eased brings the cables this much nearer the shaft, mm. Shop rule. */
const GUARD_MARK_MM = 1;
/** A step of a cam: half a twist of its yoke’s leg, or one shim. */
const YOKE_STEP = 0.5;

/** A set-up value an adjustment changes, and by how much for each unit of it. */
interface Moved {
  readonly key: SetupKey;
  readonly per: number;
}

type Yokes = 'none' | 'top' | 'both' | null;

/** What a move changes on this bow: the rest’s sideways place is measured from the riser. */
export function movedValues(adjustment: Adjustment, hand: Hand, yokes: Yokes): readonly Moved[] {
  switch (adjustment) {
    case 'restSideways':
      // The riser stands right of the arrow on a right-handed bow: to the right is nearer to it.
      return [{ key: 'centreShot', per: hand === 'right' ? -1 : 1 }];
    case 'restHeight':
      return [{ key: 'restHeight', per: 1 }];
    case 'nockHeight':
      return [{ key: 'nockHeight', per: 1 }];
    case 'cableGuard':
      return [{ key: 'cableGuard', per: -GUARD_MARK_MM }];
    case 'camShim':
      if (yokes === 'top') return [{ key: 'leanFixUpper', per: YOKE_STEP }];
      return (['leanFixUpper', 'leanFixLower'] as const).map((key) => ({
        key,
        per: yokes === 'both' ? YOKE_STEP : 1,
      }));
  }
}

/** Adjustments by the value they change, with how many values one move changes. */
const adjustmentOf = (key: SetupKey, hand: Hand, yokes: Yokes) =>
  (['restSideways', 'restHeight', 'nockHeight', 'cableGuard', 'camShim'] as const)
    .map((adjustment) => ({ adjustment, moved: movedValues(adjustment, hand, yokes) }))
    .find(({ moved }) => moved.some((entry) => entry.key === key)) ?? null;

/** What happened on the way to a tuned bow, in its order. */
type TuningEvent =
  | { readonly kind: 'reading'; readonly reading: Reading }
  | { readonly kind: 'moved'; readonly key: SetupKey; readonly by: number }
  | { readonly kind: 'fresh' };

/** Every reading of `shown`, every change of an adjustment, and a fresh start where anything else was changed. */
function tuningEvents(
  history: History,
  shown: SetupKey,
  hand: Hand,
  yokes: Yokes,
): readonly TuningEvent[] {
  const rows = [...history.values()].flat().sort((a, b) => a.seq - b.seq);
  const events: TuningEvent[] = [];
  const before = new Map<SetupKey, Reading>();
  for (const reading of rows) {
    const { key, si } = reading;
    if (key === shown) {
      // Said to be still so is no shot.
      if (si !== null && reading.method !== CONFIRMED) events.push({ kind: 'reading', reading });
      continue;
    }
    const found = adjustmentOf(key, hand, yokes) !== null;
    const { fromZero, startsPapers } = setupValue(key);
    if (!found && !startsPapers) continue;
    const old = before.get(key) ?? (fromZero ? { ...reading, si: 0 } : undefined);
    const told = old === undefined || isOther(old, reading);
    if (old !== undefined && told && events.length > 0)
      events.push(
        found ? { kind: 'moved', key, by: (si ?? 0) - (old.si ?? 0) } : { kind: 'fresh' },
      );
    // A reading within tolerance of the one before is the same setting, measured again.
    if (told) before.set(key, reading);
  }
  return events;
}

/** Whether a reading says another setting than the one before, beyond its own tolerance. */
function isOther(old: Reading, next: Reading): boolean {
  const { kind, tolerance } = setupValue(next.key);
  if (next.method === CONFIRMED) return false;
  if (kind === 'check') return true;
  if (kind === 'choice') return old.choice !== next.choice;
  const by = Math.abs((next.si ?? 0) - (old.si ?? 0));
  return next.method === MOVED_BY_PAPER ? by > 0 : by > tolerance;
}

/**
 * A job’s papers as the tuning reads them: every tear, every change of an adjustment since the first
 * of them, whoever made it, and a fresh start where something else was changed.
 */
export function paperHistory(history: History, hand: Hand, yokes: Yokes): PaperEvent[] {
  const events: PaperEvent[] = [];
  for (const event of tuningEvents(history, 'paperTear', hand, yokes)) {
    if (event.kind === 'fresh') events.push(event);
    else if (event.kind === 'moved')
      pushMove(events, adjustmentOf(event.key, hand, yokes)!, event.key, event.by);
    else {
      const { si, si2 } = event.reading;
      events.push({ kind: 'shot', rightMm: si ?? 0, upMm: si2 ?? 0 });
    }
  }
  return events;
}

/** Bare-shaft pairs and what was done at the rest between them; any other move starts afresh. */
export function bareShaftHistory(history: History, hand: Hand, yokes: Yokes): BareShaftEvent[] {
  return tuningEvents(history, 'bareShaft', hand, yokes).map((event): BareShaftEvent => {
    if (event.kind === 'reading') {
      const { si, si2, data } = event.reading;
      const distanceM = metre(data?.kind === 'bareShaft' ? data.distanceM : 18);
      return { kind: 'pair', pair: { distanceM, rightMm: si ?? 0, upMm: si2 ?? 0 } };
    }
    const at = event.kind === 'moved' ? adjustmentOf(event.key, hand, yokes)! : null;
    if (event.kind === 'fresh' || at?.adjustment !== 'restSideways') return { kind: 'fresh' };
    return { kind: 'move', restMm: event.by / at.moved[0]!.per };
  });
}

/** Both cams moved by one step are one move of one step. */
function pushMove(
  events: PaperEvent[],
  { adjustment, moved }: { adjustment: Adjustment; moved: readonly Moved[] },
  key: SetupKey,
  change: number,
): void {
  const { per } = moved.find((entry) => entry.key === key)!;
  const amount = change / per / moved.length;
  const last = events.at(-1);
  if (last?.kind === 'move' && last.adjustment === adjustment)
    events[events.length - 1] = { ...last, amount: last.amount + amount };
  else events.push({ kind: 'move', adjustment, amount });
}

/** What paper says of this job’s bow, by its school. */
export function jobPaper({ bow, archer }: JobSnapshot, derived: JobDerived): PaperTuneResult {
  const hand = bow?.hand ?? archer.hand;
  return paperTune({
    hand,
    school: derived.context.schools.paper,
    history: paperHistory(derived.history, hand, bow?.yokes ?? null),
  });
}

/** What bare shafts ask of this job’s rest. */
export function jobBareShaft({ bow, archer }: JobSnapshot, derived: JobDerived): BareShaftAdvice {
  return bareShaftAdvice(
    bareShaftHistory(derived.history, bow?.hand ?? archer.hand, bow?.yokes ?? null),
  );
}

/** The newest walk-back line that still holds; null where there is none, or the rest moved since. */
function jobWalkBack(derived: JobDerived): WalkBackResult | null {
  const kept = latest(derived.history, 'walkBack');
  const length = latest(derived.history, 'drawLength')?.si ?? null;
  const stale = derived.plan.stale.some(({ key }) => key === 'walkBack');
  if (!kept || stale || length === null || kept.data?.kind !== 'walkBack') return null;
  const hits = kept.data.hits.map((hit) => ({ ...hit, distanceM: metre(hit.distanceM) }));
  const answer = walkBack(hits, mm(length));
  return answer.ok ? answer : null;
}

/** Whether paper, bare shafts and line ask for opposite moves of this bow’s rest. */
export const jobContradiction = (snapshot: JobSnapshot, derived: JobDerived) =>
  restContradiction(
    jobPaper(snapshot, derived),
    jobBareShaft(snapshot, derived),
    jobWalkBack(derived),
  );

interface MovedValue {
  readonly key: SetupKey;
  readonly from: number;
  readonly to: number;
}

interface PaperMove {
  readonly values: readonly MovedValue[];
}

/** Values a move would bring out of the band they are wanted in, which a move does not widen. */
export const leavesBand = (
  { values }: PaperMove,
  context: BuildContext,
): readonly { readonly value: MovedValue; readonly target: Target }[] =>
  values.flatMap((value) => {
    const target = paperBand(value.key, context);
    const out = target !== null && (value.to < target.low - 1e-6 || value.to > target.high + 1e-6);
    return out ? [{ value, target }] : [];
  });

/**
 * The new readings one move makes.
 *
 * @returns a refusal naming the value that was never measured, or the limit it would pass.
 */
export function paperMove(
  { bow, archer }: Pick<JobSnapshot, 'bow' | 'archer'>,
  history: History,
  adjustment: Adjustment,
  amount: number,
): Outcome<PaperMove> {
  const values: MovedValue[] = [];
  for (const { key, per } of movedValues(
    adjustment,
    bow?.hand ?? archer.hand,
    bow?.yokes ?? null,
  )) {
    const { name, fromZero, min, max } = setupValue(key);
    const from = latest(history, key)?.si ?? (fromZero ? 0 : null);
    if (from === null)
      return refused(
        'not-measured',
        `${name} was never measured here: measure it once, so that the move can be written down.`,
        'adjustment',
      );
    const to = from + per * amount;
    if ((min !== undefined && to < min) || (max !== undefined && to > max))
      return refused(
        'past-limit',
        `${name} would stand at ${to.toFixed(1)}: possible is ${min} to ${max}. Look for another cause before going on.`,
        'amount',
      );
    values.push({ key, from, to });
  }
  return answered({ values });
}
