'use client';
import type { JobStep } from '@/core/route';
import { useJob } from '../../job/JobProvider';

/** What is done at the sight once the first distance is settled. */
export const SIGHT_STEPS: readonly string[] = ['thirdAxisShot', 'pins', 'tape'];

/** The steps this job's sight brings along after the first distance. */
export function useSightSteps(): readonly JobStep[] {
  return useJob().derived.plan.steps.filter(({ id }) => SIGHT_STEPS.includes(id));
}
