import type { BowOutline, Point } from '@/core/bow';
import { standingTurns, type JobDerived, type JobSnapshot } from '@/core/job';
import type { Slot } from '@/core/kit';
import { REGISTRY, readingText, setupValue, type MapPart, type SetupKey } from '@/core/setup';
import type { JobStep, ValueState } from '@/core/route';
import { write } from '@/core/units';
import type { PartLook } from '../drawings/BowDrawing';
import { stepOf } from './step-of';

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
    anchor: (o) => o.cams[0]!.axle,
  },
  {
    part: 'limbTop',
    name: 'limb bolts',
    anchor: (o) => o.bolts[0]!,
  },
  {
    part: 'peep',
    name: 'peep',
    anchor: (o) => o.peep,
    slot: 'peep',
  },
  {
    part: 'sight',
    name: 'sight',
    anchor: (o) => at(o.sightBase.x - 58, o.sightBase.y),
    slot: 'sight',
  },
  {
    part: 'quiver',
    name: 'quiver',
    anchor: (o) => at(-76, -0.58 * o.pocketY),
    slot: 'quiver',
    optional: true,
  },
  {
    part: 'nock',
    name: 'loop, nock',
    anchor: (o) => at(o.stringX + 8, o.arrowY),
  },
  {
    part: 'rest',
    name: 'rest',
    anchor: (o) => o.rest,
    slot: 'rest',
  },
  {
    part: 'arrow',
    name: 'arrow',
    anchor: (o) => at(-108, o.arrowY),
    slot: 'arrows',
  },
  {
    part: 'grip',
    name: 'draw length',
    anchor: (o) => at(0, 0.14 * o.pocketY),
  },
  {
    part: 'cables',
    name: 'cord, cables',
    anchor: (o) => at(o.stringX - 46, 0.34 * o.pocketY),
  },
  {
    part: 'bar',
    name: 'bar',
    anchor: (o) => at(o.barBase.x - 50, o.barBase.y),
    slot: 'stabiliser',
    optional: true,
  },
  {
    part: 'string',
    name: 'string',
    anchor: (o) => at(o.stringX, 0.62 * o.pocketY),
  },
  { part: 'limbBottom', name: 'lower bolt', anchor: (o) => o.bolts[1]! },
  { part: 'camBottom', name: 'module', anchor: (o) => o.cams[1]!.axle },
];

/** Values shown at each part, the one worth showing first. */
const SHOWN: Readonly<Record<MapPart, readonly SetupKey[]>> = Object.fromEntries(
  PARTS.map(({ part }) => [
    part,
    REGISTRY.filter((value) => value.part === part && value.onMap !== undefined)
      .sort((a, b) => a.onMap! - b.onMap!)
      .map(({ key }) => key),
  ]),
) as Record<MapPart, SetupKey[]>;

/** Every value the job's steps read, by key. */
function valuesByKey({ plan }: JobDerived): Map<SetupKey, ValueState> {
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
    const values = SHOWN[part].flatMap((key) => byKey.get(key) ?? []);
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
