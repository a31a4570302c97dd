import { checker } from '@/contracts/ajv';
import { merge, type Clash } from '@/contracts/merge';
import { ShopChange, ShopRequest } from '@/contracts/shop';
import type { Shop } from '@/core/job';
import type { By } from '@/core/people';
import { stepFaults, type ShopSteps } from '@/core/bench';
import { db, type Db } from '@/data/db';
import { stepTimes } from '@/data/records';
import { partName } from '@/core/kit';
import { partById, partsOfKind } from '@/data/stock';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { note } from './access/note';
import { invalid, Problem } from './problem';
import { sickOf, sicknessOf, type Sickness } from './sick';

const check = checker(ShopRequest);
const checkChange = checker(ShopChange);

/** Saves the shop's settings whole; an unknown time zone and steps that cannot work are refused. */
export function saveShop(body: unknown, on: Db = db()): Shop {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  try {
    new Intl.DateTimeFormat('en', { timeZone: checked.value.timeZone });
  } catch {
    throw invalid([
      { pointer: '/timeZone', detail: 'is not a time zone, for example Europe/Berlin' },
    ]);
  }
  const { steps, hours } = checked.value;
  const faults = [
    ...unknownParts(steps, on),
    ...stepFaults(steps).map(({ pointer, message }) => ({
      pointer: `/steps${pointer}`,
      detail: message,
    })),
    ...Object.entries(hours).flatMap(([name, week]) =>
      week.flatMap((shift, i) =>
        shift && shift.from >= shift.to
          ? [{ pointer: `/hours/${name}/${i}`, detail: 'ends before it begins' }]
          : [],
      ),
    ),
  ];
  if (faults.length > 0) throw invalid(faults);
  saveShopSettings(on, checked.value);
  return shopSettings(on);
}

/** Parts that steps use up and that no catalogue has. */
const unknownParts = ({ uses = [] }: ShopSteps, on: Db) =>
  uses.flatMap(({ partId }, i) =>
    partById(on, partId)
      ? []
      : [{ pointer: `/steps/uses/${i}/partId`, detail: `There is no part “${partId}”` }],
  );

/** Changed on two screens differently: told with what stands there now, and nothing is saved. */
const changedMeanwhile = (clashes: readonly Clash[]) =>
  new Problem(409, 'changed-meanwhile', 'Another screen changed it meanwhile', {
    detail: `Not saved: another screen changed it meanwhile. It is now ${clashes
      .map(({ now }) => said(now))
      .join(', ')}. Leave the field once more to put yours in its place.`,
    errors: clashes.map(({ pointer, now }) => ({
      pointer,
      detail: `was changed meanwhile and is now ${said(now)}`,
    })),
    clashes,
  });

const MOST_SAID = 60;
const said = (value: unknown): string => {
  if (value === undefined) return 'gone';
  const text = typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
  return text.length > MOST_SAID ? `${text.slice(0, MOST_SAID)} …` : text;
};

/**
 * Changes some of the settings; the others stay as they are. With what the screen had `seen`, what another
 * one changed meanwhile stays too, and what both changed differently is refused.
 */
export function changeShop(body: unknown, on: Db = db()): Shop {
  const checked = checkChange(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { seen, ...wanted } = checked.value;
  const run = on.transaction(() => {
    const { people: _people, ...now } = shopSettings(on);
    if (!seen) return saveShop({ ...now, ...wanted }, on);
    const fields = Object.keys(wanted) as (keyof typeof wanted)[];
    const [there, before] = [now, seen].map((shop) =>
      Object.fromEntries(
        fields.flatMap((field) => (shop[field] === undefined ? [] : [[field, shop[field]]])),
      ),
    );
    const { value, clashes } = merge(there, wanted, before);
    if (clashes.length > 0) throw changedMeanwhile(clashes);
    return saveShop({ ...now, ...(value as Partial<Shop>) }, on);
  });
  return run.immediate();
}

/** The same by somebody, with what it changed written down; what changed nothing is no entry. */
export function changeShopBy(by: By, body: unknown, on: Db = db()): Shop {
  const run = on.transaction(() => {
    const before = shopSettings(on);
    const after = changeShop(body, on);
    const changed = (Object.keys(after) as (keyof Shop)[]).filter(
      (field) => JSON.stringify(before[field]) !== JSON.stringify(after[field]),
    );
    if (changed.length > 0)
      note(by, 'settings', `Settings changed: ${changed.map(fieldName).join(', ')}`, {
        on,
        detail: Object.fromEntries(changed.map((field) => [field, [before[field], after[field]]])),
      });
    return after;
  });
  return run.immediate();
}

/** As it is read: “lock after min” for `lockAfterMin`. */
const fieldName = (field: string) => field.replace(/[A-Z]/g, (sign) => ` ${sign.toLowerCase()}`);

/** The settings, or what keeps the shop’s file from being read. */
export function shopOrSickness(open: () => Db = db): { shop: Shop } | { sick: Sickness } {
  try {
    return { shop: shopSettings(open()) };
  } catch (error) {
    const sick = sicknessOf(error);
    if (sick?.kind !== 'no-shop') console.error('The shop’s file:', error);
    return { sick: sick ?? sickOf('not-opened') };
  }
}

export const loadShop = (from: Db = db()): Shop => shopSettings(from);

/** What the shop's clock saw of every step. */
export const loadStepTimes = (from: Db = db()) => stepTimes(from);

/** Parts a step can use up, by name. */
export const consumables = (on: Db = db()) =>
  partsOfKind(on, 'consumables').map((part) => ({ id: part.id, name: partName(part) }));
