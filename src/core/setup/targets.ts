import type { TargetContext } from './target-context';
import type { Target } from './value-entry';
import { sinceLastChange } from './changes';
import { MOVED_BY_PAPER } from './reading';
import { setupValue, type History, type Reading, type SetupKey } from './registry';

/** The band a value may be moved in by paper, around the figure it was first set to. */
export function paperBand(key: SetupKey, context: TargetContext): Target | null {
  const figure = firstTarget(key, context);
  const from = figure?.si ?? context.history.get(key)?.find(({ si }) => si !== null)?.si ?? null;
  if (from === null) return null;
  const { paperBand: band, tolerance } = setupValue(key);
  const reach = band ?? tolerance;
  return {
    si: from,
    low: Math.min(figure?.low ?? from, from - reach),
    high: Math.max(figure?.high ?? from, from + reach),
    reason: 'The part’s own band; further off another cause is looked for',
    source: figure?.source ?? 'shop rule',
  };
}

/** Where the lane put it: paper decides over the figure a value was first set to, within its band. */
function byPaper(key: SetupKey, context: TargetContext): Target | null {
  const rows = context.history.get(key) ?? [];
  const moved = rows.findLast(({ method }) => method === MOVED_BY_PAPER);
  const band = moved ? paperBand(key, context) : null;
  if (!moved || moved.si === null || !band) return null;
  return {
    ...band,
    si: moved.si,
    reason: `Where the tears on the lane put it. ${band.reason}`,
    source: 'calculation',
  };
}

/** @returns null where nothing is wanted but the reading itself. */
export function targetOf(key: SetupKey, context: TargetContext): Target | null {
  return byPaper(key, context) ?? firstTarget(key, context);
}

function firstTarget(key: SetupKey, context: TargetContext): Target | null {
  const { target: make, tolerance } = setupValue(key);
  const held = context.like?.holds[key];
  if (held !== undefined)
    return {
      si: held,
      low: held - tolerance,
      high: held + tolerance,
      reason: `As on the model: ${context.like!.title}`,
      source: 'model',
    };
  const target = make?.(context, (of, others) =>
    sinceLastChange(context.history as History, of as SetupKey, others as readonly SetupKey[]),
  );
  if (!target) return null;
  return { low: target.si - tolerance, high: target.si + tolerance, ...target };
}

export type Standing = 'in' | 'out' | 'noTarget';

const EDGE = 1e-6;

/** Whether a reading lies in its target's band; a tear by its length. */
export function standing(reading: Reading, target: Target | null): Standing {
  if (!target || reading.si === null) return 'noTarget';
  const { kind } = setupValue(reading.key);
  const value = kind === 'tear' ? Math.hypot(reading.si, reading.si2 ?? 0) : reading.si;
  return value >= target.low - EDGE && value <= target.high + EDGE ? 'in' : 'out';
}
