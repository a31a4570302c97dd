import type { OwnKey, SetupKey, SetupValue } from '../types';
import { AIMING } from './aiming';
import { ARROW_PATH } from './arrow-path';
import { BOW } from './bow';
import { CAMS } from './cams';
import { PROVING } from './proving';
import { REST } from './rest';

/** Every set-up value; map, route, ripple, sheet and comparison read from here. */
export const REGISTRY: readonly SetupValue[] = [
  ...BOW,
  ...CAMS,
  ...ARROW_PATH,
  ...REST,
  ...AIMING,
  ...PROVING,
];

const BY_KEY = new Map(REGISTRY.map((value) => [value.key, value]));

export const isOwnKey = (key: string): key is OwnKey => /^own:[a-z0-9-]+$/.test(key);

/** A value of the registry, or the tick of a step the shop added itself. */
export const setupValue = (key: SetupKey): SetupValue => BY_KEY.get(key) ?? ownValue(key as OwnKey);

export const isSetupKey = (key: string): key is SetupKey =>
  BY_KEY.has(key as SetupKey) || isOwnKey(key);

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
