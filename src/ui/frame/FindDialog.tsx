'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import TextField from '@mui/material/TextField';
import { frame } from '../words';
import { Panel } from './Panel';
import { useFind } from './useFind';

export function FindDialog({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState('');
  const found = useFind(text);
  const router = useRouter();
  const go = (jobId: string) => {
    onClose();
    router.push(`/jobs/${jobId}`);
  };
  return (
    <Panel title={frame.findTitle} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (found?.[0]) go(found[0].jobId);
        }}
      >
        <TextField
          id="find"
          autoFocus
          autoComplete="off"
          label={frame.findLabel}
          value={text}
          helperText={frame.findHint}
          onChange={(event) => setText(event.target.value)}
        />
      </form>
      <ul className="found" aria-live="polite">
        {found?.map(({ jobId, number, name, about }) => (
          <li key={jobId}>
            <button type="button" onClick={() => go(jobId)}>
              <b>{name}</b> <span className="soft">{about}</span>
              <span className="figure soft">{frame.ticket(number)}</span>
            </button>
          </li>
        ))}
        {found?.length === 0 && <li className="empty">{frame.findNothing(text.trim())}</li>}
      </ul>
    </Panel>
  );
}
