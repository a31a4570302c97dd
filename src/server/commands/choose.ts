import { bowName, drawLengthSteps } from '@/core/bow';
import { type BowCover } from '@/core/fit';
import { derive, jobBowCover, readOptionsFor, type Job, type JobSnapshot } from '@/core/job';
import { objections } from '@/core/kit';
import { read, write } from '@/core/units';
import type { Db } from '@/data/db';
import { partsOf, putPart, type StoredPart, updateJob, jobById } from '@/data/jobs';
import { bowById, itemById } from '@/data/stock';
import { addDays, shopDay } from '../clock';
import { cannot, needReason, pick, spaced, type CommandOf, type Handlers } from './types';

/** Bow, goals and parts. */
export const CHOOSE = {
  chooseBow({ bowId, reason = '' }, { db, snapshot }) {
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
    const cover = bow && jobBowCover(bow, snapshot, derive(snapshot));
    const bowReason = cover?.verdict === 'out' ? uncovered(cover, reason) : '';
    // Goals set for another bow mean nothing on this one.
    const fresh = {
      bowId,
      bowReason,
      moduleStepMm: null,
      moduleReason: '',
      peakTargetN: null,
      peakReason: '',
    };
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fresh });
    return {
      summary: bow ? `Bow: ${bowName(bow)}` : 'Bow put back',
      inverse: { do: 'restore', job: pick(snapshot.job, Object.keys(fresh) as (keyof Job)[]) },
    };
  },

  setGoal({ goal, entered, reason }, { db, snapshot }) {
    const fields =
      goal === 'moduleStep'
        ? moduleGoal(entered, reason, snapshot)
        : weightGoal(entered, reason, snapshot);
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fields });
    return {
      summary:
        entered === null
          ? `${spaced(goal)}: back to the fit`
          : `${spaced(goal)}: ${entered.trim()}`,
      inverse: { do: 'restore', job: pick(snapshot.job, Object.keys(fields) as (keyof Job)[]) },
    };
  },

  choosePart({ slot, itemId, owned, label }, { db, snapshot }) {
    const before = partsOf(db, snapshot.job.id).find((part) => part.slot === slot);
    const row = partRow({ slot, itemId, owned, label }, db, snapshot);
    putPart(db, snapshot.job.id, slot, row);
    const beforeRow: StoredPart | null = before
      ? {
          jobId: snapshot.job.id,
          slot,
          itemId: before.item?.id ?? null,
          owned: before.owned,
          label: before.label,
          priceCents: before.priceCents,
          arrivesDay: before.arrivesDay,
        }
      : null;
    return {
      summary: row
        ? `Kit: ${row.label}${owned ? ', brought along' : ''}`
        : `Kit: ${spaced(slot)} put back`,
      inverse: { do: 'restore', part: { slot, row: beforeRow } },
    };
  },
} satisfies Partial<Handlers>;

/** A bow that does not cover the fit is taken only with a reason, which is kept with what is against it. */
function uncovered({ bow, reasons }: BowCover, reason: string): string {
  if (reason.trim().length >= 3) return `${reasons.join(', ')}: ${reason.trim()}`;
  throw cannot(
    'not-covered',
    `${bowName(bow)} does not cover the fit: ${reasons.join(', ')}. Say why it is taken all the same.`,
    '/command/reason',
  );
}

function moduleGoal(
  entered: string | null,
  reason: string,
  { bow, shop }: JobSnapshot,
): Partial<Job> {
  if (entered === null) return { moduleStepMm: null, moduleReason: '' };
  if (!bow) throw cannot('no-bow', 'Choose a bow first.');
  const result = read(entered, readOptionsFor('moduleTop', shop.units, bow)!);
  if (!result.ok) throw cannot(result.code, result.message, '/command/entered');
  const steps = drawLengthSteps(bow);
  const step = steps.find((length) => Math.abs(length - result.si) < 0.6);
  if (step === undefined) {
    const all = steps.map((length) => write(length, 'length', shop.units)).join(', ');
    throw cannot(
      'no-such-module',
      `This bow has no such setting. It has ${all}.`,
      '/command/entered',
    );
  }
  return { moduleStepMm: step, moduleReason: needReason(reason) };
}

function weightGoal(
  entered: string | null,
  reason: string,
  { bow, shop }: JobSnapshot,
): Partial<Job> {
  if (entered === null) return { peakTargetN: null, peakReason: '' };
  const result = read(entered, {
    quantity: 'force',
    shop: shop.units,
    min: bow?.minPeakN ?? 40,
    max: bow?.maxPeakN ?? 450,
    what: 'peak weight',
  });
  if (!result.ok) throw cannot(result.code, result.message, '/command/entered');
  return { peakTargetN: result.si, peakReason: needReason(reason) };
}

function partRow(
  command: Pick<CommandOf<'choosePart'>, 'slot' | 'itemId' | 'owned' | 'label'>,
  db: Db,
  snapshot: JobSnapshot,
): StoredPart | null {
  const { slot, itemId, owned, label } = command;
  const base = { jobId: snapshot.job.id, slot, owned, arrivesDay: null };
  if (itemId === null) {
    if (!owned) return null;
    if (label.trim() === '')
      throw cannot('no-label', 'Say what the archer brings along.', '/command/label');
    return { ...base, itemId: null, label: label.trim(), priceCents: 0 };
  }
  const item = itemById(db, itemId);
  if (!item || item.slot !== slot)
    throw cannot(
      'unknown-part',
      `There is no part “${itemId}” in the catalogue.`,
      '/command/itemId',
    );
  const against = objections(item, derive(snapshot).kitContext).find(
    (finding) => finding.rule.hard,
  );
  if (against)
    throw cannot(
      against.rule.id,
      `${item.maker} ${item.model} does not fit: ${against.reason}.`,
      '/command/itemId',
    );
  const arrives =
    owned || item.stock > 0 ? null : addDays(shopDay(snapshot.shop.timeZone), item.deliveryDays);
  return {
    ...base,
    itemId,
    label: `${item.maker} ${item.model}`,
    priceCents: owned ? 0 : item.priceCents,
    arrivesDay: arrives,
  };
}
