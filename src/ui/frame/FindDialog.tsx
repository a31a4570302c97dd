'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Press } from '../pieces/Press';
import { frame } from '../words';
import { pages } from '../words/pages';
import { Empty } from '../pieces/layout';
import { Panel } from './Panel';
import { useFind } from './useFind';
import css from './FindDialog.module.css';

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
      <ul className={css.found} data-part="found" aria-live="polite">
        {found?.map(({ jobId, number, name, about }) => (
          <li key={jobId}>
            <Press type="button" onClick={() => go(jobId)}>
              <b>{name}</b>{' '}
              <Text soft as="span">
                {about}
              </Text>
              <Text variant="figure" soft>
                {frame.ticket(number)}
              </Text>
            </Press>
          </li>
        ))}
        {found?.length === 0 && <Empty as="li">{frame.findNothing(text.trim())}</Empty>}
      </ul>
      <Link href="/code" prefetch={false} onClick={onClose}>
        {pages.code}
      </Link>
    </Panel>
  );
}
