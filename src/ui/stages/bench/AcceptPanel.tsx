'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { JobStep } from '@/core/route';
import { Panel } from '../../frame/Panel';
import { useJob } from '../../job/JobProvider';
import { bench as w, frame } from '../../words';

/** Signs a step off although something is missing or out, with the reason. */
export function AcceptPanel({ step, onClose }: { step: JobStep; onClose: () => void }) {
  const { send } = useJob();
  const [reason, setReason] = useState('');
  const [trouble, setTrouble] = useState('');
  const sign = async () => {
    if (reason.trim().length < 3) return setTrouble(w.acceptShort);
    const answer = await send({ name: 'signStep', stepId: step.id, reason: reason.trim() });
    if (answer) setTrouble(answer.message);
    else onClose();
  };
  return (
    <Panel title={`${w.acceptTitle}: ${step.template.title}`} onClose={onClose}>
      <form
        className="stack"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void sign();
        }}
      >
        <TextField
          id="accept-reason"
          autoFocus
          label={w.acceptReason}
          autoComplete="off"
          value={reason}
          error={trouble !== ''}
          helperText={trouble || w.acceptText}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onChange={(event) => {
            setReason(event.target.value);
            setTrouble('');
          }}
        />
        <div className="actions">
          <Button type="submit" variant="contained">
            {w.acceptDo}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
        </div>
      </form>
    </Panel>
  );
}
