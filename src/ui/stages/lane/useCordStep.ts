'use client';
import { useJob } from '../../job/JobProvider';

/** Steps that end the work on the rest’s cord, once paper is done. */
const CORD_STEPS: readonly string[] = ['cordTie', 'cordAgain'];

/** The step this job’s rest brings along after paper; null where it brings none. */
export function useCordStep() {
  const { plan } = useJob().derived;
  return plan.steps.find(({ id }) => CORD_STEPS.includes(id)) ?? null;
}
