import {
  NO_ARROWS,
  NO_WISHES,
  PERSON_RULES,
  QUOTE_TERMS,
  type FitReading,
  type JobSnapshot,
  type Shop,
} from '../job';
import { KIT_LINES } from '../kit';
import { NO_SHOP_STEPS, USUAL_STATIONS } from '../bench';
import { USUAL_SCHOOLS, type Reading, type SetupKey } from '../setup';
import { rightsOf } from '../people';
import { TRADE_UNITS } from '../units';
import { aBow, anItem, aPart } from './kit-fixtures';

export * from './kit-fixtures';

export const aShop = (changes: Partial<Shop> = {}): Shop => ({
  name: 'Prüfhaus',
  address: 'Am Ufer 1',
  phone: '',
  timeZone: 'Europe/Berlin',
  units: TRADE_UNITS,
  loopCounts: false,
  people: ['T. Okoro'],
  lockAfterMin: 10,
  persons: PERSON_RULES,
  kit: { ...KIT_LINES, weights: {} },
  quote: QUOTE_TERMS,
  schools: USUAL_SCHOOLS,
  steps: NO_SHOP_STEPS,
  stations: USUAL_STATIONS,
  hours: {},
  closed: [],
  ...changes,
});

/** Somebody at a tablet who may do everything. */
export const someone = (name = 'T. Okoro') => ({
  id: 'p1',
  name,
  rights: rightsOf('owner'),
  mark: 'a-mark-of-the-session-at-this-tablet',
  since: '2026-11-24T08:00:00.000Z',
});

export const aReading = (
  seq: number,
  key: SetupKey,
  si: number | null,
  changes: Partial<Reading> = {},
): Reading => ({
  seq,
  key,
  si,
  si2: null,
  choice: null,
  entered: String(si),
  method: 'typed',
  who: 'T. Okoro',
  at: '2026-11-24T09:00:00.000Z',
  data: null,
  ...changes,
});

/** Readings in the order given, numbered from 1. */
export const readingsOf = (...pairs: (readonly [SetupKey, number | null, Partial<Reading>?])[]) =>
  pairs.map(([key, si, changes], i) => aReading(i + 1, key, si, changes));

export const aFitReading = (
  seq: number,
  key: FitReading['key'],
  si: number,
  outcome: FitReading['outcome'] = null,
): FitReading => ({
  seq,
  key,
  si,
  si2: null,
  outcome,
  hand: null,
  choice: null,
  entered: `${si}`,
  who: 'T. Okoro',
  at: '2026-11-24T08:00:00.000Z',
});

/** A job as its screens get it: just opened, nothing measured. */
export const aSnapshot = (
  changes: {
    job?: Partial<JobSnapshot['job']>;
    archer?: Partial<JobSnapshot['archer']>;
    rest?: Partial<JobSnapshot>;
  } = {},
): JobSnapshot => ({
  job: {
    id: 'job-1',
    number: 1001,
    archerId: 'archer-1',
    version: 1,
    purpose: 'field',
    furthestM: null,
    lowLight: false,
    electronicsForbidden: false,
    budgetCents: null,
    promisedDay: null,
    appointmentAt: null,
    alreadyOwn: '',
    notes: '',
    bowId: null,
    bowReason: '',
    loopCounts: null,
    schools: {},
    legalMinimumN: null,
    legalPlace: '',
    asked: [],
    skipped: [],
    drawOff: null,
    kitWishes: NO_WISHES,
    arrows: NO_ARROWS,
    moduleStepMm: null,
    moduleReason: '',
    peakTargetN: null,
    peakReason: '',
    extras: [],
    accepted: null,
    visit: null,
    closed: null,
    comeBackDay: null,
    like: null,
    elsewhere: null,
    place: 'meet',
    createdAt: '2026-11-24T08:00:00.000Z',
    deliveredAt: null,
    ...changes.job,
  },
  archer: {
    id: 'archer-1',
    name: 'Runa Velde',
    phone: '',
    email: '',
    minor: false,
    guardianName: '',
    guardianPhone: '',
    hand: 'right',
    dominantEye: 'right',
    ageBand: '16to59',
    build: 'medium',
    experience: 'some',
    birthDay: null,
    injured: 'unknown',
    injury: '',
    eyesight: '',
    release: 'unknown',
    wall: 'unknown',
    eyeHandling: 'open',
    ...changes.archer,
  },
  bow: null,
  parts: [],
  readings: [],
  fitReadings: [],
  exceptions: [],
  acknowledged: [],
  events: [],
  canRedo: false,
  sheets: [],
  quotes: [],
  payments: [],
  curves: [],
  aimed: 0,
  shotsSince: null,
  sameSerial: [],
  photos: [],
  earlier: [],
  bowHeld: null,
  stepTimes: {},
  shop: aShop(),
  today: '2026-11-24',
  now: '2026-11-24T09:00:00.000Z',
  ...changes.rest,
});

