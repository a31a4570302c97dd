import type {
  BowRecord,
  CamSystem,
  Hand,
  QuiverMount,
  RestMount,
  SightMount,
  Untold,
} from '../bow';
import { refused, type Refused } from '../outcome';
import {
  gram,
  mm,
  mps,
  MM_PER_INCH,
  N_PER_POUND,
  newton,
  turns,
  write,
  type ShopUnits,
} from '../units';

/** What is told of a bow that stands in no list; null is “cannot be told”. SI. */
export interface BowTold {
  readonly maker: string;
  readonly model: string;
  readonly hand: Hand;
  readonly camSystem: CamSystem;
  /** Shortest and longest draw length its module has, and the step between; all null where none can be read. */
  readonly shortestMm: number | null;
  readonly longestMm: number | null;
  readonly stepMm: number | null;
  readonly bothCams: boolean;
  readonly heaviestN: number;
  readonly lightestN: number | null;
  readonly maxTurns: number | null;
  /** 0 to 1. */
  readonly letOff: number | null;
  readonly braceHeightMm: number;
  readonly axleToAxleMm: number;
  readonly massG: number;
  /** Its rating: speed at a draw length, weight and arrow; null where nobody knows it. */
  readonly ratedSpeedMps: number | null;
  readonly restMounts: readonly RestMount[];
  readonly sightMounts: readonly SightMount[];
  readonly quiverMounts: readonly QuiverMount[];
}

/** Where nobody can tell: what most bows have. Never shown but as such (shop rule). */
const USUAL = { letOff: 0.8, rangeN: 10 * N_PER_POUND };

/** The rating is told at these; a maker's usual way (shop rule). */
const RATED = { drawLengthMm: 30 * MM_PER_INCH, peakN: 70 * N_PER_POUND, arrowG: 22.68 };

/** More steps than this no module has. */
const MOST_STEPS = 40;

/**
 * The record of a bow that was brought along: what could not be told is named in `untold`, and where a
 * number has to stand all the same it is the usual one.
 *
 * @param id of its own.
 * @returns a refusal where what was told contradicts itself.
 */
export function recordOf(told: BowTold, id: string): BowRecord | Refused {
  const { shortestMm, longestMm, stepMm, heaviestN, lightestN, letOff, ratedSpeedMps } = told;
  const steps = stepsOf(shortestMm, longestMm, stepMm);
  if (!Array.isArray(steps)) return steps;
  const lightest = lightestN ?? heaviestN - USUAL.rangeN;
  if (lightest >= heaviestN || lightest <= 0)
    return refused(
      'weights-contradict',
      'The lightest weight is under the heaviest: read both once more.',
      'lightestN',
    );
  const untold: Untold[] = [
    ...(ratedSpeedMps === null ? (['rating'] as const) : []),
    ...(letOff === null ? (['letOff'] as const) : []),
    ...(lightestN === null ? (['lightest'] as const) : []),
  ];
  return {
    id,
    brought: true,
    untold,
    maker: told.maker,
    model: told.model,
    hand: told.hand,
    camSystem: told.camSystem,
    character: 'balanced',
    modules: steps.map((drawLengthMm) => ({
      label: `${Math.round((drawLengthMm / MM_PER_INCH) * 4) / 4}`,
      drawLengthMm: mm(drawLengthMm),
    })),
    fixedDrawLengthMm: null,
    moduleCams: told.bothCams ? ['top', 'bottom'] : ['bottom'],
    minPeakN: newton(lightest),
    maxPeakN: newton(heaviestN),
    maxTurns: told.maxTurns === null ? null : turns(told.maxTurns),
    stockTurns: null,
    letOff: letOff ?? USUAL.letOff,
    letOffChoices: [],
    stops: null,
    timedBy: null,
    yokes: null,
    stringLengthMm: null,
    cableLengthsMm: [],
    braceHeightMm: mm(told.braceHeightMm),
    axleToAxleMm: mm(told.axleToAxleMm),
    massG: gram(told.massG),
    centreShotMm: null,
    ratedSpeedMps: mps(ratedSpeedMps ?? 1),
    ratedDrawLengthMm: mm(RATED.drawLengthMm),
    ratedPeakN: newton(RATED.peakN),
    ratedArrowG: gram(RATED.arrowG),
    restMounts: told.restMounts,
    sightMounts: told.sightMounts,
    quiverMounts: told.quiverMounts,
    riserWidthMm: null,
    cableGapMm: null,
    shelfMm: null,
    rearBushing: null,
    stringStop: null,
    limbLocks: null,
    cordWay: null,
    barThreads: [],
    centre: null,
    yawInertiaKgMm2: null,
    pitchInertiaKgMm2: null,
    balanceFrom: null,
    priceCents: 0,
    stock: 0,
    deliveryDays: 0,
    supplier: '',
  };
}

