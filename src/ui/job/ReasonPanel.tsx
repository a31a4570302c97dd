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

/** Something is overruled: why, in a few words, for the sheet. */
export function ReasonPanel({
  title,
  text,
  action,
  onReason,
  onClose,
}: {
  title: string;
  text: string;
  action: string;
  onReason: (reason: string) => Promise<Trouble | null>;
  onClose: () => void;
}) {
  const { value: reason, set: setReason, forget } = useKept(`reason.${title}`, () => '');
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
          helperText={trouble || frame.reasonHint}
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
