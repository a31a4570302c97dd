import { mm, type Mm } from '../units';
import type { Tape } from './tape';

export type PaperSize = 'A4' | 'LETTER';

const PAPERS: Readonly<Record<PaperSize, { readonly widthMm: Mm; readonly heightMm: Mm }>> = {
  A4: { widthMm: mm(210), heightMm: mm(297) },
  LETTER: { widthMm: mm(215.9), heightMm: mm(279.4) },
};

/** Width and height of a paper. */
export const paperMm = (paper: PaperSize) => PAPERS[paper];

/** Something drawn on the sheet, mm from its upper left corner. */
export type SheetItem =
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly widthMm: number;
      readonly dashed?: true;
    }
  | {
      readonly kind: 'text';
      readonly x: number;
      /** Its baseline. */
      readonly y: number;
      readonly sizeMm: number;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly text: string;
      readonly bold?: true;
    }
  /** Filled, black. */
  | {
      readonly kind: 'box';
      readonly x: number;
      readonly y: number;
      readonly widthMm: number;
      readonly heightMm: number;
    };

export interface TapeSheet {
  readonly paper: PaperSize;
  readonly widthMm: Mm;
  readonly heightMm: Mm;
  readonly items: readonly SheetItem[];
  /** Where each strip's first line stands: its lines lie at y + yMm of the tape. */
  readonly strips: readonly { readonly x: number; readonly y: number; readonly tape: Tape }[];
}

interface TapeSheetWords {
  readonly title: string;
  readonly lines: readonly string[];
  readonly ruler: string;
  /** Above each strip: speed and what else tells it from its neighbours. */
  readonly strip: (tape: Tape) => readonly string[];
}

const MARGIN = 15;
const HEAD_MM = 34;
const RULER_MM = 100;
const GAP_MM = 14;
const STRIP_HEAD_MM = 15;
/** Paper left above the first line and below the last, to cut and to hold. */
const LIP_MM = 8;
const HAIR_MM = 0.15;

/**
 * One sheet with a ruler and the tapes side by side, true to size. Pure: the same tapes make the
 * same sheet, whether it becomes SVG or PDF.
 *
 * @param tapes at most as many as fit beside each other; the rest is left out and counted by the caller.
 */
export function tapeSheet(
  tapes: readonly Tape[],
  paper: PaperSize,
  words: TapeSheetWords,
): TapeSheet {
  const { widthMm, heightMm } = PAPERS[paper];
  const items: SheetItem[] = [
    text(MARGIN, MARGIN + 5, 5, words.title, { bold: true }),
    ...words.lines.map((line, i) => text(MARGIN, MARGIN + 11 + i * 4.4, 3.2, line)),
    ...ruler(MARGIN, MARGIN + HEAD_MM, words.ruler),
  ];
  const top = MARGIN + HEAD_MM + 16 + STRIP_HEAD_MM;
  const strips = tapes.slice(0, stripsThatFit(tapes, paper)).map((tape, i) => {
    const x = MARGIN + 4 + tapes.slice(0, i).reduce((sum, t) => sum + place(t), 0);
    items.push(...strip(tape, x, top, words.strip(tape)));
    return { x, y: top + LIP_MM, tape };
  });
  return { paper, widthMm, heightMm, items, strips };
}

const place = (tape: Tape) => Math.max(tape.options.widthMm + GAP_MM, 30);

/** How many of the tapes stand beside each other on the paper. */
export function stripsThatFit(tapes: readonly Tape[], paper: PaperSize): number {
  let x = MARGIN + 4;
  let count = 0;
  for (const tape of tapes) {
    if (x + tape.options.widthMm > PAPERS[paper].widthMm - MARGIN) break;
    x += place(tape);
    count++;
  }
  return count;
}

/** The longest tape a paper takes, mm. */
export const longestTapeMm = (paper: PaperSize): Mm =>
  mm(PAPERS[paper].heightMm - 2 * MARGIN - HEAD_MM - 16 - STRIP_HEAD_MM - 2 * LIP_MM);

const text = (
  x: number,
  y: number,
  sizeMm: number,
  words: string,
  more: { anchor?: 'start' | 'middle' | 'end'; bold?: true } = {},
): SheetItem => ({ kind: 'text', x, y, sizeMm, anchor: 'start', text: words, ...more });

const line = (
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  widthMm: number,
  dashed?: true,
): SheetItem => ({ kind: 'line', x1, y1, x2, y2, widthMm, ...(dashed ? { dashed } : {}) });

/** A hundred millimetres to lay a rule against: the print is true only when it is. */
function ruler(x: number, y: number, words: string): SheetItem[] {
  const ticks = Array.from({ length: RULER_MM + 1 }, (_, i) =>
    line(
      x + i,
      y,
      x + i,
      y + (i % 10 === 0 ? 5 : i % 5 === 0 ? 3.6 : 2.2),
      i % 10 === 0 ? 0.3 : 0.15,
    ),
  );
  const numbers = Array.from({ length: RULER_MM / 10 + 1 }, (_, i) =>
    text(x + i * 10, y + 8.6, 3, String(i * 10), { anchor: 'middle' }),
  );
  return [
    line(x, y, x + RULER_MM, y, 0.3),
    ...ticks,
    ...numbers,
    text(x + RULER_MM + 5, y + 3.4, 3, words),
  ];
}

/** Tick lengths as parts of the strip's width: numbered, fives, the rest. */
const TICKS = [0.52, 0.4, 0.26] as const;

function strip(tape: Tape, x: number, y: number, head: readonly string[]): SheetItem[] {
  const { widthMm, side, lineMm } = tape.options;
  const [left, right] = [x, x + widthMm];
  const bottom = y + tape.lengthMm + 2 * LIP_MM;
  const first = y + LIP_MM;
  const cut = [
    line(left, y, left, bottom, HAIR_MM, true),
    line(right, y, right, bottom, HAIR_MM, true),
    line(left, y, right, y, HAIR_MM, true),
    line(left, bottom, right, bottom, HAIR_MM, true),
  ];
  const names = head.map((words, i) =>
    text(
      left,
      y - STRIP_HEAD_MM + 6 + i * 4,
      i === 0 ? 3.6 : 2.7,
      words,
      i === 0 ? { bold: true } : {},
    ),
  );
  // The numbers on one side, the ticks reach in from the other: the pointer's side.
  const marks = tape.lines.flatMap(({ yMm, rank, number }): SheetItem[] => {
    const at = first + yMm;
    const long = TICKS[rank] * widthMm;
    const tick =
      side === 'left'
        ? line(right - long, at, right, at, lineMm)
        : line(left, at, left + long, at, lineMm);
    if (number === null) return [tick];
    const size = Math.min(3.2, widthMm * 0.3);
    const label = text(side === 'left' ? left + 0.6 : right - 0.6, at + size * 0.36, size, number, {
      anchor: side === 'left' ? 'start' : 'end',
      bold: true,
    });
    return [tick, label];
  });
  return [...cut, ...names, ...marks];
}
