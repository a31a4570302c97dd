import type { BowRecord } from '../bow';
import { newton, type Newton } from '../units';
import { growthPlan, isChild, type GrowthStep } from '../fit';
import { weightTrials } from './fit-readings';
import type { JobSnapshot } from './types';

/** How an archer grows into the bow, from the weight it is set to. */
interface JobGrowth {
  /** Fortnight by fortnight from handover on; empty where the bow leaves no room. */
  readonly steps: readonly GrowthStep[];
  readonly isChild: boolean;
  /** What the last step is held at for the test, N. */
  readonly testN: Newton;
  /** The test is at a weight that was hard once, below what the bow can give. */
  readonly isStrained: boolean;
}

/** The plan for one bow: what was strained with the hand that draws now is not passed untested. */
export function jobGrowth(
  {
    archer,
    fitReadings,
    job,
    today,
  }: Pick<JobSnapshot, 'archer' | 'fitReadings' | 'job' | 'today'>,
  bow: Pick<BowRecord, 'maxPeakN'>,
  peakN: Newton,
): JobGrowth {
  const child = isChild(archer.ageBand);
  const hard = weightTrials(fitReadings, archer).filter(({ outcome }) => outcome !== 'smooth');
  const strainedN = hard.length > 0 ? newton(Math.min(...hard.map((trial) => trial.peakN))) : null;
  const isStrained = strainedN !== null && strainedN < bow.maxPeakN;
  return {
    steps: growthPlan(peakN, bow.maxPeakN, job.promisedDay ?? today, { isChild: child, strainedN }),
    isChild: child,
    testN: isStrained ? strainedN : bow.maxPeakN,
    isStrained,
  };
}
