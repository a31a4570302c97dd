import type { BowRecord } from '../bow';
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
