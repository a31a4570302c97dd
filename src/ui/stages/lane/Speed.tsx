'use client';
import { archerCautions } from '@/core/job';
import { write } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { lane as w } from '../../words';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { StepWork } from '../bench/StepWork';
import { LaneParts } from './LaneParts';

/** What the chronograph says, held against the prediction. */
export function Speed() {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const units = snapshot.shop.units;
  const step = derived.plan.steps.find(({ id }) => id === 'speed')!;
  const predicted = derived.context.predictedSpeed;
  return (
    <>
      <main className="work">
        <LaneParts current="speed" />
        <p className="step-say">{step.template.say(derived.context)}</p>
        <StepWork
          step={step}
          asked={null}
          onward={
            <Button
              variant="outlined"
              component={Link}
              href={href('lane', { part: 'first' })}
              scroll={false}
            >
              {w.first}
            </Button>
          }
        />
      </main>
      <Margin
        because={[
          ...(predicted
            ? [
                w.because.speed(
                  write(predicted.speedMps, 'speed', units),
                  write(predicted.sigmaMps, 'speed', units),
                ),
              ]
            : []),
          w.because.model,
        ]}
        watch={[
          { id: 'target', text: w.watch.target, stop: true },
          ...archerCautions(snapshot).filter(({ id }) => id === 'minor' || id === 'injury'),
        ]}
      />
    </>
  );
}
