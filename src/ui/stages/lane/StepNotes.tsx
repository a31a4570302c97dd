'use client';
import type { JobStep } from '@/core/route';
import { useJob } from '../../job/JobProvider';
import { ComesFirst, Signed, SignOff } from '../../job/SignOff';
import { bench as w } from '../../words';
import { StepSay } from '../../pieces/layout';
import { Note } from '../../pieces/texts';

/** What to do, what should come first, and a way to sign off what is left out or again. */
export function StepNotes({ step, say = false }: { step: JobStep; say?: boolean }) {
  const { derived } = useJob();
  const stale = step.values.find((value) => value.stale)?.stale;
  return (
    <>
      {say && <StepSay>{step.template.say(derived.context)}</StepSay>}
      <ComesFirst step={step} />
      {stale && (
        <Note kind="again">
          <b>{w.again}</b>: {stale.sentence}
        </Note>
      )}
      <Signed step={step} />
      <SignOff step={step} />
    </>
  );
}
