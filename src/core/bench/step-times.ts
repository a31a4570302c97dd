/** What the bench's clock saw of a step: how often, and the sum of the logarithms of its minutes. */
export interface StepTime {
  readonly count: number;
  readonly sumLogMin: number;
}
export type StepTimes = Readonly<Record<string, StepTime>>;

/** The shipped estimate weighs as much as this many clocked ones. Shop rule. */
const PRIOR_WEIGHT = 3;
/** Shorter is a slip of the finger, longer a bow left lying; neither tells how long the work takes. */
const LEAST_STEP_S = 5;
export const MOST_STEP_S = 90 * 60;

/** Whether a clocked time is one of work. */
export const countsAsWork = (seconds: number) => seconds >= LEAST_STEP_S && seconds <= MOST_STEP_S;

/**
 * Minutes a step is expected to take here: the geometric mean of the shipped estimate and every time
 * clocked, so that one long telephone call does not spoil it. At least one minute, whole minutes.
 */
export function expectedMinutes(shipped: number, seen: StepTime | undefined): number {
  if (!seen || seen.count === 0) return shipped;
  const mean = (PRIOR_WEIGHT * Math.log(shipped) + seen.sumLogMin) / (PRIOR_WEIGHT + seen.count);
  return Math.max(1, Math.round(Math.exp(mean)));
}
