import { type QuantityName, type ShopUnits } from './types';
import { shopUnitFor, siPerUnit } from './unit-table';

/** A number ready to be set: the fraction apart, so that a screen can set it as a true one. */
interface WrittenParts {
  /** '' or '−'. */
  readonly sign: string;
  /** '28', or '' where there is only a fraction. */
  readonly whole: string;
  readonly numerator: number | null;
  readonly denominator: number | null;
  /** 'in', 'lb', '°'. */
  readonly unit: string;
}

const DECIMALS: Record<QuantityName, Record<string, number>> = {
  length: { mm: 0 },
  distance: { m: 1, yd: 1 },
  force: { lb: 1, N: 0 },
  mass: { gr: 0, g: 1 },
  speed: { fps: 0, 'm/s': 1 },
  angle: { deg: 1 },
  turns: { turns: 2 },
  time: { s: 1 },
};

const UNIT_SIGN: Record<string, string> = { deg: '°' };

export interface WriteOptions {
  /** Decimals instead of the usual ones; for lengths in inches it also turns fractions off. */
  readonly decimals?: number;
  /** Denominator instead of the shop's 16 or 32. */
  readonly denominator?: number;
  /** A leading + on positive numbers (moves and differences). */
  readonly signed?: boolean;
}

/** Splits an SI value into the parts a shop writes. Turns are written to the eighth. */
export function writeParts(
  si: number,
  quantity: QuantityName,
  shop: ShopUnits,
  options: WriteOptions = {},
): WrittenParts {
  if (!Number.isFinite(si)) {
    throw new RangeError(`write() was given ${si}; a value that is missing is null, not NaN`);
  }
  const unit = shopUnitFor(quantity, shop);
  const value = si / siPerUnit(unit, quantity)!;
  const shown = UNIT_SIGN[unit] ?? unit;
  const fraction =
    options.decimals === undefined && (unit === 'in' || unit === 'turns')
      ? (options.denominator ?? (unit === 'turns' ? 8 : shop.length === 'in32' ? 32 : 16))
      : null;
  const sign = (zero: boolean) =>
    zero ? '' : value < 0 ? '−' : options.signed === true ? '+' : '';
  if (fraction === null) {
    const decimals = options.decimals ?? DECIMALS[quantity][unit] ?? 1;
    const whole = Math.abs(value).toFixed(decimals);
    return {
      sign: sign(Number(whole) === 0),
      whole,
      numerator: null,
      denominator: null,
      unit: shown,
    };
  }
  const steps = Math.round(Math.abs(value) * fraction);
  const one = unit === 'turns' && steps > 0 && steps <= fraction;
  const [numerator, denominator] = reduce(steps % fraction, fraction);
  const whole = Math.floor(steps / fraction);
  return {
    sign: sign(steps === 0),
    whole: whole === 0 && numerator > 0 ? '' : String(whole),
    numerator: numerator === 0 ? null : numerator,
    denominator: numerator === 0 ? null : denominator,
    unit: one ? 'turn' : shown,
  };
}

function reduce(numerator: number, denominator: number): [number, number] {
  let [n, d] = [numerator, denominator];
  while (n > 0 && n % 2 === 0 && d % 2 === 0) [n, d] = [n / 2, d / 2];
  return [n, d];
}

/** The value as text: "28 3/8 in", "53.0 lb", "−1.5°". Never NaN: throws on one. */
export function write(
  si: number,
  quantity: QuantityName,
  shop: ShopUnits,
  options: WriteOptions = {},
): string {
  const parts = writeParts(si, quantity, shop, options);
  const gap = parts.unit === '°' ? '' : ' ';
  return `${figureText(parts)}${gap}${parts.unit}`;
}

/** The figure alone, without its unit: "28 3/8". */
export function figureText(parts: WrittenParts): string {
  const fraction = parts.numerator === null ? '' : `${parts.numerator}/${parts.denominator}`;
  return parts.sign + [parts.whole, fraction].filter(Boolean).join(' ');
}

/** Two-sided spread as text: "± 3/16 in". */
export const writeSpread = (
  sigma: number,
  quantity: QuantityName,
  shop: ShopUnits,
  options: WriteOptions = {},
) => `± ${write(Math.abs(sigma), quantity, shop, options)}`;
