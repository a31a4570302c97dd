import { Type, type TSchema } from '@sinclair/typebox';
import {
  plainMoney,
  read,
  readMoney,
  shopUnitFor,
  siPerUnit,
  TRADE_UNITS,
  type QuantityName,
  type ShopUnits,
} from '@/core/units';

import { hasUnseen } from '../plain-text';

/** What one cell says: a value, or a sentence on what is wrong and what is possible. */
export type Cell<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

export const good = <T>(value: T): Cell<T> => ({ ok: true, value });
export const bad = (message: string): Cell<never> => ({ ok: false, message });

/** How one column is read and written; an empty cell is for `optional` alone. */
export interface CellKind<T> {
  readonly says: string;
  /** Of the value itself, in SI. */
  readonly schema: TSchema;
  readonly read: (text: string) => Cell<T>;
  readonly write: (value: T) => string;
  /** The words it can be, where it is one of a few: a form lets choose. */
  readonly choices?: readonly string[];
  /** The same value as a shop's own screens read and write it; absent where no unit is in it. */
  readonly inUnits?: (shop: ShopUnits) => CellKind<T> & { readonly unit: string };
}

/** Blanks of every width, also several, as one; none at the ends. */
const oneBlank = (text: string) => text.replace(/\s+/g, ' ').trim();

export const text = (most: number): CellKind<string> => ({
  says: `text, at most ${most} letters`,
  schema: Type.String({ minLength: 1, maxLength: most }),
  read: (typed) => {
    // "Nordufer  Handel" is no second supplier.
    const cell = oneBlank(typed);
    if (cell === '') return bad('is empty');
    if (hasUnseen(cell)) return bad('holds a sign that cannot be seen: type it again');
    return cell.length > most ? bad(`has more than ${most} letters`) : good(cell);
  },
  write: (value) => value,
});

/** As text, and an empty cell is an empty word. */
export const textOrEmpty = (most: number): CellKind<string> => ({
  ...text(most),
  schema: Type.String({ maxLength: most }),
  read: (cell) => (cell === '' ? good('') : text(most).read(cell)),
});

export const oneOf = <T extends string>(...values: readonly T[]): CellKind<T> => ({
  says: `one of ${values.join(', ')}`,
  choices: values,
  schema: Type.Unsafe<T>({ type: 'string', enum: [...values] }),
  read: (cell) => {
    const found = values.find((value) => value.toLowerCase() === cell.toLowerCase());
    return found ? good(found) : bad(`“${cell}” must be one of ${values.join(', ')}`);
  },
  write: (value) => value,
});

const YES_NO = new Map([
  ['yes', true],
  ['true', true],
  ['1', true],
  ['no', false],
  ['false', false],
  ['0', false],
]);

export const yesNo: CellKind<boolean> = {
  says: 'yes or no',
  choices: ['yes', 'no'],
  schema: Type.Boolean(),
  read: (cell) => {
    const value = YES_NO.get(cell.toLowerCase());
    return value === undefined ? bad(`“${cell}” must be yes or no`) : good(value);
  },
  write: (value) => (value ? 'yes' : 'no'),
};

/** As yes or no, an empty cell or a column left out is no. */
export const yesElseNo: CellKind<boolean> = {
  ...yesNo,
  says: 'yes or no; empty is no',
  read: (cell) => (cell === '' ? good(false) : yesNo.read(cell)),
};

interface Range {
  readonly min: number;
  readonly max: number;
}

/** A plain number; a comma is read as the decimal sign it often is. */
export const plainNumber = (
  { min, max }: Range,
  { factor = 1, decimals = 2, whole = false } = {},
): CellKind<number> => ({
  says: `${whole ? 'whole number' : 'number'}, ${min} to ${max}`,
  schema: (whole && factor === 1 ? Type.Integer : Type.Number)({
    minimum: min * factor,
    maximum: max * factor,
  }),
  read: (cell) => {
    const value = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(cell)
      ? Number(cell.replace(',', '.'))
      : Number.NaN;
    if (Number.isNaN(value)) return bad(`“${cell}” is not a number`);
    if (whole && !Number.isInteger(value)) return bad(`“${cell}” must be a whole number`);
    return value < min || value > max
      ? bad(`${cell} must be ${min} to ${max}`)
      : good(value * factor);
  },
  write: (value) => String(Number((value / factor).toFixed(decimals))),
});

type Measured = Extract<QuantityName, 'length' | 'force' | 'mass' | 'speed'>;

/** How fine a screen shows a stock figure in each unit. */
const FORM_DECIMALS: Readonly<Record<string, number>> = { mm: 1, N: 1, g: 2, 'm/s': 2 };

