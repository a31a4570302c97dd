'use client';
import type { JobStep } from '@/core/route';
import { useJob } from '../../job/JobProvider';
import { ComesFirst, Signed, SignOff } from '../../job/SignOff';
import { bench as w } from '../../words';

/** What to do, what should come first, and a way to sign off what is left out or again. */
export function StepNotes({ step, say = false }: { step: JobStep; say?: boolean }) {
  const { derived } = useJob();
  const stale = step.values.find((value) => value.stale)?.stale;
  return (
    <>
      {say && <p className="step-say">{step.template.say(derived.context)}</p>}
      <ComesFirst step={step} />
      {stale && (
        <p className="note" data-kind="again">
          <b>{w.again}</b>: {stale.sentence}
        </p>
      )}
      <Signed step={step} />
      <SignOff step={step} />
    </>
  );
}
