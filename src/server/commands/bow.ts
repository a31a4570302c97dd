import { bowName, pieceCents, type BowRecord } from '@/core/bow';
import type { BowCover } from '@/core/fit';
import { derive, jobBowCover, type Job, type JobSnapshot } from '@/core/job';
import { NOT_HELD, type Holding } from '@/core/kit';
import {
  bowsHeldByOthers,
  holderOf,
  pieceBySerial,
  savePiece,
  type StoredPiece,
} from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import { heldBow, jobById, putHeldBow, updateJob, type StoredBow } from '@/data/jobs';
import { bowById } from '@/data/stock';
import { shopDay } from '../clock';
import { ORDER_STATES, orderState } from './choose';
import { askOfOrder, type OrderFate } from './hold';
import { bowShelf, giveUp, takeAgain, takeFrom, type Held } from './shelf';
import { lastOneGone, ofStage, cannot, pick, type Handlers, type Work } from './types';

/** The bow of a job: which one, put aside or ordered. */
export const BOW = ofStage('bow', {
  chooseBow({ bowId, reason = '', serial = null, fromStock = false, ordered }, work) {
    const { db, snapshot } = work;
    const bow = bowId === null ? null : bowById(db, bowId);
    if (bowId !== null && !bow)
      throw cannot('unknown-bow', 'There is no such bow in stock any more.', '/command/bowId');
    if (bow && bow.hand !== snapshot.archer.hand) {
      throw cannot(
        'wrong-hand',
        `${bowName(bow)} is a ${bow.hand}-hand bow; the archer shoots ${snapshot.archer.hand}-handed.`,
        '/command/bowId',
      );
    }
    const before = heldBow(db, snapshot.job.id);
    if (before && bow?.id !== before.bowId)
      askOfOrder({ ...before, label: bowName(snapshot.bow!) }, ordered);
    // Another one of the same making keeps what was decided for it.
    const { bowId: standing, elsewhere } = snapshot.job;
    const fields =
      bow && bow.id === standing && !elsewhere ? {} : freshGoals(bow, reason, snapshot);
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fields });
    putHeldBow(db, snapshot.job.id, null);
    if (before) giveBowUp(work, before, ordered);
    if (bow) putHeldBow(db, snapshot.job.id, bowRow(bow, { serial, fromStock, before }, work));
    return {
      summary: bow ? `Bow: ${bowName(bow)}${serial ? `, no. ${serial}` : ''}` : 'Bow put back',
      inverse: {
        do: 'restore',
        job: pick(snapshot.job, Object.keys(fields) as (keyof Job)[]),
        bow: before,
      },
    };
  },

  orderBow({ state }, { db, snapshot, at }) {
    const held = heldBow(db, snapshot.job.id);
    if (!held || held.arrivesDay === null || held.handedOver)
      throw cannot('nothing-to-order', 'No bow is ordered for this job.');
    const today = shopDay(snapshot.shop.timeZone);
    const days = [bowById(db, held.bowId)?.deliveryDays ?? 0];
    putHeldBow(db, snapshot.job.id, { ...held, ...orderState(held, state, { at, today, days }) });
    return {
      summary: `${bowName(snapshot.bow!)}: ${ORDER_STATES[state]}`,
      inverse: { do: 'restore', bow: held },
    };
  },
} satisfies Partial<Handlers>);

/** Goals set for another bow mean nothing on this one. */
export function freshGoals(
  bow: BowRecord | null,
  reason: string,
  snapshot: JobSnapshot,
): Partial<Job> {
  const cover = bow && jobBowCover(bow, snapshot, derive(snapshot));
  return {
    bowId: bow?.id ?? null,
    bowReason: cover?.verdict === 'out' ? uncovered(cover, reason) : '',
    moduleStepMm: null,
    moduleReason: '',
    peakTargetN: null,
    peakReason: '',
    elsewhere: null,
  };
}

/** A bow that does not cover the fit is taken only with a reason, which is kept with what is against it. */
function uncovered({ bow, reasons }: BowCover, reason: string): string {
  if (reason.trim().length >= 3) return `${reasons.join(', ')}: ${reason.trim()}`;
  throw cannot(
    'not-covered',
    `${bowName(bow)} does not cover the fit: ${reasons.join(', ')}. Say why it is taken all the same.`,
    '/command/reason',
  );
}

