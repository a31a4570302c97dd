import { isSlot, slotName, type Slot } from '../../kit';
import type { OwnKey, PartKey, SetupKey, SetupValue } from '../types';
import { AIMING } from './aiming';
import { ARRIVAL } from './arrival';
import { ARROW_PATH } from './arrow-path';
import { ARROWS } from './arrows';
import { BOW } from './bow';
import { CAMS } from './cams';
import { PROVING } from './proving';
import { REST } from './rest';

/** Every set-up value; map, route, ripple, sheet and comparison read from here. */
export const REGISTRY: readonly SetupValue[] = [
  ...ARRIVAL,
  ...BOW,
  ...CAMS,
  ...ARROW_PATH,
  ...REST,
  ...AIMING,
  ...ARROWS,
  ...PROVING,
];

const BY_KEY = new Map(REGISTRY.map((value) => [value.key, value]));

export const isOwnKey = (key: string): key is OwnKey => /^own:[a-z0-9-]+$/.test(key);

export const isPartKey = (key: string): key is PartKey =>
  key.startsWith('part:') && isSlot(key.slice('part:'.length));

export const partKey = (slot: Slot): PartKey => `part:${slot}`;

/** A value of the registry, a mounted part, or the tick of a step the shop added itself. */
export const setupValue = (key: SetupKey): SetupValue =>
  BY_KEY.get(key) ?? (isPartKey(key) ? partValue(key) : ownValue(key as OwnKey));

export const isSetupKey = (key: string): key is SetupKey =>
  BY_KEY.has(key as SetupKey) || isOwnKey(key) || isPartKey(key);

/** A value that is taken by hand: not a part, which is chosen in the kit. */
export const isTaken = (key: SetupKey): boolean => !isPartKey(key);

/** Which part is in a place of the kit: written when it is chosen, compared by what it is. */
function partValue(key: PartKey): SetupValue {
  const name = slotName(key.slice('part:'.length) as Slot);
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
