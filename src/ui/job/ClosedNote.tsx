'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { whenText } from '../fields/dates';
import { Actions } from '../pieces/layout';
import { FieldError, Note } from '../pieces/texts';
import { closingWords as w } from '../words';
import { useJob } from './JobProvider';
import css from './ClosedNote.module.css';

/** Stands above every stage of a ticket that came to nothing: why, and the way back. */
export function ClosedNote() {
  const { snapshot, send, sending } = useJob();
  const [trouble, setTrouble] = useState('');
  const { closed } = snapshot.job;
  if (!closed) return null;
  const open = async (command: { name: 'undo' } | { name: 'reopenTicket' }) =>
    setTrouble((await send(command))?.message ?? '');
  const when = whenText(closed.at, snapshot.shop.timeZone, snapshot.today);
  return (
    <Note className={css.closed} data-part="closed">
      <b>{w.closed}</b> {w.since(when, closed.who, closed.why)} {w.againSays}
      <Actions>
        <Button variant="outlined" disabled={sending} onClick={() => void open({ name: 'undo' })}>
          {w.again}
        </Button>
        <Button
          variant="text"
          disabled={sending}
          onClick={() => void open({ name: 'reopenTicket' })}
        >
          {w.againBare}
        </Button>
      </Actions>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </Note>
  );
}
