'use client';
import { useId, useState } from 'react';
import Button from '@mui/material/Button';
import { TextField } from '../fields/TextField';
import { devices as w } from '../words';
import { useJob } from './JobProvider';
import css from './Discard.module.css';

/** Leaves a reading out, with the reason that stays in the record. */
export function Discard({ seq }: { seq: number }) {
  const { send } = useJob();
  return (
    <LeaveOut
      onReason={async (reason) =>
        (await send({ name: 'discardReading', seq, reason }))?.message ?? null
      }
    />
  );
}

/** A small button that asks for a reason before anything is left out. */
export function LeaveOut({
  onReason,
}: {
  /** Null when it was taken; else why not. */
  onReason: (reason: string) => Promise<string | null>;
}) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [trouble, setTrouble] = useState('');
  if (!open)
    return (
      <Button
        variant="text"
        size="small"
        className={css.leaveOut}
        data-part="leave-out"
        onClick={() => setOpen(true)}
      >
        {w.leaveOut}
      </Button>
    );
  return (
    <form
      className={css.leaveOutForm}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim().length < 3) return setTrouble(w.noReason);
        void onReason(reason.trim()).then((answer) => {
          setTrouble(answer ?? '');
          if (answer === null) setOpen(false);
        });
      }}
    >
      <TextField
        id={id}
        label={w.whyLeftOut}
        value={reason}
        autoFocus
        autoComplete="off"
        error={trouble !== ''}
        helperText={trouble || undefined}
        slotProps={{ htmlInput: { maxLength: 200 } }}
        onChange={(event) => setReason(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
      />
      <Button type="submit" variant="outlined" size="small">
        {w.leaveOut}
      </Button>
    </form>
  );
}
