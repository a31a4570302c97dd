import type { SheetItem } from '../../flight';
import { setupValue, type ValueKey } from '../../setup';
import { spokenDay } from '../../units';
import type { SheetDocument } from '../sheet-document';
import { cut, head, rule, text, top, wide, type CardSize, type Ground } from './card-ground';

/** Rows of squares, a letter each: 1 where black, 0 where white. */
export type CodeMatrix = readonly string[];

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

/** White round a code, squares (ISO/IEC 18004). */
const QUIET = 4;

export function back(sheet: SheetDocument, ground: Ground, code: CodeMatrix | null): SheetItem[] {
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
