import {
  arrowChanges,
  arrowOf,
  SPINE_BAND,
  type ArrowBuild,
  type ArrowChange,
  type ArrowResult,
  type SpineVerdict,
} from '../arrow';
import { launchSpeed, type BowRecord } from '../bow';
import { answered, refused, type Outcome } from '../outcome';
import { gram, mm, type Mm, type Newton, type ShopUnits } from '../units';
import { safeLengthMm } from './safe-length';
import type { AnyPart, ArrowPart, PartOf } from './types';

/** An arrow as a technician puts it together: parts by id, cut length, how many. */
export interface ArrowChoice {
  readonly name: string;
  readonly shaftId: string;
  readonly nockId: string;
  readonly vaneId: string;
  readonly vaneCount: number;
  readonly insertId: string;
  readonly pointId: string;
  /** The cut shaft, without nock and point. */
  readonly lengthMm: Mm;
  readonly count: number;
}

export type ArrowParts = { readonly [K in ArrowPart]: PartOf<K> };

/** Id of a set built here; it stands in no catalogue. */
export const BUILT_ID = 'built';

/** Rear edge of the vanes from the shaft's end. Shop rule. */
const VANE_REAR_MM = mm(22);
/** Bores and fittings are made to a tenth. */
const BORE_TOLERANCE_MM = 0.15;

/** What the bow asks of an arrow; null where it is not known yet. */
export interface ArrowGround {
  readonly bow: BowRecord | null;
  readonly drawLengthMm: Mm | null;
  /** The weight the bow is to have. */
  readonly peakN: Newton | null;
  /** What it was weighed at, until it is there. */
  readonly weighedN?: Newton | null;
  readonly overhangMm: Mm;
  /** Rest ahead of the plunger hole, negative behind it. */
  readonly restAheadMm: Mm;
  /** Units its refusals speak in; the trade's unless said. */
  readonly shop?: ShopUnits;
}

/** The parts a choice names; null where one of them is not there any more. */
export function arrowParts(
  choice: ArrowChoice,
  find: (id: string) => AnyPart | null,
): ArrowParts | null {
  const of = <K extends ArrowPart>(kind: K, id: string): PartOf<K> | null => {
    const part = find(id);
    return part?.slot === kind ? (part as unknown as PartOf<K>) : null;
  };
  const shaft = of('shaft', choice.shaftId);
  const nock = of('nock', choice.nockId);
  const vane = of('vane', choice.vaneId);
  const insert = of('insert', choice.insertId);
  const point = of('point', choice.pointId);
  return shaft && nock && vane && insert && point ? { shaft, nock, vane, insert, point } : null;
}

export const fitsBore = (shaft: PartOf<'shaft'>, part: PartOf<'nock'> | PartOf<'insert'>) =>
  Math.abs(shaft.attrs.innerMm - part.attrs.fitsInnerMm) <= BORE_TOLERANCE_MM;

export const buildOf = (
  { lengthMm, vaneCount }: ArrowChoice,
  { shaft, nock, vane, insert, point }: ArrowParts,
  { bow, peakN, shop }: ArrowGround,
): ArrowBuild => ({
  ...(shop ? { shop } : {}),
  shaftLengthMm: lengthMm,
  nockThroatMm: nock.attrs.throatMm,
  shaftGPerMm: shaft.attrs.gPerMm,
  nockG: nock.massG,
  vaneCount,
  vaneG: vane.massG,
  vaneRearMm: VANE_REAR_MM,
  vaneLengthMm: vane.attrs.lengthMm,
  insertG: insert.massG,
  insertLengthMm: insert.attrs.lengthMm,
  pointG: point.massG,
  pointCentreMm: point.attrs.centreMm,
  staticSpineIn: shaft.attrs.staticSpineIn,
  ...(bow && peakN !== null ? { peakN, character: bow.character } : {}),
});

export interface BuiltChange extends ArrowChange {
  /** Null where the speed is not known. */
  readonly speedMps: number | null;
}

