import type { QuantityName, ReadOptions, UnitName } from './types';
import { shopUnitFor, siPerUnit } from './unit-table';
import { figureText, writeParts } from './write';

/** What somebody says most often, SI, and the units it is said in. */
const USUAL: Readonly<Record<QuantityName, { si: number; units: readonly UnitName[] }>> = {
  length: { si: 720.725, units: ['in', 'mm'] },
  distance: { si: 18, units: ['m', 'yd'] },
  force: { si: 209, units: ['lb', 'N'] },
  mass: { si: 25.3, units: ['gr', 'g'] },
  speed: { si: 83.6, units: ['fps', 'm/s'] },
  angle: { si: 1.5, units: ['deg'] },
  turns: { si: 4.5, units: ['turns'] },
  time: { si: 12, units: ['s'] },
};
/** From so much on nobody counts in grains. */
const HEAVY_G = 150;

/** The usual one where it is possible, else the middle of what is, or a tenth inside its one end. */
function typical({ quantity, min = -Infinity, max = Infinity }: ReadOptions): number {
  const { si } = USUAL[quantity];
  if (si >= min && si <= max) return si;
  if (!Number.isFinite(min)) return max - Math.abs(max) / 10;
  return Number.isFinite(max) ? (min + max) / 2 : min + Math.abs(min) / 10;
}

/** As many decimals as leave it where it is, nearly: within a twentieth of what is possible. */
function plain(value: number, span: number): string {
  const decimals = span >= 10 ? 0 : span >= 1 ? 1 : 2;
  return String(Number(value.toFixed(decimals)));
}

/** Eighths of an inch nearest to it, with a fraction to be seen; null where those are not possible. */
function eighths(inches: number, low: number, high: number): number | null {
  const near = Math.round(inches * 8) / 8;
  const found = [near, near + 3 / 8, near - 3 / 8].find(
    (one) => one >= low && one <= high && one % 1 !== 0,
  );
  return found ?? (near >= low && near <= high ? near : null);
}

/**
 * What can be typed there, one figure in the units it is said in: "28 3/8, 28.375 in or 721 mm". Each of
 * them lies within the limits.
 */
export function example(options: ReadOptions): string {
  const { quantity, shop, bareUnit, min = -Infinity, max = Infinity } = options;
  const own = bareUnit ?? shopUnitFor(quantity, shop);
  const ofOne = siPerUnit(own, quantity)!;
  const middle = typical(options);
  const inches = own === 'in' ? eighths(middle / ofOne, min / ofOne, max / ofOne) : null;
  const si = inches === null ? middle : inches * ofOne;
  const span = Number.isFinite(max - min) ? max - min : Math.abs(si);
  const heavy = quantity === 'mass' && si >= HEAVY_G;
  const usual: readonly UnitName[] = heavy ? ['g', 'oz'] : USUAL[quantity].units;
  const units = [own, ...usual.filter((unit) => unit !== own)].slice(0, usual.length);
  const said = units.flatMap((unit) => {
    const each = siPerUnit(unit, quantity)!;
    const figure = plain(si / each, span / each);
    if (unit === 'turns') return [figureText(writeParts(si, quantity, shop))];
    if (unit === 'deg' || unit === 's') return [figure];
    if (unit !== own || inches === null) return [`${figure} ${unit}`];
    const inFractions = { ...shop, length: 'in16' } as const;
    return [figureText(writeParts(si, quantity, inFractions, { denominator: 8 })), `${inches} in`];
  });
  return said.length < 2 ? said.join('') : `${said.slice(0, -1).join(', ')} or ${said.at(-1)}`;
}
