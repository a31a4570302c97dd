import { addDays, newton, type Newton } from '../units';

/** Most that is added at once (2 lb). Shop rule. */
export const GROWTH_STEP_N = newton(9);
/** Days between two steps. Shop rule. */
export const GROWTH_DAYS = 14;
/** What an archer shows before the next step. Shop rule. */
export const HOLD_TEST = '10 s steady at full draw, 12 arrows, no lifting to the sky';

export interface GrowthStep {
  /** Earliest day, YYYY-MM-DD; the hold test decides whether it is taken. */
  readonly day: string;
  readonly peakN: Newton;
}

/**
 * Weights an archer may grow into, two pounds a fortnight, from the start weight up to what the
 * limbs give (models.md section 2; a shop rule). Dates are the earliest possible, no promise.
 *
 * @param fromDay day of the start weight, YYYY-MM-DD.
 * @param most steps at most; the way may go on after them.
 * @returns nothing when the start is already the top.
 */
export function growthPlan(
  startN: Newton,
  topN: Newton,
  fromDay: string,
  most = 6,
): readonly GrowthStep[] {
  const steps: GrowthStep[] = [];
  let peakN = startN as number;
  while (steps.length < most && peakN < topN - 1e-9) {
    peakN = Math.min(topN, peakN + GROWTH_STEP_N);
    steps.push({ day: addDays(fromDay, GROWTH_DAYS * (steps.length + 1)), peakN: newton(peakN) });
  }
  return steps;
}
