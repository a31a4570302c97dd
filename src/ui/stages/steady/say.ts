import { write, type ShopUnits } from '@/core/units';

/** Masses of a bow are said in grams whatever an arrow is weighed in. */
export const grams = (g: number) => `${Math.round(g)} g`;
export const mmOf = (mm: number) => `${Math.round(mm)} mm`;
/** A torque with its sign, to ten: what a hand feels. */
export function torque(nmm: number): string {
  const tens = Math.round(Math.abs(nmm) / 10) * 10;
  return `${tens === 0 ? '' : nmm < 0 ? '−' : '+'}${tens} N·mm`;
}
export const signedGrams = (g: number) =>
  Math.abs(g) < 0.5 ? 'no mass' : `${g < 0 ? '−' : '+'}${grams(Math.abs(g))}`;
export const lengthOf = (mm: number, units: ShopUnits) => write(mm, 'length', units);
