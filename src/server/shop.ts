import { checker } from '@/contracts/ajv';
import { ShopRequest } from '@/contracts/commands';
import type { Shop } from '@/core/job';
import { db, type Db } from '@/data/db';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { invalid } from './problem';

const check = checker(ShopRequest);

/** Saves the shop's settings whole; an unknown time zone is refused. */
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
  saveShopSettings(on, checked.value);
  return checked.value;
}

export const loadShop = (from: Db = db()): Shop => shopSettings(from);
