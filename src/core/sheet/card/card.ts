import { slopeTable, weatherTable, type SheetItem } from '../../flight';
import { setupValue, type ValueKey } from '../../setup';
import {
  gram,
  metre,
  metresPer,
  mm,
  mps,
  spokenDay,
  write,
  type Metre,
  type ShopUnits,
} from '../../units';
import type { SheetDocument } from '../sheet-document';

/** A card for the pocket, and one for the case (A6). */
export type CardSize = 'field' | 'case';
export const CARD_SIZES: Readonly<
  Record<CardSize, { readonly name: string; readonly widthMm: number; readonly heightMm: number }>
> = {
  field: { name: 'Field card', widthMm: 85, heightMm: 54 },
  case: { name: 'Case card', widthMm: 105, heightMm: 148 },
};

/** Rows of squares, a letter each: 1 where black, 0 where white. */
export type CodeMatrix = readonly string[];

export interface CardFace {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly SheetItem[];
}

/** Numbers to get back to, the most needed first: a card shows the first ten there are. */
const TEN: readonly ValueKey[] = [
  'drawLength',
  'moduleTop',
  'moduleBottom',
  'peakWeight',
  'limbTurnsUpper',
  'limbTurnsLower',
  'braceHeight',
  'nockHeight',
  'centreShot',
  'peepHeight',
  'peepToPin',
  'restCord',
  'axleToAxle',
  'peepTrueHeight',
  'arrowMass',
  'arrowSpeed',
  'loop',
];
const NUMBERS: Readonly<Record<CardSize, number>> = { field: 10, case: 14 };
const SLOPES = [30, 20, 10, -10, -20, -30];
/** White round a code, squares (ISO/IEC 18004). */
const QUIET = 4;

/** Everything a card is measured by, mm. */
interface Ground {
  readonly size: CardSize;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly margin: number;
  readonly type: number;
  readonly row: number;
  readonly units: ShopUnits;
}

const GROUNDS: Readonly<Record<CardSize, Omit<Ground, 'units'>>> = {
  field: { size: 'field', ...CARD_SIZES.field, margin: 3.2, type: 2.25, row: 2.95 },
  case: { size: 'case', ...CARD_SIZES.case, margin: 7, type: 3.3, row: 4.5 },
};

/**
 * Both sides of a card, true to size: marks or pin gaps with slope and weather, and the numbers to get back
 * to with the code. Pure: the same sheet makes the same card.
 *
 * @param code squares of the sheet's code; null where it has none.
 */
export function cardFaces(
  sheet: SheetDocument,
  size: CardSize,
  code: CodeMatrix | null,
): { readonly front: CardFace; readonly back: CardFace } {
  const ground = { ...GROUNDS[size], units: sheet.units };
  const { widthMm, heightMm } = ground;
  return {
    front: { widthMm, heightMm, items: front(sheet, ground) },
    back: { widthMm, heightMm, items: back(sheet, ground, code) },
  };
}

