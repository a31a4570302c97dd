import { QUOTE_TERMS, type Shop } from '@/core/job';
import { KIT_LINES } from '@/core/kit';
import { NO_SHOP_STEPS, USUAL_SCHOOLS, USUAL_STATIONS } from '@/core/route';
import { TRADE_UNITS } from '@/core/units';
import type { Db } from './db';

/** A shop before anybody has set anything. */
export const NEW_SHOP: Shop = {
  name: 'Our shop',
  address: '',
  timeZone: 'Europe/Berlin',
  units: TRADE_UNITS,
  loopCounts: false,
  people: ['Technician'],
  kit: { ...KIT_LINES, weights: {} },
  quote: QUOTE_TERMS,
  schools: USUAL_SCHOOLS,
  steps: NO_SHOP_STEPS,
  stations: USUAL_STATIONS,
  hours: {},
  closed: [],
};

export function shopSettings(db: Db): Shop {
  const row = db.prepare("SELECT value_json FROM setting WHERE key = 'shop'").pluck().get() as
    string | undefined;
  return row ? { ...NEW_SHOP, ...(JSON.parse(row) as Shop) } : NEW_SHOP;
}

export const saveShopSettings = (db: Db, shop: Shop) =>
  db
    .prepare(
      "INSERT INTO setting VALUES ('shop', ?) ON CONFLICT (key) DO UPDATE SET value_json = excluded.value_json",
    )
    .run(JSON.stringify(shop));
