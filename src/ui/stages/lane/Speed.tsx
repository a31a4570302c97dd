'use client';
import { archerCautions } from '@/core/job';
import { write } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';

/** What the chronograph says, held against the prediction. */
export function Speed() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const step = derived.plan.steps.find(({ id }) => id === 'speed')!;
  const predicted = derived.context.predictedSpeed;
  return (
    <>
      <main className="work">
        <LaneParts current="speed" />
        <LaneStep step={step} nextPart="first" nextName={w.first} />
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
