import type { BowRecord } from '../bow';
import {
  NO_ARROWS,
  NO_WISHES,
  QUOTE_TERMS,
  type FitReading,
  type JobSnapshot,
  type Shop,
} from '../job';
import {
  KIT_LINES,
  exampleAttrs,
  type AttrsOf,
  type CatalogueItemOf,
  type ChosenPart,
  type Kit,
  type KitContext,
  type Slot,
} from '../kit';
import { NO_SHOP_STEPS, USUAL_STATIONS } from '../bench';
import { USUAL_SCHOOLS, type Reading, type SetupKey } from '../setup';
import { gram, metre, mm, mps, newton, TRADE_UNITS, turns } from '../units';

/** A two-cam bow as the demo shop might sell it, with whatever a test needs otherwise. */
export const aBow = (changes: Partial<BowRecord> = {}): BowRecord => ({
  id: 'test-31-r',
  maker: 'Testhav',
  model: 'Probe 31',
  hand: 'right',
  camSystem: 'twoCam',
  character: 'balanced',
  modules: [25, 26, 27, 27.5, 28, 29, 30].map((inches, i) => ({
    label: 'ABCDEFG'[i]!,
    drawLengthMm: mm(inches * 25.4),
  })),
  fixedDrawLengthMm: null,
  moduleCams: ['top', 'bottom'],
  minPeakN: newton(178),
  maxPeakN: newton(267),
  maxTurns: turns(8),
  stockTurns: turns(0),
  letOff: 0.8,
  letOffChoices: [],
  stops: 'cable',
  timedBy: 'stops',
  yokes: 'none',
  stringLengthMm: null,
  cableLengthsMm: [],
  braceHeightMm: mm(165),
  axleToAxleMm: mm(787),
  massG: gram(1780),
  centreShotMm: mm(20.6),
  ratedSpeedMps: mps(97),
  ratedDrawLengthMm: mm(762),
  ratedPeakN: newton(311),
  ratedArrowG: gram(22.68),
  restMounts: ['plungerBolt'],
  sightMounts: ['sidePlate'],
  quiverMounts: ['riser'],
  riserWidthMm: mm(28),
  cableGapMm: mm(32),
  shelfMm: mm(22),
  rearBushing: false,
  stringStop: 'hole',
  limbLocks: false,
  cordWay: false,
  priceCents: 89900,
  stock: 2,
  deliveryDays: 9,
  supplier: '',
  ...changes,
});

/** Where a test counts on other figures than the description’s own examples. */
const ATTRS: { readonly [S in Slot]?: AttrsOf[S] } = {
  rest: {
    drive: 'cableDriven',
    mount: 'plungerBolt',
    minDrawMm: mm(600),
    maxDrawMm: mm(810),
    maxShaftMm: mm(9.5),
    riserWidthMm: mm(30),
    spacer: false,
    tensions: [],
    contains: true,
    vaneRoomMm: null,
  },
  sight: {
    mount: 'sidePlate',
    pins: 1,
    pinMm: mm(0.5),
    slides: true,
    travelMm: mm(62),
    thirdAxis: true,
    microAdjust: true,
    clickMm: mm(0.1),
    extensionMm: null,
    lightThread: true,
    electronics: false,
    housingRadiusMm: mm(20),
    carriesQuiver: true,
  },
  peep: { apertureMm: mm(4.8), lens: false, tube: false },
  loop: { lengthMm: mm(12.7), material: 'cord' },
  arrows: {
    count: 12,
    shaftOuterMm: mm(7),
    shaftLengthMm: mm(737),
    staticSpineIn: 0.5,
    pointAndInsertG: gram(8.1),
    vaneHeightMm: mm(13),
    bladeMm: null,
  },
  release: { type: 'thumb', minLoopMm: mm(9), cordOnly: true },
  quiver: {
    mount: 'riser',
    arrows: 5,
    minShaftMm: mm(5),
    maxShaftMm: mm(9),
    pieces: 1,
    usesSightHoles: false,
  },
  stabiliser: { lengthMm: mm(254), thread: '5/16-24', weightThread: '1/4-20' },
  rearBar: { lengthMm: mm(200), thread: '5/16-24', weightThread: '1/4-20' },
  barMount: { kind: 'offset', thread: '5/16-24', bars: 1 },
  weights: { thread: '1/4-20', count: 2 },
  nockingPoint: { kind: 'tied' },
  sling: { mount: 'bushing' },
  dampeners: { place: 'string', count: 2 },
  stringStop: { rodMm: mm(100) },
  light: { mount: 'thread' },
  case: { insideMm: mm(1000), hard: true },
  armGuard: { lengthMm: mm(160) },
  consumables: { contents: 'string wax' },
};

const MASS_G: Partial<Record<Slot, number>> = { arrows: 24.6, peep: 0.8, loop: 0.4 };

/** A part of a slot, with some of its attributes otherwise. */
export const anItem = <S extends Slot>(
  slot: S,
  attrs: Partial<AttrsOf[S]> = {},
  changes: Partial<CatalogueItemOf<S>> = {},
): CatalogueItemOf<S> => ({
  id: `${slot}-test`,
  slot,
  maker: 'Prüfwerk',
  model: `${slot} one`,
  hand: 'both',
  massG: gram(MASS_G[slot] ?? 100),
  priceCents: 10000,
  closeOutCents: null,
  stock: 1,
  deliveryDays: 5,
  supplier: 'Prüfhandel',
  attrs: { ...(ATTRS[slot] ?? exampleAttrs(slot)), ...attrs } as AttrsOf[S],
  ...changes,
});

export const aPart = (
  item: CatalogueItemOf<Slot> | null,
  slot: Slot,
  changes: Partial<ChosenPart> = {},
): ChosenPart => ({
  slot,
  item: item as ChosenPart['item'],
  owned: false,
  label: item ? `${item.maker} ${item.model}` : 'their own',
  priceCents: item?.priceCents ?? 0,
  ...changes,
});

export const kitOf = (...parts: ChosenPart[]): Kit =>
  Object.fromEntries(parts.map((part) => [part.slot, part]));

/** Own parts the catalogue does not know, in every slot. */
export const ownKit = (...slots: Slot[]): Kit =>
  kitOf(...slots.map((slot) => aPart(null, slot, { owned: true })));

export const aKitContext = (changes: Partial<KitContext> = {}): KitContext => ({
  bow: aBow(),
  kit: {},
  drawLengthMm: mm(700),
  peakN: newton(200),
  furthestM: metre(40),
  electronicsForbidden: false,
  lowLight: false,
  purpose: 'field',
  release: 'unknown',
  eyesight: '',
  massLimitG: null,
  weighedN: null,
  learner: false,
  restAheadMm: mm(0),
  lines: KIT_LINES,
  shop: TRADE_UNITS,
  ...changes,
});

export const aShop = (changes: Partial<Shop> = {}): Shop => ({
  name: 'Prüfhaus',
  address: 'Am Ufer 1',
  timeZone: 'Europe/Berlin',
  units: TRADE_UNITS,
  loopCounts: false,
  people: ['T. Okoro'],
  kit: { ...KIT_LINES, weights: {} },
  quote: QUOTE_TERMS,
  schools: USUAL_SCHOOLS,
  steps: NO_SHOP_STEPS,
  stations: USUAL_STATIONS,
  hours: {},
  closed: [],
  ...changes,
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
  curves: [],
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
