import type { BowRecord } from '../bow';
import { DRAW_LENGTH_METHODS, type DrawLengthMethod } from '../fit';
import { setupValue, type SetupKey } from '../route';
import type { QuantityName, ReadOptions, ShopUnits } from '../units';

export type EntryKey = SetupKey | DrawLengthMethod | 'weightTrial';

const isMethod = (key: string): key is DrawLengthMethod =>
  DRAW_LENGTH_METHODS.some((entry) => entry.method === key);

export const isFitKey = (key: string): key is DrawLengthMethod | 'weightTrial' =>
  key === 'weightTrial' || isMethod(key);

/**
 * How a number typed for a key is read: field and server use the same limits and words.
 *
 * @returns null for keys that take no number (ticks, choices, groups).
 */
export function readOptionsFor(
  key: EntryKey,
  shop: ShopUnits,
  bow: BowRecord | null,
): ReadOptions | null {
  if (key === 'weightTrial') {
    return { quantity: 'force', shop, min: 22, max: 450, what: 'weight of the trial bow' };
  }
  if (isMethod(key)) {
    const { name, minMm, maxMm } = DRAW_LENGTH_METHODS.find((entry) => entry.method === key)!;
    return { quantity: 'length', shop, min: minMm, max: maxMm, what: name.toLowerCase() };
  }
  const value = setupValue(key);
  if (value.kind === 'check' || value.kind === 'choice' || value.kind === 'group') return null;
  const quantity: QuantityName = value.kind === 'tear' ? 'length' : value.kind;
  const isTurns = key === 'limbTurnsUpper' || key === 'limbTurnsLower';
  return {
    quantity,
    shop,
    what: value.name.toLowerCase(),
    ...(value.min === undefined ? {} : { min: value.min }),
    ...(value.max === undefined
      ? {}
      : { max: isTurns && bow?.maxTurns ? bow.maxTurns : value.max }),
    ...(value.bareUnit === undefined ? {} : { bareUnit: value.bareUnit }),
  };
}
