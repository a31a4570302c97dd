import { refused, type Refused } from '../outcome';
import { writeMoney } from '../units';
import { moneyOf } from './delivery';
import type { Job, JobSnapshot } from './types';
import { openVisitOf } from './visit';

/** Whether there is still work to come of it: neither with its archer nor closed. */
export const isOpen = ({ deliveredAt, closed }: Pick<Job, 'deliveredAt' | 'closed'>): boolean =>
  deliveredAt === null && closed === null;

/** Why a ticket cannot be closed as it stands, with what is to be done first; null where it can. */
export function notToClose({ job, payments }: JobSnapshot): Refused | null {
  if (job.closed) return refused('closed', 'This ticket is closed already.');
  if (job.deliveredAt !== null)
    return refused('with-archer', 'Its bow was handed over: this ticket came to something.');
  if (openVisitOf(job))
    return refused(
      'visit-open',
      'Its bow is here on a visit: end the visit, and it is with its archer again.',
    );
  const { paidCents } = moneyOf(payments, 0);
  if (paidCents > 0)
    return refused(
      'money-held',
      `${writeMoney(paidCents)} of it were paid: give them back and note it at the handover, then close it.`,
    );
  if (paidCents < 0)
    return refused(
      'money-owed',
      `${writeMoney(-paidCents)} more were given back than paid: put the payments right at the handover, then close it.`,
    );
  return null;
}

/** What the entry is called that closes a ticket; its reason comes after it. */
export const CLOSED_ENTRY = 'Ticket closed';

/** Told to whoever makes an entry on a ticket that is closed. */
export const CLOSED_TICKET = [
  'closed',
  'This ticket is closed. Open it again before anything is entered.',
] as const;
