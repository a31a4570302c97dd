'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { isOpen, openVisitOf } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import { ReasonPanel } from '../../job/ReasonPanel';
import { closingWords as w } from '../../words';

/** Somebody went elsewhere, or thought better of it: the ticket is closed with a reason. */
export function CloseTicket() {
  const { snapshot, send } = useJob();
  const [asking, setAsking] = useState(false);
  if (!isOpen(snapshot.job) || openVisitOf(snapshot.job)) return null;
  return (
    <>
      <Button variant="plain" data-part="close-ticket" onClick={() => setAsking(true)}>
        {w.ask}
      </Button>
      {asking && (
        <ReasonPanel
          title={w.close}
          text={w.closeText}
          action={w.action}
          hint={w.hint}
          onReason={(reason) => send({ name: 'closeTicket', reason })}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
