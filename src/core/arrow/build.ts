import type { CamCharacter } from '../bow';
import { answered, refused, type Outcome } from '../outcome';
import {
  gram,
  mm,
  perWeight,
  spoken,
  TRADE_UNITS,
  type Gram,
  type Mm,
  type Newton,
  type ShopUnits,
} from '../units';
import { grainsPerPound, neededSpineIn, spineVerdict, type SpineVerdict } from './spine';

/** An arrow by its parts; lengths along the shaft, masses each. */
export interface ArrowBuild {
  /** Cut shaft, without nock and point. */
  readonly shaftLengthMm: Mm;
  /** Groove of the nock to the shaft's end. */
  readonly nockThroatMm: Mm;
  readonly shaftGPerMm: number;
  readonly nockG: Gram;
  readonly vaneCount: number;
  readonly vaneG: Gram;
  /** Rear edge of the vanes from the shaft's end. */
  readonly vaneRearMm: Mm;
  readonly vaneLengthMm: Mm;
  readonly wrapG?: Gram;
  readonly wrapLengthMm?: Mm;
  readonly insertG: Gram;
  readonly insertLengthMm: Mm;
  readonly pointG: Gram;
  /** The point's own centre, forward of the shaft's front end. */
  readonly pointCentreMm: Mm;
  /** With both: the spine needed and the grains for each pound. */
  readonly peakN?: Newton;
  readonly character?: CamCharacter;
  readonly staticSpineIn?: number;
  /** Units a refusal and a change's name speak in; the trade's unless said. */
  readonly shop?: ShopUnits;
}

export interface ArrowResult {
  readonly massG: Gram;
  /** Centre of mass from the nock's groove. */
  readonly balanceFromNockMm: Mm;
  readonly frontOfCentrePct: number;
  readonly neededSpineIn?: number;
  readonly grainsPerPound?: number;
  readonly spineVerdict?: SpineVerdict;
}

/** Under this it is like a dry fire: refused (docs/models.md section 5). */
const LEAST_GRAINS_PER_POUND = 5;

/**
 * Mass, balance and front of centre of an arrow from its parts, as points and uniform rods along
 * x from the nock's groove (docs/models.md section 5; front of centre after ASTM F2031 practice:
 * balance forward of the middle, as a part of groove to shaft front). With a bow: the spine needed
 * and how the static spine stands to it.
 *
 * @returns a refusal where parts do not lie on the shaft, or the arrow is too light for the weight.
 */
export function arrowOf(build: ArrowBuild): Outcome<ArrowResult> {
  const wrong = misplaced(build);
  if (wrong) return wrong;
  const parts = partsOf(build);
  const mass = parts.reduce((sum, part) => sum + part.g, 0);
  if (!(mass > 0)) return refused('no-mass', 'An arrow without mass cannot be balanced.');
  const balance = parts.reduce((sum, part) => sum + part.g * part.at, 0) / mass;
  const length = build.nockThroatMm + build.shaftLengthMm;
  const base = {
    massG: gram(mass),
    balanceFromNockMm: mm(balance),
    frontOfCentrePct: (100 * (balance - length / 2)) / length,
  };
  return forBow(build, base);
}

/** Every part as its mass and where its middle lies, mm from the groove. */
function partsOf(build: ArrowBuild): { readonly g: number; readonly at: number }[] {
  const start = build.nockThroatMm;
  const front = start + build.shaftLengthMm;
  return [
    { g: build.shaftGPerMm * build.shaftLengthMm, at: start + build.shaftLengthMm / 2 },
    { g: build.nockG, at: start / 2 },
    {
      g: build.vaneCount * build.vaneG,
      at: start + build.vaneRearMm + build.vaneLengthMm / 2,
    },
    { g: build.wrapG ?? 0, at: start + (build.wrapLengthMm ?? 0) / 2 },
    { g: build.insertG, at: front - build.insertLengthMm / 2 },
    { g: build.pointG, at: front + build.pointCentreMm },
  ];
}

function misplaced(build: ArrowBuild) {
  const { shaftLengthMm: shaft } = build;
  if (build.vaneRearMm + build.vaneLengthMm > shaft)
    return refused('vanes-off-shaft', 'The vanes reach past the shaft’s front end.', 'vaneRearMm');
  if (build.insertLengthMm > shaft)
    return refused('insert-off-shaft', 'The insert is longer than the shaft.', 'insertLengthMm');
  return (build.wrapLengthMm ?? 0) > shaft
    ? refused('wrap-off-shaft', 'The wrap is longer than the shaft.', 'wrapLengthMm')
    : null;
}

function forBow(build: ArrowBuild, base: ArrowResult): Outcome<ArrowResult> {
  const { peakN, character, staticSpineIn, shop = TRADE_UNITS } = build;
  if (peakN === undefined || character === undefined) return answered(base);
  const grains = grainsPerPound(base.massG, peakN);
  if (grains < LEAST_GRAINS_PER_POUND)
    return refused(
      'arrow-too-light',
      `${perWeight(grains, shop)} of peak weight: under ${perWeight(LEAST_GRAINS_PER_POUND, shop)} it is like a dry fire. Take a heavier point or shaft.`,
      'pointG',
    );
  const needed = neededSpineIn({
    peakN,
    character,
    shaftLengthMm: build.shaftLengthMm,
    pointAndInsertG: gram(build.pointG + build.insertG),
  });
  return answered({
    ...base,
    neededSpineIn: needed,
    grainsPerPound: grains,
    ...(staticSpineIn === undefined ? {} : { spineVerdict: spineVerdict(staticSpineIn, needed) }),
  });
}

/** What a change of one part does, everything else as it is. */
export interface ArrowChange {
  readonly name: string;
  readonly massG: number;
  readonly frontOfCentrePct: number;
  /** Null where no bow is named. */
  readonly neededSpineIn: number | null;
}

/** Steps a shop really takes: a heavier point, insert, a shorter shaft. */
const CHANGES: readonly {
  readonly name: (shop: ShopUnits) => string;
  readonly change: (b: ArrowBuild) => ArrowBuild;
}[] = [
  {
    name: (shop) => `${spoken(1.62, 'mass', shop, '25 gr')} more point`,
    change: (b) => ({ ...b, pointG: gram(b.pointG + 1.62) }),
  },
  {
    name: (shop) => `${spoken(1.62, 'mass', shop, '25 gr')} more insert`,
    change: (b) => ({ ...b, insertG: gram(b.insertG + 1.62) }),
  },
  {
    name: (shop) => `${spoken(12.7, 'length', shop, 'half an inch')} shorter`,
    change: (b) => ({ ...b, shaftLengthMm: mm(b.shaftLengthMm - 12.7) }),
  },
  { name: () => 'one vane more', change: (b) => ({ ...b, vaneCount: b.vaneCount + 1 }) },
];

/** How each usual change moves mass, balance and spine; changes that are refused are left out. */
export function arrowChanges(build: ArrowBuild): ArrowChange[] {
  const now = arrowOf(build);
  if (!now.ok) return [];
  return CHANGES.flatMap(({ name, change }) => {
    const then = arrowOf(change(build));
    if (!then.ok) return [];
    const spine = now.neededSpineIn !== undefined && then.neededSpineIn !== undefined;
    return [
      {
        name: name(build.shop ?? TRADE_UNITS),
        massG: then.massG - now.massG,
        frontOfCentrePct: then.frontOfCentrePct - now.frontOfCentrePct,
        neededSpineIn: spine ? then.neededSpineIn! - now.neededSpineIn! : null,
      },
    ];
  });
}
