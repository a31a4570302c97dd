'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { JobStep } from '@/core/route';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { StepSay } from '../../pieces/layout';
import { StepWork } from '../bench/StepWork';

/** A step of the lane worked like one of the bench, with the way to the next part. */
export function LaneStep({
  step,
  nextPart,
  nextName,
}: {
  step: JobStep;
  nextPart: string;
  nextName: string;
}) {
  const { context } = useJob().derived;
  const { href } = useStage();
  return (
    <>
      <StepSay>{step.template.say(context)}</StepSay>
      <StepWork
        step={step}
        asked={null}
        onward={
          <Button
            variant="outlined"
            component={Link}
            href={href('lane', { part: nextPart })}
            scroll={false}
          >
            {nextName}
          </Button>
        }
      />
    </>
  );
}
