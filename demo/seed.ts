import type { BowPiece } from '@/core/bow';
import { PERSON_RULES } from '@/core/job';
import { KIT_LINES } from '@/core/kit';
import { NO_SHOP_STEPS, USUAL_STATIONS } from '@/core/bench';
import { USUAL_SCHOOLS } from '@/core/setup';
import { addDays, TRADE_UNITS } from '@/core/units';
import { savePiece } from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import { saveShopSettings } from '@/data/settings';
import { insertBow, insertItem } from '@/data/stock';
import { now, pretendNow, shopDay } from '@/server/clock';
import { choosingKit, justMet, minorInFit, settingTheBow, waiting } from './jobs-early';
import { finished, stale } from './jobs-far';
import { onTheLane } from './jobs-lane';
import { demoBows, demoCatalogue } from './load-csv';
import { seedPeople } from './people';

const ZONE = 'Europe/Berlin';

/** A day and a time of the demo's clock, relative to the day the demo is made. */
function clockAt(today: string) {
  return (days: number, time: string) => {
    // The boathouse keeps German winter time; an hour's error in summer does no harm to a demo.
    pretendNow(new Date(`${addDays(today, days)}T${time}:00+01:00`));
  };
}

/** A trade-in, one for courses, and a new one whose number somebody wrote down. */
const SINGLE_BOWS: readonly BowPiece[] = [
  {
    serial: 'FJ-20418',
    bowId: 'fjordling-31-r',
    condition: 'used',
    priceCents: 52000,
    note: 'string and cables new in May',
  },
  {
    serial: 'ZE-0071',
    bowId: 'zeisig-27-r',
    condition: 'loan',
    priceCents: null,
    note: 'for courses',
  },
  { serial: 'GR-11250', bowId: 'granit-35-r', condition: 'new', priceCents: null, note: '' },
];

/** Fills an empty database with the demo shop: 12 bows, the catalogue, 8 jobs at all stages. */
export function seedDemo(db: Db): void {
  const today = shopDay(ZONE, now());
  const at = clockAt(today);
  const day = (days: number) => addDays(today, days);
  const instant = (days: number, time: string) =>
    new Date(`${day(days)}T${time}:00+01:00`).toISOString();
  saveShopSettings(db, {
    name: 'Bootshaus Archery',
    address: 'Am Slip 4, Lindensee',
    phone: '0199 555 0147',
    timeZone: ZONE,
    units: TRADE_UNITS,
    loopCounts: false,
    lockAfterMin: 30,
    persons: PERSON_RULES,
    kit: { ...KIT_LINES, weights: {} },
    quote: { taxPct: 19, depositPct: 30, validDays: 14, hourCents: 4800 },
    schools: USUAL_SCHOOLS,
    steps: { ...NO_SHOP_STEPS, uses: [{ stepId: 'loop', partId: 'pflege', lasts: 20 }] },
    stations: USUAL_STATIONS,
    hours: {},
    closed: [],
  });
  seedPeople(db, instant(-400, '09:00'));
  demoBows().forEach((bow) => insertBow(db, bow));
  demoCatalogue().forEach((item) => insertItem(db, item));
  SINGLE_BOWS.forEach((piece) => savePiece(db, { ...piece, leftWith: null }));
  try {
    finished(db, at, day);
    stale(db, at, day);
    onTheLane(db, at, day, instant);
    minorInFit(db, at, day, instant);
    waiting(db, at, day);
    choosingKit(db, at, day);
    settingTheBow(db, at, day);
    justMet(db, at, day);
  } finally {
    pretendNow(null);
  }
}
