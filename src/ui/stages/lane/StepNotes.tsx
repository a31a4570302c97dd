'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { JobStep } from '@/core/route';
import { useJob } from '../../job/JobProvider';
import { ReasonPanel } from '../../job/ReasonPanel';
import { bench as w } from '../../words';

/** What to do, what should come first, and a way to sign off what is left open or out. */
export function StepNotes({ step, say = false }: { step: JobStep; say?: boolean }) {
  const { derived, send } = useJob();
  const [accepting, setAccepting] = useState(false);
  const title = (id: string) => derived.plan.steps.find((s) => s.id === id)?.template.title;
  const stale = step.values.find((value) => value.stale)?.stale;
  return (
    <>
      {say && <p className="step-say">{step.template.say(derived.context)}</p>}
      {step.missing.length > 0 && (
        <p className="note">
          <b>{w.first}</b> {step.missing.map(title).join(' · ')}
        </p>
      )}
      {stale && (
        <p className="note" data-kind="again">
          <b>{w.again}</b>: {stale.sentence}
        </p>
      )}
      {step.exception && (
        <p className="note">
          <b>{w.signed}</b>: {step.exception.reason} ({step.exception.who})
        </p>
      )}
      {(step.state === 'out' || step.state === 'again') && (
        <Button variant="text" onClick={() => setAccepting(true)}>
          {w.accept}
        </Button>
      )}
      {accepting && (
        <ReasonPanel
          title={w.acceptTitle}
          text={step.template.title}
          action={w.acceptDo}
          onReason={(reason) => send({ name: 'signStep', stepId: step.id, reason })}
          onClose={() => setAccepting(false)}
        />
      )}
    </>
  );
}
