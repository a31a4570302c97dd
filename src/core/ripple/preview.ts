import { latest, type History, setupValue, type Reading, type SetupKey } from '../setup';
import { staleValues } from './ripple';

/** Of a step of the plan: what it takes, and how long. */
interface PreviewedStep {
  readonly template: { readonly reads: readonly SetupKey[]; readonly minutes: number };
}

interface RipplePreview {
  /** What would have to be done again and does not have to now. */
  readonly keys: readonly SetupKey[];
  /** Of the steps that take those, by their usual length. */
  readonly minutes: number;
}

/**
 * What a change of a value taken already would ask for again, before it is done: the readings as they
 * stand with one more that differs, looked at by the same rule as the real ones. Nothing for a value
 * that was never taken: its first reading changes nothing.
 */
export function ripplePreview(
  key: SetupKey,
  history: History,
  plan: { readonly steps: readonly PreviewedStep[] },
): RipplePreview {
  const last = latest(history, key);
  if (!last) return { keys: [], minutes: 0 };
  const rows = history.get(key)!;
  const seq = 1 + Math.max(...[...history.values()].flat().map((reading) => reading.seq));
  const then: History = new Map([...history, [key, [...rows, changed(last, seq)]]]);
  const already = new Set(staleValues(history).map((stale) => stale.key));
  const keys = staleValues(then)
    .map((stale) => stale.key)
    .filter((other) => !already.has(other) && other !== key);
  const steps = plan.steps.filter(({ template }) =>
    template.reads.some((other) => keys.includes(other)),
  );
  return { keys, minutes: steps.reduce((sum, { template }) => sum + template.minutes, 0) };
}

/** A reading that says something else than the last one, beyond every tolerance. */
function changed(last: Reading, seq: number): Reading {
  const by = 2 * setupValue(last.key).tolerance + 1;
  return {
    ...last,
    seq,
    si: last.si === null ? by : last.si + by,
    choice: last.choice === null ? null : `not ${last.choice}`,
  };
}
