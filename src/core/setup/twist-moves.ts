import type { TwistMove } from '../bow';
import { latest, type HistoryOf, type ReadingOf } from './reading';

/** The keys are told by the registry, which stands above. */
type History = HistoryOf<string>;
type Reading = ReadingOf<string>;

/** Twists standing when a reading was taken; none noted yet is none put in. */
export const twistsAt = (history: History, twists: string, seq: number): number =>
  (history.get(twists) ?? []).findLast((reading) => reading.seq < seq)?.si ?? 0;

/**
 * What twists did on this bow: every two readings of `effect` in a row with twists changed
 * between them and nothing of `others` touched, so that the move is the twists' alone.
 */
function twistMoves(
  history: History,
  twists: string,
  effect: string,
  others: readonly string[],
): TwistMove[] {
  const seen = history.get(effect) ?? [];
  return seen.slice(1).flatMap((after, i) => {
    const before = seen[i]!;
    if (before.si === null || after.si === null || touched(history, others, before, after))
      return [];
    const by = twistsAt(history, twists, after.seq) - twistsAt(history, twists, before.seq);
    return Math.abs(by) < 0.25 ? [] : [{ twists: by, movedMm: after.si - before.si }];
  });
}

const touched = (history: History, keys: readonly string[], from: Reading, to: Reading) =>
  keys.some((key) => (history.get(key) ?? []).some(({ seq }) => seq > from.seq && seq < to.seq));

const MODULES = ['newModule', 'newLimb', 'moduleTop', 'moduleBottom'] as const;

export const stringMoves = (history: History) =>
  twistMoves(history, 'stringTwists', 'drawLength', [...MODULES, 'cableTwists']);

export const cableMoves = (history: History) =>
  twistMoves(history, 'cableTwists', 'timing', [
    ...MODULES,
    'stringTwists',
    'limbTurnsUpper',
    'limbTurnsLower',
  ]);

/** What shims or yoke twists did to a cam's lean, nothing else touched meanwhile. */
export const leanMoves = (history: History, cam: 'upper' | 'lower') =>
  twistMoves(
    history,
    cam === 'upper' ? 'leanFixUpper' : 'leanFixLower',
    cam === 'upper' ? 'camLeanUpper' : 'camLeanLower',
    ['stringTwists', 'cableTwists', 'limbTurnsUpper', 'limbTurnsLower', 'cableGuard'],
  );

/** Whether a reading was taken after the twists it answers to were last noted. */
export const fresherThan = (history: History, key: string, twists: string): boolean =>
  (latest(history, key)?.seq ?? -1) > (latest(history, twists)?.seq ?? 0);