export interface BuiltArrow extends ArrowResult {
  readonly speedMps: number | null;
  readonly energyJ: number | null;
  /** The spines that would be good. */
  readonly goodFromIn: number | null;
  readonly goodToIn: number | null;
  readonly changes: readonly BuiltChange[];
  readonly priceCents: number;
  /** The same arrow on the bow as it was weighed; null where that is the weight it is to have. */
  readonly asWeighed: AsWeighed | null;
}

export interface AsWeighed {
  readonly peakN: Newton;
  readonly grainsPerPound: number;
  readonly spineVerdict: SpineVerdict;
}

/**
 * What a choice of parts comes to on this bow: mass, balance, spine, speed, and how each usual change
 * moves them (docs/models.md sections 4 and 5).
 *
 * @returns a refusal where parts do not go together, the shaft is cut too short to be safe or longer
 *   than it comes, or the arrow is too light for the weight.
 */
export function builtArrow(
  choice: ArrowChoice,
  parts: ArrowParts,
  ground: ArrowGround,
): Outcome<BuiltArrow> {
  const { shaft, nock, insert } = parts;
  const tooLong = choice.lengthMm > shaft.attrs.stockLengthMm;
  if (tooLong)
    return refused(
      'past-stock-length',
      `The shaft comes ${shaft.attrs.stockLengthMm} mm long; it cannot be cut longer.`,
      'lengthMm',
    );
  for (const [part, name] of [
    [nock, 'nock'],
    [insert, 'insert'],
  ] as const)
    if (!fitsBore(shaft, part))
      return refused(
        `${name}-bore`,
        `The ${name} is for a bore of ${part.attrs.fitsInnerMm} mm; the shaft’s is ${shaft.attrs.innerMm} mm.`,
        `${name}Id`,
      );
  const safe = safeLengthMm(ground);
  if (safe !== null && choice.lengthMm < safe - 0.5)
    return refused(
      'too-short',
      `Cut so short it may fall off the rest at full draw: at least ${Math.ceil(safe)} mm is safe.`,
      'lengthMm',
    );
  const build = buildOf(choice, parts, ground);
  const arrow = arrowOf(build);
  if (!arrow.ok) return arrow;
  const speed = (massG: number) => {
    const { bow, drawLengthMm, peakN } = ground;
    if (!bow || drawLengthMm === null || peakN === null) return null;
    const answer = launchSpeed({ bow, setting: { drawLengthMm, peakN }, arrowG: gram(massG) });
    return answer.ok ? answer : null;
  };
  const now = speed(arrow.massG);
  return answered({
    ...arrow,
    speedMps: now?.speedMps ?? null,
    energyJ: now?.arrowEnergyJ ?? null,
    goodFromIn: arrow.neededSpineIn === undefined ? null : arrow.neededSpineIn * SPINE_BAND.stiff,
    goodToIn: arrow.neededSpineIn === undefined ? null : arrow.neededSpineIn * SPINE_BAND.weak,
    changes: arrowChanges(build).map((change) => {
      const then = speed(arrow.massG + change.massG);
      return { ...change, speedMps: now && then ? then.speedMps - now.speedMps : null };
    }),
    priceCents: choice.count * eachCents(choice, parts),
    asWeighed: asWeighed(build, ground),
  });
}

function asWeighed(build: ArrowBuild, { bow, weighedN = null }: ArrowGround): AsWeighed | null {
  if (!bow || weighedN === null) return null;
  const arrow = arrowOf({ ...build, peakN: weighedN, character: bow.character });
  if (!arrow.ok || arrow.spineVerdict === undefined || arrow.grainsPerPound === undefined)
    return null;
  const { grainsPerPound, spineVerdict: verdict } = arrow;
  return { peakN: weighedN, grainsPerPound, spineVerdict: verdict };
}

export const eachCents = ({ vaneCount }: ArrowChoice, parts: ArrowParts): number => {
  const { shaft, nock, vane, insert, point } = parts;
  const cents = (part: AnyPart) => part.closeOutCents ?? part.priceCents;
  return (
    cents(shaft as AnyPart) +
    cents(nock as AnyPart) +
    cents(insert as AnyPart) +
    cents(point as AnyPart) +
    vaneCount * cents(vane as AnyPart)
  );
};
