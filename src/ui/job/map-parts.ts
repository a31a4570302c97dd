import type { BowOutline, Point } from '@/core/bow';
import { standingTurns, type JobDerived, type JobSnapshot } from '@/core/job';
import type { Slot } from '@/core/kit';
import {
  readingText,
  setupValue,
  type JobStep,
  type MapPart,
  type SetupKey,
  type ValueState,
} from '@/core/route';
import { write } from '@/core/units';
import type { PartLook } from '../drawings/BowDrawing';
import { stepOf } from './steps';

/** A place on the bow map: what it is called, how it stands, where it is. */
export interface MapLabel {
  readonly part: MapPart;
  readonly name: string;
  readonly value: string;
  readonly look: PartLook;
  readonly anchor: Point;
  readonly key: SetupKey;
  readonly step: JobStep | null;
}

interface PartRule {
  readonly part: MapPart;
  /** What it is called while nothing of it is measured. */
  readonly name: string;
  /** Values of the part, the one worth showing first. */
  readonly keys: readonly SetupKey[];
  readonly anchor: (outline: BowOutline) => Point;
  /** The kit's slot that fills it; without a part in it the place is empty. */
  readonly slot?: Slot;
  /** Left out altogether when its slot is empty. */
  readonly optional?: boolean;
}

const at = (x: number, y: number): Point => ({ x, y });

const PARTS: readonly PartRule[] = [
  {
    part: 'camTop',
    name: 'top cam',
    keys: ['moduleTop', 'timing'],
    anchor: (o) => o.cams[0]!.axle,
  },
  {
    part: 'limbTop',
    name: 'limb bolts',
    keys: ['peakWeight', 'limbTurnsUpper'],
    anchor: (o) => o.bolts[0]!,
  },
  {
    part: 'peep',
    name: 'peep',
    keys: ['peepTrueHeight', 'peepHeight', 'peepRotation'],
    anchor: (o) => o.peep,
    slot: 'peep',
  },
  {
    part: 'sight',
    name: 'sight',
    keys: ['firstMark', 'firstAxis', 'sightBase', 'sightFitted'],
    anchor: (o) => at(o.sightBase.x - 58, o.sightBase.y),
    slot: 'sight',
  },
  {
    part: 'quiver',
    name: 'quiver',
    keys: ['quiverFitted'],
    anchor: (o) => at(-76, -0.58 * o.pocketY),
    slot: 'quiver',
    optional: true,
  },
  {
    part: 'nock',
    name: 'loop, nock',
    keys: ['nockHeight', 'loop'],
    anchor: (o) => at(o.stringX + 8, o.arrowY),
  },
  {
    part: 'rest',
    name: 'rest',
    keys: ['centreShot', 'launcherSet', 'restFitted'],
    anchor: (o) => o.rest,
    slot: 'rest',
  },
  {
    part: 'arrow',
    name: 'arrow',
    keys: ['arrowSpeed', 'cockVaneDown', 'arrowMass'],
    anchor: (o) => at(-108, o.arrowY),
    slot: 'arrows',
  },
  {
    part: 'grip',
    name: 'draw length',
    keys: ['drawLength'],
    anchor: (o) => at(0, 0.14 * o.pocketY),
  },
  {
    part: 'cables',
    name: 'cord, cables',
    keys: ['restCord', 'cordTied', 'cordSettled', 'downCableFound', 'inTracks', 'holdingWeight'],
    anchor: (o) => at(o.stringX - 46, 0.34 * o.pocketY),
  },
  {
    part: 'bar',
    name: 'bar',
    keys: ['stabiliserFitted', 'bowMass'],
    anchor: (o) => at(o.barBase.x - 50, o.barBase.y),
    slot: 'stabiliser',
    optional: true,
  },
  {
    part: 'string',
    name: 'string',
    keys: ['stringTwists', 'braceHeight'],
    anchor: (o) => at(o.stringX, 0.62 * o.pocketY),
  },
  { part: 'limbBottom', name: 'lower bolt', keys: ['limbTurnsLower'], anchor: (o) => o.bolts[1]! },
  { part: 'camBottom', name: 'module', keys: ['moduleBottom'], anchor: (o) => o.cams[1]!.axle },
];

/** Every value the job's steps read, by key. */
export function valuesByKey({ plan }: JobDerived): Map<SetupKey, ValueState> {
  return new Map(
    plan.steps.flatMap((step) => step.values.map((value) => [value.key, value] as const)),
  );
}

const lookOf = (values: readonly ValueState[]): PartLook => {
  if (values.some((value) => value.stale)) return 'again';
  const taken = values.filter((value) => value.reading);
  if (taken.length === 0) return 'planned';
  return taken.some((value) => setupValue(value.key).kind !== 'check') ? 'measured' : 'fitted';
};

/** The bow map's places, top to bottom, told from the readings alone. */
export function mapLabels(
  snapshot: JobSnapshot,
  derived: JobDerived,
  outline: BowOutline,
): MapLabel[] {
  const byKey = valuesByKey(derived);
  return PARTS.flatMap((rule): MapLabel[] => {
    const { part, anchor, slot } = rule;
    if (rule.optional && slot && !derived.kit[slot]) return [];
    const values = rule.keys.flatMap((key) => byKey.get(key) ?? []);
    if (values.length === 0) return [];
    // Bolts that stand alike are told once, at the upper limb.
    if (part === 'limbBottom' && standingTurns(derived.history) !== null && !values[0]!.stale)
      return [];
    const shown =
      values.find((value) => value.stale) ??
      values.find((value) => value.reading && setupValue(value.key).kind !== 'check') ??
      values.find((value) => value.reading) ??
      values.at(-1)!;
    return [
      {
        part,
        name: shown.reading ? setupValue(shown.key).short : rule.name,
        value: valueText(shown, slot !== undefined && !derived.kit[slot], snapshot),
        look: lookOf(values),
        anchor: anchor(outline),
        key: shown.key,
        step: stepOf(shown.key, derived.plan.steps),
      },
    ];
  });
}

function valueText(
  { reading, stale, standing }: ValueState,
  empty: boolean,
  { shop }: JobSnapshot,
): string {
  if (stale) return 'again';
  if (reading) {
    const text =
      reading.key === 'firstMark' && reading.si !== null
        ? write(reading.si, 'distance', shop.units, { decimals: 0 })
        : readingText(reading, shop.units);
    return standing === 'out' ? `${text} !` : text;
  }
  return empty ? 'not chosen' : 'to do';
}