/** Two methods that agree and three trials: a fit to build on. */
export const A_FIT: readonly FitReading[] = [
  aFitReading(101, 'armSpan', 1750),
  aFitReading(102, 'wallToMouth', 703),
  aFitReading(103, 'weightTrial', 178, 'smooth'),
  aFitReading(104, 'weightTrial', 200, 'smooth'),
  aFitReading(105, 'weightTrial', 222, 'strained'),
];

const REQUIRED = ['rest', 'sight', 'peep', 'loop', 'arrows', 'release'] as const;

/** Every required part, from the catalogue. */
export const FULL_KIT = REQUIRED.map((slot) => ({
  ...aPart(anItem(slot), slot),
  arrivesDay: null,
  orderedAt: null,
  arrivedAt: null,
  handedOver: false,
  short: [],
  build: null,
}));

/** Readings of a finished build, in an order that leaves nothing stale. */
export const FINISHED = readingsOf(
  ['serialNumber', null, { choice: 'SF-31-0412' }],
  ['foundModule', 749.3],
  ['foundTurns', 0],
  ['foundBrace', 165],
  ['foundAxles', 787],
  ['foundWhole', 1],
  ['moduleTop', 698.5],
  ['moduleBottom', 698.5],
  ['limbTurnsUpper', 6],
  ['limbTurnsLower', 6],
  ['arrowMass', 24.6],
  ['restFitted', 1],
  ['restHeight', 0],
  ['nockHeight', 1],
  ['centreShot', 20.6],
  ['silencing', 1],
  ['loop', 12.7],
  ['loopPlace', null, { choice: 'around' }],
  ['sightFitted', 1],
  ['sightBase', 2],
  ['housingHeight', 4],
  ['housingWindage', 0],
  ['firstAxis', 0],
  ['secondAxis', 0],
  ['thirdAxis', 0],
  ['stringTwists', -3],
  ['peepHeight', 152],
  ['inTracks', 1],
  ['braceHeight', 165],
  ['axleToAxle', 787],
  ['drawLength', 702],
  ['timing', 0],
  ['camLeanUpper', 1],
  ['camLeanLower', 0],
  ['peakWeight', 190, { si2: 6 }],
  ['holdingWeight', 38],
  ['peepTrueHeight', 118],
  ['peepToPin', 750],
  ['downCableFound', 1],
  ['launcherClear', 1],
  ['restCord', 12],
  ['cableGuard', 32],
  ['vaneClearance', 1],
  ['peepRotation', 1],
  ['firstArrows', 1],
  ['archerWord', null, { choice: 'fine' }],
  ['setScrews', 1],
  ['paperTear', 2, { si2: 3 }],
  ['cordTied', 1],
  ['arrowSpeed', 70],
  ['firstMark', 18, { si2: 0.4 }],
  ['tape', 1],
  ['fasteners', 1],
);

/** A job with all of it. */
export const aFinishedJob = (changes: Parameters<typeof aSnapshot>[0] = {}): JobSnapshot =>
  aSnapshot({
    job: {
      bowId: 'test-31-r',
      furthestM: 40,
      budgetCents: 200000,
      promisedDay: '2026-12-04',
      peakTargetN: 190,
      peakReason: 'shall grow into it',
      ...changes.job,
    },
    archer: { phone: '0151 555 0100', ...changes.archer },
    rest: {
      bow: aBow(),
      parts: FULL_KIT,
      fitReadings: A_FIT,
      readings: FINISHED,
      ...changes.rest,
    },
  });
