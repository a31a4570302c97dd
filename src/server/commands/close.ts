import { bowName } from '@/core/bow';
import { CLOSED_ENTRY, notToClose, type Job } from '@/core/job';
import { isUnderWay, type Slot } from '@/core/kit';
import { heldBow, jobById, putHeldBow, updateJob } from '@/data/jobs';
import { freshGoals, giveBowUp } from './bow';
import { putHeld, storedPart, type OrderFate } from './hold';
import { cannot, ofStage, pick, type Handlers, type Work } from './types';

/** A ticket that came to nothing: what it held lies on the shelf again, and no list asks for it any more. */
export const CLOSE = ofStage('', {
  closeTicket({ reason, ordered }, work) {
    const { db, snapshot, who, at } = work;
    const { job } = snapshot;
    const refusal = notToClose(snapshot);
    if (refusal) throw cannot(refusal.reason, refusal.message);
    const why = reason.trim();
    if (why.length < 3) throw cannot('no-reason', 'Say why, in a few words.', '/command/reason');
    const slots = shopsOwn(work);
    // What was brought along is theirs, and stays theirs.
    const bow = job.elsewhere ? null : heldBow(db, job.id);
    askOfOrders(work, slots, ordered);
    const parts = slots.map((slot) => ({ slot, row: putHeld(work, slot, null, ordered) }));
    if (bow) {
      putHeldBow(db, job.id, null);
      giveBowUp(work, bow, ordered);
    }
    const fields: Partial<Job> = {
      ...(bow ? freshGoals(null, '', snapshot) : {}),
      closed: { at, who, why },
    };
    updateJob(db, { ...jobById(db, job.id)!, ...fields });
    return {
      summary: `${CLOSED_ENTRY}: ${why}`,
      inverse: {
        do: 'restore',
        job: pick(job, Object.keys(fields) as (keyof Job)[]),
        parts,
        ...(bow ? { bow } : {}),
      },
    };
  },

  reopenTicket(_command, { db, snapshot }) {
    if (!snapshot.job.closed) throw cannot('not-closed', 'This ticket is not closed.');
    updateJob(db, { ...jobById(db, snapshot.job.id)!, closed: null });
    return { summary: 'Ticket opened again, without what it held', inverse: null };
  },
} satisfies Partial<Handlers>);

const shopsOwn = ({ db, snapshot }: Work): Slot[] =>
  snapshot.parts
    .map(({ slot }) => slot)
    .filter((slot) => storedPart(db, snapshot.job.id, slot)?.owned === false);

/** One question for all that is on its way. */
function askOfOrders(work: Work, slots: readonly Slot[], fate: OrderFate | undefined): void {
  const { db, snapshot } = work;
  const { job, bow } = snapshot;
  const held = job.elsewhere ? null : heldBow(db, job.id);
  const rows = slots.map((slot) => storedPart(db, job.id, slot)!);
  const names = [
    ...(held && bow && isUnderWay(held) ? [bowName(bow)] : []),
    ...rows.filter(isUnderWay).map(({ label }) => label),
  ];
  if (names.length === 0 || fate !== undefined) return;
  throw cannot(
    'is-ordered',
    names.length === 1
      ? `${names[0]} is ordered. Does it come all the same, for the shelf, or was it called off?`
      : `${names.join(', ')} are ordered. Do they come all the same, for the shelf, or were they called off?`,
    '/command/ordered',
  );
}
