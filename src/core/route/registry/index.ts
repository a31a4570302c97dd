import type { SetupKey, SetupValue } from '../types';
import { AIMING } from './aiming';
import { ARROW_PATH } from './arrow-path';
import { BOW } from './bow';
import { PROVING } from './proving';
import { REST } from './rest';

/** Every set-up value; map, route, ripple, sheet and comparison read from here. */
export const REGISTRY: readonly SetupValue[] = [
  ...BOW,
  ...ARROW_PATH,
  ...REST,
  ...AIMING,
  ...PROVING,
];

const BY_KEY = new Map(REGISTRY.map((value) => [value.key, value]));

export const setupValue = (key: SetupKey): SetupValue => BY_KEY.get(key)!;

export const isSetupKey = (key: string): key is SetupKey => BY_KEY.has(key as SetupKey);
