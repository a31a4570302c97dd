import type { JobDerived, JobSnapshot } from '@/core/job';
import type { Holding } from '@/core/kit';
import { latest } from '@/core/setup';
import { pieceBySerial, savePiece } from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import { heldBow, putHeldBow, putPart } from '@/data/jobs';
import { heldOfBow, setLeftWith } from './bow';
import { storedPart } from './hold';
import { bowShelf, heldPart, layBack, partShelf, takeOff } from './shelf';

/** Not there yet on the day: it stays among the orders and goes with a later handover. */
const isStillToCome = ({ arrivesDay, arrivedAt }: Holding, today: string): boolean =>
  arrivedAt === null && arrivesDay !== null && arrivesDay > today;

/**
 * Bow and parts leave the shop with the archer, each once: what was handed over before is passed by,
 * what was added since goes now, what has not come yet stays.
 */
export function leaveTheShop(snapshot: JobSnapshot, derived: JobDerived, db: Db): void {
  const jobId = snapshot.job.id;
  const shelf = partShelf(db, snapshot);
  for (const { slot } of snapshot.parts) {
    const row = storedPart(db, jobId, slot);
    if (!row || row.owned || row.handedOver || isStillToCome(row, snapshot.today)) continue;
    takeOff(shelf, heldPart(row));
    putPart(db, jobId, slot, { ...row, handedOver: true });
  }
  const bow = heldBow(db, jobId);
  if (!bow || bow.handedOver || isStillToCome(bow, snapshot.today)) return;
  takeOff(bowShelf(db, snapshot), heldOfBow(bow));
  // A bow that was brought along is none of the shop's single ones.
  const serial = bow.serial ?? (snapshot.job.elsewhere ? null : readSerial(derived, bow.bowId, db));
  putHeldBow(db, jobId, { ...bow, serial, handedOver: true });
  setLeftWith(db, serial, jobId);
}

/** The number read off a new bow names it from now on; null where none was, or another bow has it. */
function readSerial({ history }: JobDerived, bowId: string, db: Db): string | null {
  const reading = latest(history, 'serialNumber');
  const serial = (reading?.choice ?? reading?.entered ?? '').trim().slice(0, 60);
  if (serial === '') return null;
  const known = pieceBySerial(db, serial);
  if (known)
    return known.bowId === bowId && known.condition === 'new' && !known.leftWith ? serial : null;
  savePiece(db, { serial, bowId, condition: 'new', priceCents: null, note: '', leftWith: null });
  return serial;
}

/** A handover taken back: what left the shelf lies there again, put aside for this job as before. */
export function comeBack(snapshot: JobSnapshot, db: Db): void {
  const jobId = snapshot.job.id;
  const shelf = partShelf(db, snapshot);
  for (const { slot } of snapshot.parts) {
    const row = storedPart(db, jobId, slot);
    if (!row || row.owned || !row.handedOver) continue;
    layBack(shelf, heldPart(row));
    putPart(db, jobId, slot, { ...row, handedOver: false });
  }
  const bow = heldBow(db, jobId);
  if (!bow?.handedOver) return;
  layBack(bowShelf(db, snapshot), heldOfBow(bow));
  putHeldBow(db, jobId, { ...bow, handedOver: false });
  setLeftWith(db, bow.serial, null);
}
