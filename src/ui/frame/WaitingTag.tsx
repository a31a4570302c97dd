'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { Tag } from '../pieces/texts';
import { useConnected } from '../keep/connection';
import { useWaiting } from '../keep/outbox';
import { waitingWords as w } from '../words';
import { WaitingPanel } from './WaitingPanel';
import css from './WaitingTag.module.css';

/** Whether the shop's program answers and what waits for it: on every page, as long as there is something to say. */
export function WaitingTag() {
  const connected = useConnected();
  const waiting = useWaiting();
  const [open, setOpen] = useState(false);
  const asking = waiting.filter(({ stuck }) => stuck).length;
  const said = !connected
    ? w.lost(waiting.length)
    : asking > 0
      ? w.asks(asking)
      : waiting.length > 0
        ? w.sending(waiting.length)
        : null;
  return (
    <>
      <span role="status" className={css.status}>
        {said && (
          <Button variant="plain" className={css.tag} onClick={() => setOpen(true)}>
            <Tag kind={!connected || asking > 0 ? 'out' : 'waits'}>
              <span className={css.long}>{said}</span>
              <span className={css.short} aria-hidden>
                {!connected && waiting.length > 0 ? w.short(waiting.length) : said}
              </span>
            </Tag>
          </Button>
        )}
      </span>
      {open && <WaitingPanel onClose={() => setOpen(false)} />}
    </>
  );
}
