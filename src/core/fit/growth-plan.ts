import { N_PER_POUND, addDays, newton, type Newton } from '../units';

/** Most that is added at once (2 lb). Shop rule. */
export const GROWTH_STEP_N = newton(9);
/** Days between two steps. Shop rule. */
const GROWTH_DAYS = 14;
/** Of a child, whose bones still grow (1 lb). Shop rule. */
const CHILD_STEP_N = newton(N_PER_POUND);
/** Days between two steps of a child. Shop rule. */
const CHILD_DAYS = 30;
/** What an archer shows before the next step. Shop rule. */
export const HOLD_TEST = '10 s steady at full draw, 12 arrows, no lifting to the sky';

export interface GrowthStep {
  /** Earliest day, YYYY-MM-DD; the hold test decides whether it is taken. */
  readonly day: string;
  readonly peakN: Newton;
}

interface GrowthLimits {
  /** Under 16: a pound a month at most. */
  readonly isChild?: boolean;
  /** Lightest trial that strained, failed or hurt: the plan ends there. */
  readonly strainedN?: number | null;
  /** Steps at most; the way may go on after them. */
  readonly most?: number;
}

/**
 * Weights an archer may grow into, two pounds a fortnight (a child a pound a month), from the start
 * weight up to what the limbs give and never past what strained (docs/models.md section 2; shop rules). Dates are the earliest possible, no promise.
 *
 * @param fromDay day of the start weight, YYYY-MM-DD.
 * @returns nothing when the start is already the top.
 */
export function growthPlan(
  startN: Newton,
  topN: Newton,
  fromDay: string,
  { isChild = false, strainedN = null, most = 6 }: GrowthLimits = {},
): readonly GrowthStep[] {
  const [step, days] = isChild ? [CHILD_STEP_N, CHILD_DAYS] : [GROWTH_STEP_N, GROWTH_DAYS];
  const top = Math.min(topN, strainedN ?? topN);
  const steps: GrowthStep[] = [];
  let peakN = startN as number;
  while (steps.length < most && peakN < top - 1e-9) {
    peakN = Math.min(top, peakN + step);
    steps.push({ day: addDays(fromDay, days * (steps.length + 1)), peakN: newton(peakN) });
  }
  return steps;
}
