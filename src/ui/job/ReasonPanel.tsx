'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { frame } from '../words';
import { useKept } from '../keep/useKept';
import type { Trouble } from '../keep/post';
import { Actions } from '../pieces/layout';
import { useJob } from './JobProvider';

/** Something is overruled: why, in a few words, for the sheet or where `hint` says. */
export function ReasonPanel({
  title,
  text,
  action,
  hint = frame.reasonHint,
  onReason,
  onClose,
}: {
  title: string;
  text: string;
  action: string;
  hint?: string;
  onReason: (reason: string) => Promise<Trouble | null>;
  onClose: () => void;
}) {
  const { snapshot } = useJob();
  // A reason for one thing says nothing of another, and nothing of another’s.
  const {
    value: reason,
    set: setReason,
    forget,
  } = useKept(`${snapshot.job.id}.reason.${title}.${text}`, () => '');
  const [trouble, setTrouble] = useState('');
  const give = async () => {
    if (reason.trim().length < 3) return setTrouble(frame.reasonShort);
    const answer = await onReason(reason.trim());
    if (answer) setTrouble(answer.message);
    else {
      forget();
      onClose();
    }
  };
  return (
    <Panel title={title} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void give();
        }}
      >
        <p>{text}</p>
        <TextField
          id="reason"
          autoFocus
          label={frame.reason}
          autoComplete="off"
          value={reason}
          error={trouble !== ''}
          helperText={trouble || hint}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onChange={(event) => {
            setReason(event.target.value);
            setTrouble('');
          }}
        />
        <Actions>
          <Button type="submit" variant="contained">
            {action}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}
