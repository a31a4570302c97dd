import {
  findUnit,
  shopUnitFor,
  type QuantityName,
  type ShopUnits,
  type UnitName,
} from '@/core/units';

/** What a key of the pad does to what is typed. */
export type PadKey =
  | { readonly do: 'digit'; readonly digit: string }
  | { readonly do: 'point' }
  | { readonly do: 'back' }
  | { readonly do: 'sign' }
  | { readonly do: 'fraction'; readonly numerator: number; readonly denominator: number }
  | { readonly do: 'sixteenth' }
  | { readonly do: 'unit'; readonly unit: UnitName };

interface Split {
  sign: string;
  whole: string;
  numerator: number;
  denominator: number;
  unit: string;
}

/** "27 5/8 in" taken apart; null for text the pad does not understand (typed by hand). */
function split(text: string): Split | null {
  const match = /^([-−]?)(\d*(?:[.,]\d*)?)(?:\s*(\d+)\/(\d+))?\s*([^\d\s.,/]\D*)?$/.exec(
    text.trim(),
  );
  if (!match) return null;
  const [, sign = '', whole = '', numerator, denominator, unit = ''] = match;
  if (unit !== '' && whole === '' && numerator === undefined) return null;
  return {
    sign,
    whole: whole.trim(),
    numerator: Number(numerator ?? 0),
    denominator: Number(denominator ?? 1),
    unit,
  };
}

function join({ sign, whole, numerator, denominator, unit }: Split): string {
  const fraction = numerator > 0 ? `${numerator}/${denominator}` : '';
  const number = sign + [whole, fraction].filter(Boolean).join(' ');
  return unit ? `${number} ${unit}`.trim() : number;
}

function addSixteenth(parts: Split): Split {
  const sixteenths = Math.round((parts.numerator / parts.denominator) * 16) + 1;
  if (sixteenths >= 16) {
    return {
      ...parts,
      whole: String(Number(parts.whole || '0') + 1),
      numerator: 0,
      denominator: 1,
    };
  }
  let [n, d] = [sixteenths, 16];
  while (n % 2 === 0) [n, d] = [n / 2, d / 2];
  return { ...parts, numerator: n, denominator: d };
}

const hasPoint = (parts: Split) => /[.,]/.test(parts.whole);

/**
 * What stands in the field after a key of the pad: fractions replace the fraction, a unit replaces
 * the unit, back takes the last thing away whole. Text it cannot take apart only grows or shrinks.
 */
export function pressKey(text: string, key: PadKey): string {
  const parts = split(text);
  if (!parts)
    return key.do === 'back' ? text.slice(0, -1) : key.do === 'digit' ? text + key.digit : text;
  switch (key.do) {
    case 'digit':
      return parts.numerator > 0 ? text : join({ ...parts, whole: parts.whole + key.digit });
    case 'point':
      return parts.numerator > 0 || hasPoint(parts)
        ? text
        : join({ ...parts, whole: `${parts.whole || '0'}.` });
    case 'sign':
      return join({ ...parts, sign: parts.sign ? '' : '-' });
    case 'fraction':
      return hasPoint(parts)
        ? text
        : join({ ...parts, numerator: key.numerator, denominator: key.denominator });
    case 'sixteenth':
      return hasPoint(parts) ? text : join(addSixteenth(parts));
    case 'unit':
      return join({ ...parts, unit: findUnit(parts.unit)?.name === key.unit ? '' : key.unit });
    case 'back':
      if (parts.unit) return join({ ...parts, unit: '' });
      if (parts.numerator > 0) return join({ ...parts, numerator: 0 });
      return join(
        parts.whole ? { ...parts, whole: parts.whole.slice(0, -1) } : { ...parts, sign: '' },
      );
  }
}

/** Four rows of keys; null is a gap. Every row has the same number of them. */
export type PadLayout = readonly (readonly (PadKey | null)[])[];

const fraction = (numerator: number, denominator: number): PadKey => ({
  do: 'fraction',
  numerator,
  denominator,
});
const digits = (text: string): PadKey[] => [...text].map((digit) => ({ do: 'digit', digit }));

const DIGITS: readonly (readonly PadKey[])[] = [
  digits('789'),
  digits('456'),
  digits('123'),
  [{ do: 'point' }, { do: 'digit', digit: '0' }, { do: 'back' }],
];
const EIGHTHS: readonly (readonly PadKey[])[] = [
  [fraction(1, 8), fraction(1, 4)],
  [fraction(3, 8), fraction(1, 2)],
  [fraction(5, 8), fraction(3, 4)],
  [fraction(7, 8), { do: 'sixteenth' }],
];
const QUARTERS = [fraction(1, 4), fraction(1, 2), fraction(3, 4)];

const UNITS: Record<QuantityName, readonly UnitName[]> = {
  length: ['in', 'mm', 'cm'],
  distance: ['m', 'yd'],
  force: ['lb', 'N'],
  mass: ['gr', 'g', 'oz'],
  speed: ['fps', 'm/s'],
  angle: [],
  turns: [],
  time: [],
};

/**
 * Keys that suit a quantity: fractions where the shop writes them, units in the last column, and
 * a sign where below 0 is possible.
 */
export function padLayout(
  quantity: QuantityName,
  shop: ShopUnits,
  signed: boolean,
  bareUnit?: UnitName,
): PadLayout {
  const inches = quantity === 'length' && (bareUnit ?? shopUnitFor(quantity, shop)) === 'in';
  const units = UNITS[quantity].map((unit): PadKey => ({ do: 'unit', unit }));
  const last: PadKey[] = [
    ...(quantity === 'turns' ? QUARTERS : units),
    ...(signed ? [{ do: 'sign' } as const] : []),
  ];
  return DIGITS.map((row, i) => [
    ...row,
    ...(inches ? EIGHTHS[i]! : []),
    ...(last.length > 0 ? [last[i] ?? null] : []),
  ]);
}

/** Columns of digits on every pad. */
const DIGIT_COLUMNS = 3;

/** The pad for a left hand: fractions and units first, the digits at the other side; digits keep their order. */
export const mirrored = (layout: PadLayout): PadLayout =>
  layout.map((row) => [...row.slice(DIGIT_COLUMNS), ...row.slice(0, DIGIT_COLUMNS)]);
