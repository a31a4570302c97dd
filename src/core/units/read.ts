import { example } from './example';
import type { QuantityName, ReadOptions, UnitName } from './types';
import { findUnit, shopUnitFor, siPerUnit, unitsFor } from './unit-table';
import { write } from './write';

type RefusalCode =
  | 'empty'
  | 'notANumber'
  | 'badFraction'
  | 'unknownUnit'
  | 'wrongUnit'
  | 'tooSmall'
  | 'tooLarge'
  | 'ambiguous';

export interface Refusal {
  readonly ok: false;
  readonly code: RefusalCode;
  /** A sentence that says what is possible. */
  readonly message: string;
}

export interface Understood {
  readonly ok: true;
  /** SI value of the quantity. */
  readonly si: number;
  readonly unit: UnitName;
  /** True when the unit was not typed and the shop's own was taken. */
  readonly unitAssumed: boolean;
  /** What was typed, trimmed, otherwise untouched. */
  readonly entered: string;
}

export type ReadResult = Understood | Refusal;

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const refuse = (code: RefusalCode, message: string): Refusal => ({ ok: false, code, message });

/**
 * Reads a quantity as it is spoken at the bench: `28 3/8`, `28.375 in`, `721mm`, `72,1 cm`,
 * `47#`, `390gr`, `274 fps`, `5' 11 1/2"`. A comma is a decimal comma; a thousands separator
 * is refused rather than guessed.
 *
 * @returns the SI value and the unit it was given in, or a refusal with its reason.
 */
export function read(text: string, options: ReadOptions): ReadResult {
  const entered = text.trim();
  if (entered === '') {
    return refuse('empty', `Enter the ${noun(options)}, for example ${example(options)}.`);
  }
  const normal = normalise(entered);
  const feetAndInches = readFeetAndInches(normal, options.quantity);
  const parsed = feetAndInches ?? readNumberAndUnit(normal, options);
  if (!('value' in parsed)) return parsed;
  const factor = siPerUnit(parsed.unit, options.quantity)!;
  const si = parsed.value * factor;
  return (
    outOfRange(si, options) ?? {
      ok: true,
      si,
      unit: parsed.unit,
      unitAssumed: parsed.assumed,
      entered,
    }
  );
}

interface Parsed {
  value: number;
  unit: UnitName;
  assumed: boolean;
}

const noun = (options: ReadOptions) => options.what ?? options.quantity;

/** Writes vulgar fractions out, joins a hyphenated fraction, squeezes blanks. */
function normalise(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .replace(/⁄/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/(\d)\s*-\s*(\d+\/)/, '$1 $2')
    .replace(/\s*\/\s*(?=\d)/g, '/')
    .replace(/\s+/g, ' ')
    .trim();
}

function readFeetAndInches(text: string, quantity: QuantityName): Parsed | null {
  if (quantity !== 'length') return null;
  const match = /^(\d+)\s*(?:'|′|’|ft)\s*(\d[\d./ ]*)\s*(?:"|″|”|in\.?)?$/i.exec(text);
  if (!match) return null;
  const inches = readNumber(match[2]!.trim());
  return typeof inches === 'number' && inches < 12
    ? { value: Number(match[1]) * 12 + inches, unit: 'in', assumed: false }
    : null;
}

const NUMBER = /^([+-]?(?:\d+ \d+\/\d+|\d+\/\d+|\d*[.,]\d+|\d+[.,]?))\s*(.*)$/;

function readNumberAndUnit(text: string, options: ReadOptions): Parsed | Refusal {
  const match = NUMBER.exec(text);
  const say = `the ${noun(options)}, for example ${example(options)}`;
  if (!match) return refuse('notANumber', `“${text}” is not a number. Enter ${say}.`);
  const value = readNumber(match[1]!);
  if (typeof value !== 'number') return value;
  const tail = match[2]!.trim();
  if (/^[.,]?\d/.test(tail) || /^[.,/]/.test(tail)) {
    return refuse('notANumber', `“${text}” reads as more than one number. Enter ${say}.`);
  }
  if (tail === '') {
    const unit = options.bareUnit ?? shopUnitFor(options.quantity, options.shop);
    return { value, unit, assumed: true };
  }
  const found = findUnit(tail.replace(/\s/g, ''));
  const possible = unitsFor(options.quantity).join(', ');
  if (!found) {
    return refuse('unknownUnit', `“${tail}” is not a unit known here. Possible: ${possible}.`);
  }
  if (found.perUnit[options.quantity] === undefined) {
    return refuse(
      'wrongUnit',
      `${found.name} is not a unit for the ${noun(options)}. Possible: ${possible}.`,
    );
  }
  return { value, unit: found.name, assumed: false };
}

/** "28", "28.375", "28,375", "3/8", "28 3/8", "-1/4" as a number. */
function readNumber(text: string): number | Refusal {
  const sign = text.startsWith('-') ? -1 : 1;
  const body = text.replace(/^[+-]/, '');
  const fraction = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(body);
  if (!fraction) return sign * Number(body.replace(',', '.'));
  const [, whole = '0', numerator, denominator] = fraction;
  if (Number(denominator) === 0) {
    return refuse('badFraction', 'A fraction cannot have 0 below the line.');
  }
  return sign * (Number(whole) + Number(numerator) / Number(denominator));
}

/** Tolerance for limits met exactly but for rounding in the conversion. */
const EDGE = 1e-9;

function outOfRange(si: number, options: ReadOptions): Refusal | null {
  const { min, max } = options;
  const span = rangeWords(options);
  if (min !== undefined && si < min - EDGE) {
    return refuse('tooSmall', `Too small for the ${noun(options)}: ${span}.`);
  }
  if (max !== undefined && si > max + EDGE) {
    return refuse('tooLarge', `Too large for the ${noun(options)}: ${span}.`);
  }
  return null;
}

/** Limits in the unit a number without one is taken to be in; what is named is possible itself. */
function rangeWords(options: ReadOptions): string {
  const { min, max } = options;
  const low = min === undefined ? null : limitText(min, options, 1);
  const high = max === undefined ? null : limitText(max, options, -1);
  if (low && high) return `possible is ${low} to ${high}`;
  return low ? `possible is ${low} or more` : `possible is ${high} or less`;
}

/** Written as the shop writes, rounded inwards: up to 10 1/4 in is no answer where 10 1/4 is too much. */
function limitText(si: number, { quantity, shop, bareUnit }: ReadOptions, inwards: 1 | -1): string {
  const each = siPerUnit(bareUnit ?? shopUnitFor(quantity, shop), quantity)!;
  const say = (value: number) =>
    bareUnit === undefined
      ? write(value, quantity, shop)
      : `${Number((value / each).toFixed(2))} ${bareUnit}`.replace('-', '−');
  for (let step = 0; step <= 64; step++) {
    const text = say(si + (inwards * step * each) / 64);
    const back = read(text, { quantity, shop });
    if (back.ok && inwards * (back.si - si) >= -EDGE) return text;
  }
  return say(si);
}
