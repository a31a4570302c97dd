import type { Hand } from '../bow';
import { refused, answered, type Outcome } from '../outcome';
import { latest, MOVED_BY_PAPER, setupValue, type History, type SetupKey } from '../route';
import {
  bareShaftTear,
  paperTune,
  type Adjustment,
  type PaperEvent,
  type PaperTuneResult,
} from '../tuning';
import { metre } from '../units';
import type { JobDerived } from './derive';
import type { JobSnapshot } from './types';

/** One mark of a cable guard eased brings the cables this much nearer the shaft, mm. Shop rule. */
export const GUARD_MARK_MM = 1;
/** A step of a cam: half a twist of its yoke’s leg, or one shim. */
const YOKE_STEP = 0.5;

/** A set-up value an adjustment changes, and by how much for each unit of it. */
export interface Moved {
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

/** Values whose change makes earlier tears say nothing of later ones. */
const FRESH: readonly SetupKey[] = [
  'drawLength',
  'peakWeight',
  'arrowMass',
  'timing',
  'stringTwists',
  'cableTwists',
  'moduleTop',
  'moduleBottom',
  'launcherSet',
];

/**
 * A job’s papers as the tuning reads them: every tear and bare shaft, every change of an adjustment
 * since the first of them, whoever made it, and a fresh start where something else was changed.
 */
export function paperHistory(history: History, hand: Hand, yokes: Yokes): PaperEvent[] {
  const rows = [...history.values()].flat().sort((a, b) => a.seq - b.seq);
  const events: PaperEvent[] = [];
  const before = new Map<SetupKey, number>();
  for (const reading of rows) {
    const { key, si } = reading;
    if (key === 'paperTear' && si !== null) {
      events.push({ kind: 'shot', rightMm: si, upMm: reading.si2 ?? 0 });
      continue;
    }
    if (key === 'bareShaft' && si !== null && reading.data?.kind === 'bareShaft') {
      const { rightMm, upMm, sigmaMm } = bareShaftTear({
        distanceM: metre(reading.data.distanceM),
        rightMm: si,
        upMm: reading.si2 ?? 0,
      });
      events.push({ kind: 'shot', rightMm, upMm, sigmaMm });
      continue;
    }
    if (si === null) continue;
    const found = adjustmentOf(key, hand, yokes);
    const { tolerance, fromZero } = setupValue(key);
    const old = before.get(key) ?? (fromZero ? 0 : undefined);
    const told = reading.method === MOVED_BY_PAPER || Math.abs(si - (old ?? si)) > tolerance;
    if (old !== undefined && told && events.length > 0) {
      if (found) pushMove(events, found, key, si - old);
      else if (FRESH.includes(key)) events.push({ kind: 'fresh' });
    }
    // A reading within tolerance of the one before is the same setting, measured again.
    if (old === undefined || told) before.set(key, si);
  }
  return events;
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

export interface PaperMove {
  readonly values: readonly {
    readonly key: SetupKey;
    readonly from: number;
    readonly to: number;
  }[];
}

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
  const values: { key: SetupKey; from: number; to: number }[] = [];
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
