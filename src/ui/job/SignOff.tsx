'use client';
import { isFinished, type JobStep } from '@/core/route';
import { bench as w } from '../words';
import { Note } from '../pieces/texts';
import { useJob } from './JobProvider';
import { ReasonButton } from './ReasonButton';

/** A way to sign a step off although something is missing, out or to do again. */
export function SignOff({ step }: { step: JobStep }) {
  const { send } = useJob();
  if (isFinished(step)) return null;
  return (
    <ReasonButton
      title={w.acceptTitle}
      text={step.template.title}
      action={w.acceptDo}
      onReason={(reason) => send({ name: 'signStep', stepId: step.id, reason })}
    >
      {w.accept}
    </ReasonButton>
  );
}

/** The signature that stands, with its reason and name. */
export const Signed = ({ step: { exception } }: { step: JobStep }) =>
  exception && (
    <Note>
      <b>{w.signed}</b>: {exception.reason} ({exception.who})
    </Note>
  );

/** Steps that should come first, by name. */
export function ComesFirst({ step }: { step: JobStep }) {
  const { derived } = useJob();
  if (step.missing.length === 0) return null;
  const title = (id: string) => derived.plan.steps.find((s) => s.id === id)?.template.title;
  return (
    <Note>
      <b>{w.first}</b> {step.missing.map(title).join(' · ')}
    </Note>
  );
}