/** Every draw length from the shortest to the longest; none where they cannot be read. */
function stepsOf(
  shortest: number | null,
  longest: number | null,
  step: number | null,
): number[] | Refused {
  if (shortest === null || longest === null || step === null) return [];
  const count = Math.floor((longest - shortest) / step + 1e-6) + 1;
  if (longest < shortest || step <= 0 || count > MOST_STEPS)
    return refused(
      'lengths-contradict',
      'The longest draw length comes after the shortest, in steps as they are printed on the module.',
      'longestMm',
    );
  return Array.from({ length: count }, (_, i) => shortest + i * step);
}

/** The same as it is typed into its form again; what could not be told is empty. */
export function typedOf(bow: BowRecord, units: ShopUnits) {
  const untold = bow.untold ?? [];
  const [shortest, next] = bow.modules;
  const longest = bow.modules.at(-1);
  const gap = shortest && next ? next.drawLengthMm - shortest.drawLengthMm : 0;
  const length = (si: number) => write(si, 'length', units, { denominator: 32 });
  const force = (si: number) => write(si, 'force', units);
  return {
    maker: bow.maker,
    model: bow.model,
    hand: bow.hand,
    camSystem: bow.camSystem,
    shortest: shortest ? length(shortest.drawLengthMm) : '',
    longest: longest ? length(longest.drawLengthMm) : '',
    step:
      gap > 0 && gap < 10
        ? ('quarter' as const)
        : gap > 20
          ? ('whole' as const)
          : ('half' as const),
    bothCams: bow.moduleCams.length > 1,
    heaviest: force(bow.maxPeakN),
    lightest: untold.includes('lightest') ? '' : force(bow.minPeakN),
    maxTurns: bow.maxTurns === null ? '' : String(bow.maxTurns),
    letOff: untold.includes('letOff') ? '' : String(Math.round(bow.letOff * 1000) / 10),
    brace: length(bow.braceHeightMm),
    axles: length(bow.axleToAxleMm),
    mass: `${Math.round(bow.massG)} g`,
    ratedSpeed: untold.includes('rating') ? '' : write(bow.ratedSpeedMps, 'speed', units),
    restMounts: [...bow.restMounts],
    sightMounts: [...bow.sightMounts],
    quiverMounts: [...bow.quiverMounts],
  };
}

const UNTOLD_WORDS: Readonly<Record<Untold, string>> = {
  rating: 'Its rating is not known: no speed is predicted, the chronograph tells it.',
  letOff: 'Its let-off is not told; 80 % is usual and assumed until peak and hold are weighed.',
  lightest: 'Its lightest weight is not told; 10 lb under the heaviest is usual and assumed.',
};

/** What could not be told of a bow, one sentence each. */
export const untoldLines = ({
  untold = [],
  maxTurns,
  modules,
}: Pick<BowRecord, 'untold' | 'maxTurns' | 'modules'>): string[] => [
  ...(maxTurns === null
    ? ['No limit of turns is known: it is weighed, not turned, until its manual is found.']
    : []),
  ...(modules.length === 0
    ? ['Its draw lengths cannot be read: it is measured on the draw board.']
    : []),
  ...untold.map((one) => UNTOLD_WORDS[one]),
];
