import { hangCentre, massProperties, type MassPart, type MassProperties } from '../balance';
import type { BowRecord, Place } from '../bow';
import { latest, type History, type Reading, type SetupKey } from '../setup';
import { degree, gram, kgMm2, mm, type Gram, type KgMm2 } from '../units';
import type { Outcome } from '../outcome';
import { place, topAxle } from './places';

/** What is known of the bow without anything on it, and from where. */
export interface BareBow {
  readonly massG: Gram;
  readonly centre: Place;
  readonly centreFrom: 'hung' | 'measured' | 'given' | 'estimated';
  /** Of the centre as hung; null where it was not. */
  readonly sigma: CentreSigma | null;
  readonly yawInertiaKgMm2: KgMm2;
  readonly pitchInertiaKgMm2: KgMm2;
  readonly inertiaFrom: 'measured' | 'given' | 'estimated';
}

interface CentreSigma {
  readonly forwardMm: number;
  readonly upMm: number;
  readonly correlation: number;
}

/** Shop rules, for a bow nobody hung and no data sheet tells of. */
const USUAL_CENTRE = place(22, 6, 0);
/** Radii of gyration: about the grip turning up and down, of the axle-to-axle length; turning sideways, mm. */
const PITCH_RADIUS = 0.262;
const YAW_RADIUS_MM = 62;

const HANGS = ['hangAxle', 'hangThread', 'hangThird'] as const satisfies readonly SetupKey[];

/** A hang as it was read; the same parts were on the bow in all that count. */
interface Hung {
  readonly result: Outcome<{
    readonly centre: {
      readonly forwardMm: number;
      readonly upMm: number;
      readonly rightMm?: number;
    };
    readonly residualsMm: readonly number[];
    readonly sigmaMm: { readonly forwardMm: number; readonly upMm: number };
    readonly correlation: number;
  }>;
  readonly on: readonly MassPart[];
  readonly count: number;
  /** Hangs of which the bow carried something else, and that count no more. */
  readonly left: readonly SetupKey[];
}

type HangReading = Reading & { readonly data: { readonly kind: 'hang' } & Reading['data'] };
const isHang = (reading: Reading | null): reading is HangReading =>
  reading?.data?.kind === 'hang' && reading.si !== null;

/** The newest hangs that go together, two or more where there are; null where it was never hung. */
export function hungOf(history: History, bow: BowRecord): Hung | null {
  const rows = HANGS.map((key) => latest(history, key))
    .filter(isHang)
    .sort((a, b) => b.seq - a.seq);
  const dataOf = (row: Reading) => row.data as Extract<Reading['data'], { kind: 'hang' }>;
  const onOf = (row: Reading) => JSON.stringify(dataOf(row).on);
  const alike = (one: Reading) => rows.filter((row) => onOf(row) === onOf(one));
  // One hang with something else on the bow does not undo two that crossed.
  const leading = rows.find((row) => alike(row).length > 1) ?? rows[0];
  if (!leading) return null;
  const { on } = dataOf(leading);
  const same = onOf(leading);
  const counting = alike(leading);
  const behind = latest(history, 'hangBehind');
  const axle = topAxle(bow);
  const result = hangCentre({
    hangs: counting.map((row) => ({
      at: { forwardMm: mm(dataOf(row).at.forwardMm), upMm: mm(dataOf(row).at.upMm) },
      leanDeg: degree(row.si!),
    })),
    ...(isHang(behind) && onOf(behind) === same
      ? { behind: { at: { upMm: axle.upMm, rightMm: mm(0) }, leanDeg: degree(behind.si!) } }
      : {}),
  });
  return {
    result,
    on,
    count: counting.length,
    left: rows.filter((row) => !counting.includes(row)).map(({ key }) => key),
  };
}

/**
 * The bare bow: its centre from the hangs where there are two that cross, what hung on it taken off
 * (c_bare·m_bare = c·M − Σ c_i·m_i), else from its data sheet, else what bows are like.
 */
export function bareBow(history: History, bow: BowRecord): BareBow {
  const hung = hungOf(history, bow);
  const sheet = bow.centre ?? USUAL_CENTRE;
  const inertia =
    bow.yawInertiaKgMm2 !== null && bow.pitchInertiaKgMm2 !== null
      ? {
          yawInertiaKgMm2: bow.yawInertiaKgMm2,
          pitchInertiaKgMm2: bow.pitchInertiaKgMm2,
          inertiaFrom: bow.balanceFrom ?? ('given' as const),
        }
      : {
          yawInertiaKgMm2: kgMm2((bow.massG / 1000) * YAW_RADIUS_MM ** 2),
          pitchInertiaKgMm2: kgMm2((bow.massG / 1000) * (PITCH_RADIUS * bow.axleToAxleMm) ** 2),
          inertiaFrom: 'estimated' as const,
        };
  if (!hung?.result.ok)
    return {
      massG: bow.massG,
      centre: sheet,
      centreFrom: bow.centre === null ? 'estimated' : (bow.balanceFrom ?? 'given'),
      sigma: null,
      ...inertia,
    };
  const { centre, sigmaMm, correlation } = hung.result;
  const onIt = hung.on.length > 0 ? massProperties(hung.on) : null;
  const without = (whole: number, axis: keyof Place) =>
    onIt ? (whole * (bow.massG + onIt.massG) - onIt.centre[axis] * onIt.massG) / bow.massG : whole;
  const grown = onIt ? (bow.massG + onIt.massG) / bow.massG : 1;
  return {
    massG: bow.massG,
    centre: {
      forwardMm: mm(without(centre.forwardMm, 'forwardMm')),
      upMm: mm(without(centre.upMm, 'upMm')),
      rightMm:
        centre.rightMm === undefined ? sheet.rightMm : mm(without(centre.rightMm, 'rightMm')),
    },
    centreFrom: 'hung',
    sigma: {
      forwardMm: sigmaMm.forwardMm * grown,
      upMm: sigmaMm.upMm * grown,
      correlation,
    },
    ...inertia,
  };
}

/** A bow with parts on it: the bare bow’s own inertia is as known, not that of a point. */
export function withParts(bare: BareBow, parts: readonly MassPart[]): MassProperties {
  const point = massProperties([{ name: 'bow', massG: bare.massG, at: bare.centre }]);
  const whole = massProperties([{ name: 'bow', massG: bare.massG, at: bare.centre }, ...parts]);
  return {
    ...whole,
    massG: gram(whole.massG),
    yawInertiaKgMm2: kgMm2(whole.yawInertiaKgMm2 - point.yawInertiaKgMm2 + bare.yawInertiaKgMm2),
    pitchInertiaKgMm2: kgMm2(
      whole.pitchInertiaKgMm2 - point.pitchInertiaKgMm2 + bare.pitchInertiaKgMm2,
    ),
  };
}
