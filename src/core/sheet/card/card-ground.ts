import type { SheetItem } from '../../flight';
import type { ShopUnits } from '../../units';

/** A card for the pocket, and one for the case (A6). */
export type CardSize = 'field' | 'case';

export const CARD_SIZES: Readonly<
  Record<CardSize, { readonly name: string; readonly widthMm: number; readonly heightMm: number }>
> = {
  field: { name: 'Field card', widthMm: 85, heightMm: 54 },
  case: { name: 'Case card', widthMm: 105, heightMm: 148 },
};

/** Everything a card is measured by, mm. */
export interface Ground {
  readonly size: CardSize;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly margin: number;
  readonly type: number;
  readonly row: number;
  readonly units: ShopUnits;
}

export const GROUNDS: Readonly<Record<CardSize, Omit<Ground, 'units'>>> = {
  field: { size: 'field', ...CARD_SIZES.field, margin: 3.2, type: 2.25, row: 2.95 },
  case: { size: 'case', ...CARD_SIZES.case, margin: 7, type: 3.3, row: 4.5 },
};

export const text = (
  x: number,
  y: number,
  sizeMm: number,
  words: string,
  { bold = false, anchor = 'start' as 'start' | 'middle' | 'end' } = {},
): SheetItem => ({
  kind: 'text',
  x,
  y,
  sizeMm,
  anchor,
  text: words,
  ...(bold ? { bold: true as const } : {}),
});

export const rule = (x1: number, x2: number, y: number, widthMm = 0.15): SheetItem => ({
  kind: 'line',
  x1,
  y1: y,
  x2,
  y2: y,
  widthMm,
});

/** Of a letter on average, em: names are cut by it, so rather too wide. */
const LETTER = 0.62;

export const wide = (words: string, sizeMm: number) => words.length * sizeMm * LETTER;

/** As much of a name as stands in a width. */
export function cut(words: string, widthMm: number, sizeMm: number): string {
  const most = Math.max(1, Math.floor(widthMm / (sizeMm * LETTER)));
  return words.length <= most ? words : `${words.slice(0, most - 1).trimEnd()}…`;
}

/** Name and what it is, over the tape’s ticks. */
export function head(
  words: string,
  beside: string,
  { widthMm, margin, type }: Ground,
): SheetItem[] {
  const y = margin + type * 1.3;
  const line = y + type * 0.5;
  const ticks = 32;
  const room = widthMm - 2 * margin - wide(beside, type * 0.95) - type;
  return [
    text(margin, y, type * 1.3, cut(words, room, type * 1.3), { bold: true }),
    text(widthMm - margin, y, type * 0.95, beside, { anchor: 'end' }),
    rule(margin, widthMm - margin, line, 0.3),
    ...Array.from({ length: ticks + 1 }, (_, i): SheetItem => {
      const x = margin + ((widthMm - 2 * margin) * i) / ticks;
      const long = i % 8 === 0 ? 0.55 : i % 4 === 0 ? 0.4 : 0.25;
      return { kind: 'line', x1: x, y1: line, x2: x, y2: line + long * type, widthMm: 0.15 };
    }),
  ];
}

export const top = ({ margin, type }: Ground) => margin + type * 3.6;

export const signed = (value: number) => value.toFixed(1).replace('-', '−');
