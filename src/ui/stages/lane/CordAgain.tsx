'use client';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';

/** Steps that end the work on the rest’s cord, once paper is done. */
const CORD_STEPS: readonly string[] = ['cordTie', 'cordAgain'];

/** The step this job’s rest brings along after paper; null where it brings none. */
export function useCordStep() {
  const { plan } = useJob().derived;
  return plan.steps.find(({ id }) => CORD_STEPS.includes(id)) ?? null;
}

/** The cord after paper: tied for good, or taken up. */
export function CordAgain() {
  const step = useCordStep();
  return (
    <>
      <main className="work">
        <LaneParts current="cord" />
        {step ? (
          <LaneStep step={step} nextPart="speed" nextName={w.speed} />
        ) : (
          <p className="note">{w.noCord}</p>
        )}
      </main>
      <Margin
        because={[w.because.cord]}
        watch={(step?.template.watch ?? []).map((text) => ({ id: text, text }))}
      />
    </>
  );
}
