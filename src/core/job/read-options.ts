import { PIVOT_TO_STANDARD_MM, type BowRecord } from '../bow';
import { DRAW_LENGTH_METHODS, OLD_BOW } from '../fit';
import { setupValue, type SetupKey } from '../setup';
import type { QuantityName, ReadOptions, ShopUnits } from '../units';
import { isFitKey, isMethod, type FitKey } from './fit-readings';

export type EntryKey = SetupKey | FitKey;

/**
 * What is added to a reading before it is the value, mm: a draw length is read from the nock's groove
 * to the plunger hole, everywhere, and 1 3/4 in are added where it is entered. 0 for all else.
 */
export function addedTo(key: EntryKey): number {
  if (isFitKey(key))
    return key === 'markedArrow' || key === 'fittingBow' ? PIVOT_TO_STANDARD_MM : 0;
  return setupValue(key).added ?? 0;
}

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
  if (isFitKey(key) && !isMethod(key)) return ofFit(key, shop);
  if (isMethod(key)) {
    const { name, minMm, maxMm } = DRAW_LENGTH_METHODS.find((entry) => entry.method === key)!;
    return { quantity: 'length', shop, min: minMm, max: maxMm, what: name.toLowerCase() };
  }
  const value = setupValue(key);
  const { kind } = value;
  const added = addedTo(key);
  if (kind === 'check' || kind === 'choice' || kind === 'text' || kind === 'group') return null;
  if (kind === 'mark' || kind === 'drift') return null;
  const quantity: QuantityName = kind === 'tear' ? 'length' : kind;
  const most = (bow && value.most?.(bow)) || null;
  return {
    quantity,
    shop,
    what: value.name.toLowerCase(),
    ...(value.min === undefined ? {} : { min: value.min - added }),
    ...(value.max === undefined ? {} : { max: most ?? value.max - added }),
    ...(value.bareUnit === undefined ? {} : { bareUnit: value.bareUnit }),
  };
}

function ofFit(key: FitKey, shop: ShopUnits): ReadOptions | null {
  if (key === 'postureBow')
    return { quantity: 'length', shop, min: 380, max: 900, what: 'draw length of the bow in hand' };
  const old = OLD_BOW.find((entry) => entry.key === key);
  if (!old) return null;
  const { quantity, min, max, name } = old;
  return {
    quantity,
    shop,
    min,
    max,
    what: `${name.toLowerCase()} of the old bow`,
    // A whole bow is put on a kitchen scale, not on a grain scale.
    ...(quantity === 'mass' ? { bareUnit: 'g' as const } : {}),
  };
}
