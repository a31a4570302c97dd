'use client';
import { isOpen, openVisitOf } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import { ReasonButton } from '../../job/ReasonButton';
import { closingWords as w } from '../../words';

/** Somebody went elsewhere, or thought better of it: the ticket is closed with a reason. */
export function CloseTicket() {
  const { snapshot, send } = useJob();
  if (!isOpen(snapshot.job) || openVisitOf(snapshot.job)) return null;
  return (
    <ReasonButton
      variant="plain"
      title={w.close}
      text={w.closeText}
      action={w.action}
      hint={w.hint}
      onReason={(reason) => send({ name: 'closeTicket', reason })}
    >
      {w.ask}
    </ReasonButton>
  );
}
