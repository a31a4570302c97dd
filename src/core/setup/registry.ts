import { isSlot, placeOf, slotName, type Slot } from '../kit';
import type { EntryOf } from './value-entry';
import type { HowFigure } from './figure';
import type { HistoryOf, ReadingOf } from './reading';
import { ARROW } from './values/arrow';
import { BAR } from './values/bar';
import { CABLES } from './values/cables';
import { CAMS } from './values/cams';
import { GRIP } from './values/grip';
import { LIMBS } from './values/limbs';
import { NOCK } from './values/nock';
import { PEEP } from './values/peep';
import { REST } from './values/rest';
import { SIGHT } from './values/sight';
import { STRING } from './values/string';

/** By the parts of the bow, each in a file of its own. */
export const PARTS_OF_VALUES = [
  GRIP,
  CAMS,
  LIMBS,
  STRING,
  CABLES,
  NOCK,
  REST,
  PEEP,
  SIGHT,
  ARROW,
  BAR,
] as const;

const ENTRIES = {
  ...GRIP,
  ...CAMS,
  ...LIMBS,
  ...STRING,
  ...CABLES,
  ...NOCK,
  ...REST,
  ...PEEP,
  ...SIGHT,
  ...ARROW,
  ...BAR,
};

/** A value shipped with the program. */
export type ValueKey = keyof typeof ENTRIES;
/** A tick of a step the shop added itself. */
export type OwnKey = `own:${string}`;
/** Which part fills a place of the kit: a cause like any other, written when one is chosen. */
export type PartKey = `part:${Slot}`;
export type SetupKey = ValueKey | OwnKey | PartKey;

export type Reading = ReadingOf<SetupKey>;
export type History = HistoryOf<SetupKey>;

/** One of the things a finished bow consists of. */
export interface SetupValue extends EntryOf<SetupKey> {
  readonly key: SetupKey;
}

/** Does not compile while a value rests on one that does not exist, or has no drawing. */
const CHECKED: Readonly<Record<ValueKey, EntryOf<SetupKey> & { readonly figure: HowFigure }>> =
  ENTRIES;

/** Every set-up value; map, route, ripple, sheet and comparison read from here. */
export const REGISTRY: readonly SetupValue[] = (
  Object.entries(CHECKED) as [ValueKey, EntryOf<SetupKey>][]
).map(([key, entry]) => ({ ...entry, key }));

const BY_KEY = new Map<string, SetupValue>(REGISTRY.map((value) => [value.key, value]));
export const isOwnKey = (key: string): key is OwnKey => /^own:[a-z0-9-]+$/.test(key);

export const isPartKey = (key: string): key is PartKey =>
  key.startsWith('part:') && isSlot(key.slice('part:'.length));

export const partKey = (slot: Slot): PartKey => `part:${slot}`;

/** A value of the registry, a mounted part, or the tick of a step the shop added itself. */
export const setupValue = (key: SetupKey): SetupValue =>
  BY_KEY.get(key) ?? (isPartKey(key) ? partValue(key) : ownValue(key as OwnKey));

export const isSetupKey = (key: string): key is SetupKey =>
  BY_KEY.has(key) || isOwnKey(key) || isPartKey(key);

/** A value that is taken by hand: not a part, which is chosen in the kit. */
export const isTaken = (key: SetupKey): boolean => !isPartKey(key);

/** Which part is in a place of the kit: written when it is chosen, compared by what it is. */
function partValue(key: PartKey): SetupValue {
  const slot = key.slice('part:'.length) as Slot;
  const name = slotName(slot);
  return {
    key,
    name: `${name} chosen`,
    short: `other ${name.toLowerCase()}`,
    kind: 'choice',
    tolerance: 0,
    dependsOn: [],
    stage: 'kit',
    part: 'grip',
    how: 'Chosen in the kit',
    tool: '',
    // What most bows have from the first is found as it is; what comes late is a change.
    ...(placeOf(slot).need === 'required' ? {} : { fromZero: true as const }),
    ...(placeOf(slot).startsPapers ? { startsPapers: true as const } : {}),
    changed: name.endsWith('s')
      ? `other ${name.toLowerCase()} were chosen`
      : `another ${name.toLowerCase()} was chosen`,
  };
}

/** The tick of a shop's own step: "own:wax-the-string" is called “Wax the string”. */
export function ownValue(key: OwnKey, dependsOn: readonly SetupKey[] = []): SetupValue {
  const words = key.slice('own:'.length).replaceAll('-', ' ');
  const name = words.charAt(0).toUpperCase() + words.slice(1);
  return {
    key,
    name,
    short: words,
    kind: 'check',
    tolerance: 0,
    dependsOn,
    stage: 'bench',
    part: 'grip',
    how: 'As the shop’s own step says',
    tool: '',
    changed: `“${words}” was done`,
  };
}
