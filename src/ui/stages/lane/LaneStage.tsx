'use client';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { lane as w } from '../../words';
import { NoBow } from '../bench/BenchStage';
import { nextStep } from '../bench/next-step';
import { CordAgain } from './CordAgain';
import { FirstDistance } from './FirstDistance';
import { Marks } from './Marks';
import { Paper } from './Paper';
import { SightSet } from './SightSet';
import { SIGHT_STEPS } from './useSightSteps';
import { Speed } from './Speed';

const PART_OF_STEP: Readonly<Record<string, string>> = {
  paper: 'paper',
  cordTie: 'cord',
  cordAgain: 'cord',
  speed: 'speed',
  firstMark: 'first',
  ...Object.fromEntries(SIGHT_STEPS.map((id) => [id, 'sight'])),
};

/** Paper, chronograph, first distance, marks. */
export function LaneStage() {
  const { snapshot, derived } = useJob();
  const { at } = useStage();
  if (!snapshot.bow) return <NoBow text={w.noBow} />;
  const next = nextStep(derived.plan, 'lane');
  const part = at('part') ?? PART_OF_STEP[at('step') ?? next?.id ?? ''] ?? 'marks';
  if (part === 'paper') return <Paper />;
  if (part === 'cord') return <CordAgain />;
  if (part === 'speed') return <Speed />;
  if (part === 'first') return <FirstDistance />;
  if (part === 'sight') return <SightSet />;
  return <Marks />;
}