const text = (
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
const rule = (x1: number, x2: number, y: number, widthMm = 0.15): SheetItem => ({
  kind: 'line',
  x1,
  y1: y,
  x2,
  y2: y,
  widthMm,
});

/** Of a letter on average, em: names are cut by it, so rather too wide. */
const LETTER = 0.62;
const wide = (words: string, sizeMm: number) => words.length * sizeMm * LETTER;

/** As much of a name as stands in a width. */
function cut(words: string, widthMm: number, sizeMm: number): string {
  const most = Math.max(1, Math.floor(widthMm / (sizeMm * LETTER)));
  return words.length <= most ? words : `${words.slice(0, most - 1).trimEnd()}…`;
}

/** Name and what it is, over the tape’s ticks. */
function head(words: string, beside: string, { widthMm, margin, type }: Ground): SheetItem[] {
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

const top = ({ margin, type }: Ground) => margin + type * 3.6;
const signed = (value: number) => value.toFixed(1).replace('-', '−');

function front(sheet: SheetDocument, ground: Ground): SheetItem[] {
  const { marks, archer } = sheet;
  const { margin, type, row } = ground;
  if (!marks)
    return [
      ...head(archer.name, 'marks', ground),
      text(
        margin,
        top(ground) + row,
        type,
        'No marks: shoot the first distance, then print again.',
      ),
    ];
  const speed = marks.flight ? `, ${write(marks.flight.speedMps, 'speed', sheet.units)}` : '';
  const beside = `mm below ${marks.firstText}${speed}`;
  const list = marks.pins ? pinRows(marks.pins) : marks.rows.map(markRow);
  const marksWidth = ground.size === 'field' ? 37 : 91;
  const columns = ground.size === 'field' && list.length <= 12 ? 1 : 2;
  const cutX = ground.size === 'field' ? margin + (columns === 1 ? 22 : marksWidth) : margin;
  const each = Math.ceil(list.length / columns);
  const listHeight = (each + 1) * row;
  const cutY = ground.size === 'field' ? top(ground) : top(ground) + listHeight + row;
  return [
    ...head(archer.name, beside, ground),
    ...listItems(list, ground, columns, each, columns === 1 ? 19 : marksWidth),
    ...cuts(marks, ground, cutX, cutY),
    ...(marks.furthestClearM === null
      ? []
      : [
          text(
            margin,
            ground.heightMm - margin,
            type * 0.85,
            `Clear of the housing to ${write(marks.furthestClearM, 'distance', sheet.units, { decimals: 0 })}.`,
          ),
        ]),
  ];
}

type Marks = NonNullable<SheetDocument['marks']>;

const markRow = ({ distanceText, belowFirstMm }: Marks['rows'][number]) =>
  [distanceText, signed(belowFirstMm)] as const;
const pinRows = (pins: NonNullable<Marks['pins']>) =>
  pins.map(
    ({ distanceText, gapMm }, i) =>
      [`pin ${i + 1}, ${distanceText}`, gapMm === null ? 'top' : `+${signed(gapMm)}`] as const,
  );

function listItems(
  list: readonly (readonly [string, string])[],
  ground: Ground,
  columns: number,
  each: number,
  width: number,
): SheetItem[] {
  const { margin, type, row } = ground;
  const wide = width / columns - 3;
  return list.flatMap(([name, value], i) => {
    const x = margin + Math.floor(i / each) * (width / columns);
    const y = top(ground) + (i % each) * row + type;
    return [
      text(x, y, type, name),
      text(x + wide, y, type * 1.1, value, { bold: true, anchor: 'end' }),
      rule(x, x + wide, y + row * 0.24, 0.08),
    ];
  });
}

/** Slope and weather cuts at three distances; nothing where the sheet kept no flight. */
function cuts(marks: Marks, ground: Ground, x: number, y: number): SheetItem[] {
  const { flight, rows } = marks;
  if (!flight || rows.length < 3) return [];
  const { type, row, units, widthMm, margin } = ground;
  const input = {
    speedMps: mps(flight.speedMps),
    arrowG: gram(flight.arrowG),
    shaftOuterMm: mm(flight.shaftOuterMm),
    peepHeightMm: mm(flight.peepHeightMm),
    peepToPinMm: mm(flight.peepToPinMm),
    dragCoefficient: flight.dragCoefficient,
    airDensityKgM3: flight.airDensityKgM3,
  };
  const distances = [0.4, 0.7, 1].map((part) =>
    metre(rows[Math.round(part * (rows.length - 1))]!.distanceM),
  );
  const slopes = slopeTable(input, distances, SLOPES);
  const weather = weatherTable(input, distances);
  const width = Math.min(widthMm - margin - x, type * 17.5);
  const column = (i: number) => x + width * (0.46 + 0.27 * i) - 0.4;
  const tableRow = (n: number, name: string, cells: readonly string[], bold = false) => [
    text(x, y + n * row + type, type, name, { bold }),
    ...cells.map((cell, i) =>
      text(column(i), y + n * row + type, type, cell, { anchor: 'end', bold }),
    ),
  ];
  const say = (m: number) => (m / metresPer(units.distance)).toFixed(0);
  const shootAs = (slope: number) =>
    slopes
      .filter(({ slopeDeg }) => slopeDeg === slope)
      .map(({ shootAsM }) => (shootAsM === null ? '–' : tenth(shootAsM, units)));
  return [
    ...tableRow(0, `slope, ${units.distance}`, distances.map(say), true),
    rule(x, x + width, y + 1.06 * row, 0.2),
    ...SLOPES.flatMap((slope, i) =>
      tableRow(i + 1, slope > 0 ? `up ${slope}°` : `down ${-slope}°`, shootAs(slope)),
    ),
    ...tableRow(SLOPES.length + 1.6, 'hits, cm', ['', '', ''], true),
    rule(x, x + width, y + (SLOPES.length + 1.6 + 1.06) * row, 0.2),
    ...weather.flatMap(({ id, hitMm }, i) =>
      tableRow(
        SLOPES.length + 2.6 + i,
        WEATHER[id],
        hitMm.map((hit) => (hit > 0 ? `+${signed(hit / 10)}` : signed(hit / 10))),
      ),
    ),
  ];
}

const WEATHER = { warmer: '20 °C more', colder: '20 °C less', higher: '1000 m up' } as const;
const tenth = (distanceM: Metre, units: ShopUnits) =>
  (distanceM / metresPer(units.distance)).toFixed(1);

function back(sheet: SheetDocument, ground: Ground, code: CodeMatrix | null): SheetItem[] {
  const { widthMm, heightMm, margin, type, row, size } = ground;
  const settings = new Map(sheet.settings.map((setting) => [setting.key, setting.text]));
  const lines = TEN.flatMap((key) => {
    const value = settings.get(key);
    return value === undefined ? [] : [[setupValue(key).name, value] as const];
  }).slice(0, NUMBERS[size]);
  const codeMm = size === 'field' ? 36 : 52;
  const width = size === 'field' ? widthMm - 2 * margin - codeMm - 2 : widthMm - 2 * margin;
  const step = size === 'field' ? (heightMm - top(ground) - margin - row) / 10 : row;
  const numbersEnd = top(ground) + lines.length * step;
  const stamp = `${sheet.job.number}.${sheet.revision}, ${spokenDay(sheet.madeDay)}`;
  const shopRoom =
    widthMm -
    2 * margin -
    (size === 'case' ? 0 : wide(stamp, type) + 1) -
    wide(`${sheet.shop.phone}, `, type);
  const shop = [cut(sheet.shop.name, shopRoom, type), sheet.shop.phone].filter(Boolean).join(', ');
  const serial = sheet.bow?.serial ? cut(`no. ${sheet.bow.serial}`, widthMm * 0.45, type) : '';
  const codeAt =
    size === 'field'
      ? { x: widthMm - margin - codeMm + 1.5, y: top(ground) - 1.5 }
      : { x: (widthMm - codeMm) / 2, y: numbersEnd };
  return [
    ...head(sheet.bow?.name ?? '', serial, ground),
    ...lines.flatMap(([name, value], i) => {
      const y = top(ground) + i * step + type;
      return [
        text(margin, y, type, name),
        text(margin + width, y, type * 1.1, value, { bold: true, anchor: 'end' }),
        rule(margin, margin + width, y + step * 0.24, 0.08),
      ];
    }),
    ...(code ? codeItems(code, codeAt.x, codeAt.y, codeMm) : []),
    // Beside each other where the card lies, one over the other where it stands.
    text(margin, heightMm - margin - (size === 'case' ? row : 0), type, shop),
    text(size === 'case' ? margin : widthMm - margin, heightMm - margin, type, stamp, {
      anchor: size === 'case' ? 'start' : 'end',
    }),
  ];
}

/** The squares of a code with its white, each run of black in a row as one box. */
export function codeItems(code: CodeMatrix, x: number, y: number, sizeMm: number): SheetItem[] {
  const square = sizeMm / (code.length + 2 * QUIET);
  return code.flatMap((line, r) => {
    const boxes: SheetItem[] = [];
    let from = -1;
    for (let c = 0; c <= line.length; c++) {
      const isBlack = line[c] === '1';
      if (isBlack && from < 0) from = c;
      if (!isBlack && from >= 0) {
        boxes.push({
          kind: 'box',
          x: x + (QUIET + from) * square,
          y: y + (QUIET + r) * square,
          widthMm: (c - from) * square,
          heightMm: square,
        });
        from = -1;
      }
    }
    return boxes;
  });
}