interface Wanted {
  readonly serial: string | null;
  readonly fromStock: boolean;
  readonly before: StoredBow | null;
}

function bowRow(bow: BowRecord, { serial, fromStock, before }: Wanted, work: Work): StoredBow {
  const { db, snapshot } = work;
  const jobId = snapshot.job.id;
  const piece = serial === null ? null : freePiece(bow, serial, work);
  const row = {
    jobId,
    bowId: bow.id,
    serial: piece?.serial ?? null,
    condition: piece?.condition ?? ('new' as const),
    priceCents: pieceCents(bow, piece),
  };
  if (row.condition !== 'new') return { ...row, ...NOT_HELD };
  const shelf = bowShelf(db, snapshot);
  if ((fromStock || piece) && shelf.free(bow.id) <= 0) {
    const last = bowsHeldByOthers(db, bow.id, jobId).at(-1);
    throw justTaken(db, bow, last ?? null);
  }
  // Ordered for this job already, it stands as it does.
  const same = before?.bowId === bow.id && before.condition === 'new' && before.orderedAt !== null;
  return { ...row, ...(same && !piece ? standOf(before) : standOf(takeFrom(shelf, one(bow.id)))) };
}

const justTaken = (db: Db, bow: BowRecord, holder: string | null) =>
  lastOneGone(bowName(bow), holder ? jobById(db, holder)!.number : null, bow.deliveryDays);

/** A single bow nobody else has; refused with who has it. */
function freePiece(bow: BowRecord, serial: string, { db, snapshot }: Work): StoredPiece {
  const piece = pieceBySerial(db, serial);
  if (!piece || piece.bowId !== bow.id)
    throw cannot(
      'unknown-piece',
      `There is no ${bowName(bow)} with the number ${serial} in the shop.`,
      '/command/serial',
    );
  const holder = holderOf(db, serial, snapshot.job.id) ?? piece.leftWith;
  if (holder === null) return piece;
  const { number } = jobById(db, holder)!;
  throw cannot(
    'just-taken',
    `${bowName(bow)} no. ${serial} ${piece.leftWith ? `left the shop with ticket ${number}` : `was put aside for ticket ${number}`}. Take another one.`,
    '/command/serial',
  );
}

const one = (bowId: string) => [{ itemId: bowId, count: 1 }];

const standOf = ({ arrivesDay, orderedAt, arrivedAt, handedOver }: Holding): Holding => ({
  arrivesDay,
  orderedAt,
  arrivedAt,
  handedOver,
});

/** As the shelf counts it; a single used or loan bow is counted nowhere. */
export const heldOfBow = (row: StoredBow): Held => {
  const needed = row.condition === 'new' ? one(row.bowId) : [];
  return { ...standOf(row), needed, short: row.arrivesDay === null ? [] : needed };
};

/** What a job held and holds no more: on the shelf again, or on its way there. */
export function giveBowUp(
  { db, snapshot }: Work,
  row: StoredBow,
  fate: OrderFate | undefined,
): void {
  giveUp(bowShelf(db, snapshot), heldOfBow(row), fate === 'calledOff');
  if (row.handedOver) setLeftWith(db, row.serial, null);
}

export function setLeftWith(db: Db, serial: string | null, jobId: string | null): void {
  const piece = serial === null ? null : pieceBySerial(db, serial);
  if (piece) savePiece(db, { ...piece, leftWith: jobId });
}

/** Holds a bow as it once was held, or none; what is held now is given up, its order kept. */
export function putBowAgain(work: Work, row: StoredBow | null): void {
  const { db, snapshot } = work;
  const jobId = snapshot.job.id;
  const before = heldBow(db, jobId);
  const same = before?.bowId === row?.bowId && before?.serial === row?.serial;
  putHeldBow(db, jobId, null);
  if (before && !same) giveBowUp(work, before, undefined);
  if (row === null) return;
  if (same) return putHeldBow(db, jobId, row);
  const bow = bowById(db, row.bowId)!;
  const piece = row.serial === null ? null : freePiece(bow, row.serial, work);
  if (row.condition !== 'new') putHeldBow(db, jobId, row);
  else
    putHeldBow(db, jobId, {
      ...row,
      ...standOf(takeAgain(bowShelf(db, snapshot), heldOfBow(row))),
    });
  if (piece && row.handedOver) setLeftWith(db, piece.serial, jobId);
}