/** A measure as a shop's own screen has it: a bare number is in the shop's unit. */
const measureIn = (
  quantity: Measured,
  { min, max }: Range,
  shop: ShopUnits,
): CellKind<number> & { readonly unit: string } => {
  const unit = shopUnitFor(quantity, shop);
  const perUnit = siPerUnit(unit, quantity)!;
  const decimals = FORM_DECIMALS[unit] ?? 5;
  const shown = (value: number, places: number) =>
    String(Number((value / perUnit).toFixed(places)));
  return {
    unit,
    says: `${shown(min, 1)} to ${shown(max, 1)} ${unit}`,
    schema: Type.Number({ minimum: min, maximum: max }),
    read: (cell) => {
      const answer = read(cell, { quantity, shop, min, max, what: 'figure' });
      return answer.ok ? good(answer.si) : bad(`“${cell}”: ${answer.message}`);
    },
    write: (value) => shown(value, decimals),
  };
};

/** A measure as it is spoken, "6 1/2" or "165 mm"; a bare number is in the column's unit. */
export const measure = (
  quantity: Measured,
  { min, max }: Range,
  perUnit: number,
): CellKind<number> => ({
  inUnits: (shop) => measureIn(quantity, { min, max }, shop),
  says: `${Number((min / perUnit).toFixed(1))} to ${Number((max / perUnit).toFixed(1))}`,
  schema: Type.Number({ minimum: min, maximum: max }),
  read: (cell) => {
    const answer = read(cell, { quantity, shop: TRADE_UNITS, min, max, what: 'figure' });
    return answer.ok ? good(answer.si) : bad(`“${cell}”: ${answer.message}`);
  },
  write: (value) => String(Number((value / perUnit).toFixed(5))),
});

/** A mass in grams as it stands in a data sheet; as it is spoken too: "4.2 lb", "1.9 kg". */
export const grams = ({ min, max }: Range): CellKind<number> => ({
  says: `${min} to ${max} g`,
  schema: Type.Number({ minimum: min, maximum: max }),
  read: (cell) => {
    const answer = read(cell, {
      ...{ quantity: 'mass', shop: TRADE_UNITS, bareUnit: 'g', min, max, what: 'mass' },
    });
    return answer.ok ? good(answer.si) : bad(`“${cell}”: ${answer.message}`);
  },
  write: (value) => String(Number(value.toFixed(2))),
});

/** An amount of euro as everywhere in the shop, in whole cents: "129", "12.50", "1 200", "899,-". */
export const money = (maxEuro: number): CellKind<number> => ({
  says: `euro, 0 to ${maxEuro}`,
  schema: Type.Integer({ minimum: 0, maximum: maxEuro * 100 }),
  read: (cell) => {
    const answer = readMoney(cell, { maxCents: maxEuro * 100 });
    if (answer.ok) return good(answer.cents);
    switch (answer.code) {
      case 'empty':
        return bad('is empty');
      case 'tooSmall':
      case 'tooLarge':
        return bad(`${cell} must be 0 to ${maxEuro}`);
      case 'ambiguous': {
        const [large, small] = answer.readings!;
        return bad(
          `“${cell}” can be ${plainMoney(large)} or ${plainMoney(small)}: write one of them`,
        );
      }
      default:
        return bad(`“${cell}” is not an amount`);
    }
  },
  write: plainMoney,
});

/** The kind made of another one, in a shop's units where that one has them. */
const changed = <T, U>(kind: CellKind<T>, made: (kind: CellKind<T>) => CellKind<U>) =>
  kind.inUnits
    ? {
        inUnits: (shop: ShopUnits) => {
          const inner = kind.inUnits!(shop);
          return { ...made(inner), unit: inner.unit };
        },
      }
    : {};

/** Several of a kind with blanks between them. */
export const several = <T>(kind: CellKind<T>, most: number): CellKind<readonly T[]> => ({
  says: `none or several with blanks between, each: ${kind.says}`,
  schema: Type.Array(kind.schema, { maxItems: most }),
  read: (cell) => {
    const cells = cell.split(/\s+/).filter(Boolean).map(kind.read);
    const wrong = cells.find((one) => !one.ok);
    if (wrong && !wrong.ok) return wrong;
    if (cells.length > most) return bad(`has more than ${most} entries`);
    return good(cells.flatMap((one) => (one.ok ? [one.value] : [])));
  },
  write: (values) => values.map(kind.write).join(' '),
  ...changed(kind, (other) => several(other, most)),
});

export const optional = <T>(kind: CellKind<T>): CellKind<T | null> => ({
  says: `${kind.says}; empty where not known`,
  schema: Type.Union([kind.schema, Type.Null()]),
  read: (cell) => (cell === '' ? good(null) : kind.read(cell)),
  write: (value) => (value === null ? '' : kind.write(value)),
  ...(kind.choices ? { choices: kind.choices } : {}),
  ...changed(kind, optional),
});
