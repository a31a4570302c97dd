import { checker } from '@/contracts/ajv';
import { ShopRequest } from '@/contracts/shop';
import type { Shop } from '@/core/job';
import { stepFaults } from '@/core/bench';
import { db, type Db } from '@/data/db';
import { stepTimes } from '@/data/records';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { invalid } from './problem';
import { sickOf, sicknessOf, type Sickness } from './sick';

const check = checker(ShopRequest);

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
  return checked.value;
}

/** Changes some of the settings; the others stay as they are, also those another screen changed meanwhile. */
export function changeShop(body: unknown, on: Db = db()): Shop {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw invalid([{ pointer: '', detail: 'must be an object' }]);
  const run = on.transaction(() => saveShop({ ...shopSettings(on), ...body }, on));
  return run.immediate();
}

/** The settings, or what keeps the shop’s file from being read. */
export function shopOrSickness(open: () => Db = db): { shop: Shop } | { sick: Sickness } {
  try {
    return { shop: shopSettings(open()) };
  } catch (error) {
    console.error('The shop’s file:', error);
    return { sick: sicknessOf(error) ?? sickOf('not-opened') };
  }
}

export const loadShop = (from: Db = db()): Shop => shopSettings(from);

/** What the shop's clock saw of every step. */
export const loadStepTimes = (from: Db = db()) => stepTimes(from);
