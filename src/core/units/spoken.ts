import { G_PER_GRAIN, N_PER_POUND, type QuantityName, type ShopUnits } from './types';
import { shopUnitFor, siPerUnit } from './unit-table';
import { write, type WriteOptions } from './write';

const TRADE = ['in', 'lb', 'gr', 'fps', 'yd'];

/**
 * An amount in a sentence: the trade's own words ("half an inch") where the shop writes the trade's
 * unit, its measure else ("13 mm").
 */
export const spoken = (
  si: number,
  quantity: QuantityName,
  shop: ShopUnits,
  words: string,
  options: WriteOptions = {},
): string =>
  TRADE.includes(shopUnitFor(quantity, shop)) ? words : write(si, quantity, shop, options);

/** Decimals that tell 5 from 6 grains a pound in each pair of units. */
const DECIMALS: Readonly<Record<string, number>> = { 'gr lb': 1, 'g lb': 2, 'gr N': 2, 'g N': 3 };

/**
 * Mass of an arrow for each unit of peak weight, in the shop's units: "5.2 gr per lb", "0.076 g per N".
 *
 * @param grainsPerPound the ratio as the trade counts it.
 */
export function perWeight(grainsPerPound: number, shop: ShopUnits): string {
  const [mass, force] = [shopUnitFor('mass', shop), shopUnitFor('force', shop)];
  const gPerN = (grainsPerPound * G_PER_GRAIN) / N_PER_POUND;
  const value = (gPerN * siPerUnit(force, 'force')!) / siPerUnit(mass, 'mass')!;
  return `${value.toFixed(DECIMALS[`${mass} ${force}`] ?? 2)} ${mass} per ${force}`;
}
