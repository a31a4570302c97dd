import { drawLengthSteps } from '@/core/bow';
import { derive, readOptionsFor, type Job, type JobSnapshot } from '@/core/job';
import {
  checkKit,
  NOT_HELD,
  objections,
  partName,
  partOf,
  sellCents,
  type CatalogueItem,
  type KitContext,
} from '@/core/kit';
import { addDays, read, write } from '@/core/units';
import { putPart, type StoredPart, updateJob, jobById } from '@/data/jobs';
import { lastReservedBy } from '@/data/reservations';
import { itemById, partById } from '@/data/stock';
import { shopDay } from '../clock';
import { putHeld, storedPart } from './hold';
import { partShelf, takeFrom } from './shelf';
import {
  lastOneGone,
  ofStage,
  cannot,
  needReason,
  pick,
  spaced,
  type CommandOf,
  type Handlers,
  type Work,
} from './types';
import { NO_BOW } from '@/core/entries';

/** Goals and parts. */
export const CHOOSE = ofStage('kit', {
  setGoal({ goal, entered, reason }, { db, snapshot }) {
    const fields =
      goal === 'moduleStep'
        ? moduleGoal(entered, reason, snapshot)
        : weightGoal(entered, reason, snapshot);
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fields });
    return {
      stage: 'bow',
      summary:
        entered === null
          ? `${spaced(goal)}: back to the fit`
          : `${spaced(goal)}: ${entered.trim()}`,
      inverse: { do: 'restore', job: pick(snapshot.job, Object.keys(fields) as (keyof Job)[]) },
    };
  },

  choosePart({ slot, itemId, owned, label, fromStock = false, ordered }, work) {
    const row = partRow({ slot, itemId, owned, label, fromStock }, work);
    const before = putHeld(work, slot, row, ordered);
    return {
      summary: row
        ? `Kit: ${row.label}${owned ? ', brought along' : ''}`
        : `Kit: ${spaced(slot)} put back`,
      inverse: { do: 'restore', part: { slot, row: before } },
    };
  },

  setKitWishes({ wishes }, { db, snapshot }) {
    const { kitWishes } = snapshot.job;
    const names = (wishes.ownBars ?? []).map(({ side, name }) => `${side} ${name}`);
    if (new Set(names).size < names.length)
      throw cannot(
        'bar-twice',
        'Two bars of one side have one name: name them so that they can be told apart.',
        '/command/wishes/ownBars',
      );
    updateJob(db, {
      ...jobById(db, snapshot.job.id)!,
      kitWishes: { ...kitWishes, ...wishes },
    });
    return { summary: 'Kit: wishes changed', inverse: { do: 'restore', job: { kitWishes } } };
  },

  orderPart({ slot, state }, { db, snapshot, at }) {
    const row = storedPart(db, snapshot.job.id, slot);
    if (!row || row.arrivesDay === null || row.handedOver)
      throw cannot('nothing-to-order', 'Nothing is ordered for this place.', '/command/slot');
    const days = row.short.map(({ itemId }) => partById(db, itemId)?.deliveryDays ?? 0);
    putPart(db, snapshot.job.id, slot, {
      ...row,
      ...orderState(row, state, { at, today: shopDay(snapshot.shop.timeZone), days }),
    });
    return {
      summary: `${row.label}: ${ORDER_STATES[state]}`,
      inverse: { do: 'restore', part: { slot, row } },
    };
  },

  choosePackage({ itemIds, fromStock = [], ordered }, work) {
    const { db, snapshot } = work;
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
    const parts = items.map((item) => {
      const row = catalogueRow(item, work, fromStock.includes(item.id));
      return { slot: item.slot, row: putHeld(work, item.slot, row, ordered) };
    });
    return {
      summary: `Kit: a package of ${items.length} parts`,
      inverse: { do: 'restore', parts },
    };
  },
} satisfies Partial<Handlers>);

const hardAgainst = (context: KitContext): string[] =>
  checkKit(context).flatMap(({ rule, verdict }) =>
    rule.hard && verdict === 'doesNotFit' ? [rule.id] : [],
  );

export const ORDER_STATES = {
  toOrder: 'not ordered yet',
  ordered: 'ordered',
  arrived: 'has arrived',
} as const;

/** The days count from the order, not from the talk. */
export function orderState(
  { orderedAt }: { readonly orderedAt: string | null },
  state: keyof typeof ORDER_STATES,
  { at, today, days }: { at: string; today: string; days: readonly number[] },
) {
  return {
    orderedAt: state === 'toOrder' ? null : (orderedAt ?? at),
    arrivedAt: state === 'arrived' ? at : null,
    arrivesDay: state === 'arrived' ? today : addDays(today, Math.max(0, ...days)),
  };
}

/**
 * A part of the catalogue as it goes into the job: its price, and when it arrives when no free one
 * lies in the shop. One that was shown as free and is not any more is refused, and who has it is said.
 */
function catalogueRow(item: CatalogueItem, { db, snapshot }: Work, fromStock: boolean): StoredPart {
  const { job } = snapshot;
  const row: Omit<StoredPart, keyof ReturnType<typeof takeFrom>> = {
    jobId: job.id,
    slot: item.slot,
    itemId: item.id,
    owned: false,
    label: partName(item),
    priceCents: sellCents(item),
    build: null,
  };
  const before = storedPart(db, job.id, item.slot);
  // Chosen once more, what is ordered or left the shop already stands as it does.
  if (before?.itemId === item.id && !before.owned && (before.orderedAt || before.handedOver))
    return { ...before, ...row };
  const shelf = partShelf(db, snapshot);
  if (fromStock && shelf.free(item.id) <= 0) {
    const number = lastReservedBy(db, item.id, job.id);
    throw lastOneGone(partName(item), number, item.deliveryDays);
  }
  return { ...row, ...takeFrom(shelf, [{ itemId: item.id, count: 1 }]) };
}

function moduleGoal(
  entered: string | null,
  reason: string,
  { bow, shop }: JobSnapshot,
): Partial<Job> {
  if (entered === null) return { moduleStepMm: null, moduleReason: '' };
  if (!bow) throw cannot(...NO_BOW);
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
  work: Work,
): StoredPart | null {
  const { db, snapshot } = work;
  const { slot, itemId, owned, label } = command;
  const base = { jobId: snapshot.job.id, slot, owned, build: null, short: [], ...NOT_HELD };
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
    : catalogueRow(item, work, command.fromStock);
}
