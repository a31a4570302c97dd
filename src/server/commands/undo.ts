import type { JobSnapshot } from '@/core/job';
import { addDays } from '@/core/units';
import { dropCurve } from '@/data/curves';
import type { Db } from '@/data/db';
import { type StoredPart, putPart, updateArcher, updateJob, jobById } from '@/data/jobs';
import {
  acknowledge,
  appendReading,
  markUndone,
  unacknowledge,
  undoable,
  withdrawException,
} from '@/data/records';
import { reservedByOthers } from '@/data/reservations';
import { itemById } from '@/data/stock';
import { shopDay } from '../clock';
import { cannot, type Handlers, type Inverse, type Work } from './types';

/** Taking back the newest entry. */
export const UNDO = {
  undo(_, work) {
    const entry = undoable(work.db, work.snapshot.job.id);
    if (!entry) throw cannot('nothing-to-undo', 'There is nothing left to take back.');
    takeBack(entry.inverse as Inverse, work);
    markUndone(work.db, entry.id);
    return { summary: `Taken back: ${entry.summary}`, inverse: null };
  },
} satisfies Partial<Handlers>;

function takeBack(inverse: Inverse, { db, snapshot, who, at }: Work): void {
  const jobId = snapshot.job.id;
  switch (inverse.do) {
    case 'retract':
      for (const retracts of inverse.seqs) {
        appendReading(db, {
          jobId,
          bowId: null,
          key: 'retraction',
          si: null,
          si2: null,
          choice: null,
          entered: '',
          method: 'undo',
          who,
          at,
          retracts,
        });
      }
      return;
    case 'restore':
      if (inverse.archer) updateArcher(db, inverse.archer);
      if (inverse.job) updateJob(db, { ...jobById(db, jobId)!, ...inverse.job });
      for (const { slot, row } of [
        ...(inverse.part ? [inverse.part] : []),
        ...(inverse.parts ?? []),
      ])
        putPart(db, jobId, slot, row && stillFree(row, db, snapshot));
      return;
    case 'dropCurve':
      dropCurve(db, inverse.curveId);
      return;
    case 'withdraw':
      withdrawException(db, jobId, inverse.exceptionId);
      return;
    case 'acknowledge':
      if (inverse.yes) acknowledge(db, jobId, inverse.cautionId, who, at);
      else unacknowledge(db, jobId, inverse.cautionId);
  }
}

/** A part that was put back is put aside again; taken by another job meanwhile, it has to be ordered. */
function stillFree(row: StoredPart, db: Db, { job, shop }: JobSnapshot): StoredPart {
  if (row.owned || row.itemId === null || row.arrivesDay !== null) return row;
  const item = itemById(db, row.itemId);
  if (!item || item.stock > (reservedByOthers(db, job.id).get(item.id) ?? 0)) return row;
  return { ...row, arrivesDay: addDays(shopDay(shop.timeZone), item.deliveryDays) };
}
