import { PERSON_RULES, QUOTE_TERMS, type Shop, type ShopSettings } from '@/core/job';
import { KIT_LINES } from '@/core/kit';
import { NO_SHOP_STEPS, USUAL_STATIONS } from '@/core/bench';
import { USUAL_SCHOOLS } from '@/core/setup';
import { TRADE_UNITS } from '@/core/units';
import type { Db } from './db';
import { peopleOf } from './people';

/** A shop before anybody has set anything. */
export const NEW_SHOP: Shop = {
  name: 'Our shop',
  address: '',
  phone: '',
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
  lockAfterMin: 10,
  persons: PERSON_RULES,
};

export function shopSettings(db: Db): Shop {
  const row = db.prepare("SELECT value_json FROM setting WHERE key = 'shop'").pluck().get() as
    string | undefined;
  const bench = peopleOf(db).filter(({ atBench }) => atBench);
  // Before anybody was written down one technician works here.
  const people = bench.length > 0 ? bench.map(({ name }) => name) : NEW_SHOP.people;
  if (!row) return { ...NEW_SHOP, people };
  const kept = JSON.parse(row) as ShopSettings;
  // A school or a line that came later is the usual one until somebody chooses.
  return {
    ...NEW_SHOP,
    ...kept,
    people,
    kit: { ...NEW_SHOP.kit, ...kept.kit },
    schools: { ...USUAL_SCHOOLS, ...kept.schools },
  };
}

/** Who works here is kept by itself (`people`). */
export const saveShopSettings = (db: Db, shop: ShopSettings) =>
  db
    .prepare(
      "INSERT INTO setting VALUES ('shop', ?) ON CONFLICT (key) DO UPDATE SET value_json = excluded.value_json",
    )
    .run(JSON.stringify(shop));
