import type { ModelFlight } from '../job';
import { refused, type Refused } from '../outcome';
import { setupValue, type SetupKey } from '../setup';
import type { SheetDocument } from '../sheet';

/** More than any sheet of this program has: marks to 150 m, every setting, every place of the kit. */
const MOST = { marks: 60, settings: 400, parts: 60, letters: 200 };

/** What the marks were made from: nothing flies, or is seen, outside of these; SI. */
const FLIGHT: Readonly<Record<keyof ModelFlight, readonly [number, number]>> = {
  speedMps: [20, 150],
  dragCoefficient: [0.2, 12],
  arrowG: [5, 80],
  shaftOuterMm: [3, 12],
  airDensityKgM3: [0.5, 1.6],
  peepHeightMm: [40, 260],
  peepToPinMm: [300, 1500],
};

/** Of the right shape, and all the same none. */
export const damaged = (what: string) => refused('out-of-range', `The sheet is damaged: ${what}.`);

const isIn = (value: number, [low, high]: readonly [number, number]) =>
  value >= low && value <= high;

/** What no sheet made by this program can hold, though its shape is one's; sizes are looked at first. */
export function strangeSheet(
  { settings, marks, parts, arrow }: SheetDocument,
  bow: NonNullable<SheetDocument['bow']>,
): Refused | null {
  if (settings.length > MOST.settings || parts.length > MOST.parts)
    return damaged('it has more settings or parts than any bow');
  const words = [
    bow.name,
    bow.serial ?? '',
    ...settings.map(({ text }) => text),
    ...parts.flatMap(({ name, label }) => [name, label]),
    ...(arrow ? [arrow.shaft, arrow.point ?? ''] : []),
  ];
  if (words.some(({ length }) => length > MOST.letters)) return damaged('a word in it is no word');
  if (!isIn(bow.letOff, [0, 0.99]) || !isIn(bow.braceHeightMm, [80, 320]))
    return damaged('no bow has such a let-off or brace height');
  if (!isIn(bow.axleToAxleMm, [400, 1400])) return damaged('no bow is that long');
  return marks && strangeMarks(marks);
}

function strangeMarks({
  firstM,
  rows,
  flight,
}: NonNullable<SheetDocument['marks']>): Refused | null {
  const distances = [firstM, ...rows.map(({ distanceM }) => distanceM)];
  if (rows.length > MOST.marks || !distances.every((m) => isIn(m, [1, 200])))
    return damaged('its marks cannot be');
  const off =
    flight &&
    (Object.keys(FLIGHT) as (keyof ModelFlight)[]).find(
      (name) => !isIn(flight[name], FLIGHT[name]),
    );
  return off ? damaged(`no arrow flies with such a ${off}`) : null;
}

/** A reading no bow can have. */
export function outOfRange(key: SetupKey, si: number): Refused | null {
  const { name, min = -Infinity, max = Infinity } = setupValue(key);
  return si >= min && si <= max
    ? null
    : refused(
        'out-of-range',
        `${name} cannot be ${si} on any bow: possible is ${min} to ${max}. The sheet is damaged.`,
      );
}
