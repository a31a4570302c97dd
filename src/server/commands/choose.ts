import { bowName, drawLengthSteps } from '@/core/bow';
import { type BowCover } from '@/core/fit';
import { derive, jobBowCover, readOptionsFor, type Job, type JobSnapshot } from '@/core/job';
import {
  checkKit,
  objections,
  partName,
  partOf,
  sellCents,
  type CatalogueItem,
  type KitContext,
  type Slot,
} from '@/core/kit';
import { addDays, read, write } from '@/core/units';
import type { Db } from '@/data/db';
import { partsOf, putPart, type StoredPart, updateJob, jobById } from '@/data/jobs';
import { lastReservedBy, reservedByOthers } from '@/data/reservations';
import { bowById, itemById } from '@/data/stock';
import { shopDay } from '../clock';
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

  choosePart({ slot, itemId, owned, label, fromStock = false }, { db, snapshot }) {
    const beforeRow = storedPart(db, snapshot.job.id, slot);
    const row = partRow({ slot, itemId, owned, label, fromStock }, db, snapshot);
    putPart(db, snapshot.job.id, slot, row);
    return {
      summary: row
        ? `Kit: ${row.label}${owned ? ', brought along' : ''}`
        : `Kit: ${spaced(slot)} put back`,
      inverse: { do: 'restore', part: { slot, row: beforeRow } },
    };
  },

  setKitWishes({ wishes }, { db, snapshot }) {
    const { kitWishes } = snapshot.job;
    updateJob(db, {
      ...jobById(db, snapshot.job.id)!,
      kitWishes: { ...kitWishes, ...wishes },
    });
    return { summary: 'Kit: wishes changed', inverse: { do: 'restore', job: { kitWishes } } };
  },

  orderPart({ slot, state }, { db, snapshot, at }) {
    const row = storedPart(db, snapshot.job.id, slot);
    if (!row?.itemId || row.arrivesDay === null)
      throw cannot('nothing-to-order', 'Nothing is ordered for this place.', '/command/slot');
    const item = itemById(db, row.itemId);
    const today = shopDay(snapshot.shop.timeZone);
    const days = item?.deliveryDays ?? 0;
    const changed: StoredPart = {
      ...row,
      orderedAt: state === 'toOrder' ? null : (row.orderedAt ?? at),
      arrivedAt: state === 'arrived' ? at : null,
      // The days count from the order, not from the talk.
      arrivesDay: state === 'arrived' ? today : addDays(today, days),
    };
    putPart(db, snapshot.job.id, slot, changed);
    const done = { toOrder: 'not ordered yet', ordered: 'ordered', arrived: 'has arrived' }[state];
    return {
      summary: `${row.label}: ${done}`,
      inverse: { do: 'restore', part: { slot, row } },
    };
  },

  choosePackage({ itemIds, fromStock = [] }, { db, snapshot }) {
    const items = itemIds.map((id, i) => {
      const item = itemById(db, id);
      if (!item)
        throw cannot('unknown-part', `There is no part “${id}” any more.`, `/command/itemIds/${i}`);
      return item;
    });
    const slots = items.map(({ slot }) => slot);
    if (new Set(slots).size !== slots.length)
      throw cannot(
        'slot-twice',
        'Two parts of one place cannot both be taken.',
        '/command/itemIds',
      );
    const { kitContext } = derive(snapshot);
    const kit = {
      ...kitContext.kit,
      ...Object.fromEntries(items.map((item) => [item.slot, partOf(item)])),
    };
    // The parts are looked at together: one may be right only because another comes with it.
    const before = hardAgainst(kitContext);
    const against = checkKit({ ...kitContext, kit }).find(
      ({ rule, verdict }) => rule.hard && verdict === 'doesNotFit' && !before.includes(rule.id),
    );
    if (against)
      throw cannot(
        against.rule.id,
        `This package does not fit: ${against.reason}.`,
        '/command/itemIds',
      );
    const jobId = snapshot.job.id;
    const parts = slots.map((slot) => ({ slot, row: storedPart(db, jobId, slot) }));
    for (const item of items) {
      const row = catalogueRow(item, db, snapshot, fromStock.includes(item.id));
      putPart(db, jobId, item.slot, row);
    }
    return {
      summary: `Kit: a package of ${items.length} parts`,
      inverse: { do: 'restore', parts },
    };
  },
} satisfies Partial<Handlers>;

const hardAgainst = (context: KitContext): string[] =>
  checkKit(context).flatMap(({ rule, verdict }) =>
    rule.hard && verdict === 'doesNotFit' ? [rule.id] : [],
  );

/** A slot as it is stored now, for the way back. */
export function storedPart(db: Db, jobId: string, slot: Slot): StoredPart | null {
  const part = partsOf(db, jobId).find((entry) => entry.slot === slot);
  if (!part) return null;
  const { item, ...rest } = part;
  return { ...rest, jobId, itemId: rest.build ? null : (item?.id ?? null) };
}

/**
 * A part of the catalogue as it goes into the job: its price, and when it arrives when no free one
 * lies in the shop. One that was shown as free and is not any more is refused, and who has it is said.
 */
function catalogueRow(
  item: CatalogueItem,
  db: Db,
  { job, shop }: JobSnapshot,
  fromStock: boolean,
): StoredPart {
  const free = freeStock(db, item, job.id);
  if (fromStock && free <= 0) {
    const number = lastReservedBy(db, item.id, job.id);
    const who = number === null ? 'It was sold' : `It was put aside for ticket ${number}`;
    throw cannot(
      'just-taken',
      `The last ${partName(item)} is gone. ${who} just now. Ordered, it comes in ${item.deliveryDays} days.`,
      '/command/fromStock',
    );
  }
  return {
    jobId: job.id,
    slot: item.slot,
    itemId: item.id,
    owned: false,
    label: partName(item),
    priceCents: sellCents(item),
    arrivesDay: free > 0 ? null : addDays(shopDay(shop.timeZone), item.deliveryDays),
    orderedAt: null,
    arrivedAt: null,
    build: null,
  };
}

const freeStock = (db: Db, item: CatalogueItem, jobId: string): number =>
  item.stock - (reservedByOthers(db, jobId).get(item.id) ?? 0);

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
  command: Pick<CommandOf<'choosePart'>, 'slot' | 'itemId' | 'owned' | 'label'> & {
    readonly fromStock: boolean;
  },
  db: Db,
  snapshot: JobSnapshot,
): StoredPart | null {
  const { slot, itemId, owned, label } = command;
  const base = {
    jobId: snapshot.job.id,
    slot,
    owned,
    arrivesDay: null,
    orderedAt: null,
    arrivedAt: null,
    build: null,
  };
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
  // The archer's own part of the catalogue's making costs nothing and takes nothing from the shelf.
  return owned
    ? { ...base, itemId: item.id, label: partName(item), priceCents: 0 }
    : catalogueRow(item, db, snapshot, command.fromStock);
}
