import { sheetSketch, SHEET_LABELS as l } from '@/core/sheet';
import type { SheetBlock, SheetDocument, SheetLine, SheetPages } from '@/core/sheet';
import { spokenDay } from '@/core/units';
import {
  drawSketch,
  GREY,
  hair,
  heightOf,
  INK,
  PT_PER_MM,
  put,
  tapeRule,
  widthOf,
  type Place,
} from './paper';

export const PAGE_ONE_MARGIN = 30;
const MARGIN = PAGE_ONE_MARGIN;
export const PAGE_ONE_FOOT = 20;
const GUTTER = 16;
/** The first that lets everything stand on the page is taken: the largest type, then lines that share. */
const MANNERS = [
  ...[8.8, 8.4, 8, 7.6, 7.2].map((size) => ({ size, shares: false })),
  ...[7.6, 7.2, 6.8, 6.4, 6].map((size) => ({ size, shares: true })),
];
/** Under this the small print of a line is not read any more. */
const SMALLEST = 5.6;
const LEAST_SKETCH = 165;
const MOST_SKETCH = 330;
const GAP = 8;
const KEYS_SIZE = 6.6;
/** Of the width, for the bow; the rest is marks, arrow and keys. */
const SKETCH_PART = 0.56;

type Doc = PDFKit.PDFDocument;

/** A heading or a line of the settings, with the room it takes at a size. */
interface Piece {
  readonly height: number;
  readonly heading: boolean;
  readonly draw: (place: Place) => void;
}

/**
 * The first page: the bow with its numbers, how to measure each, marks, arrow, keys.
 *
 * @returns the type that was taken and how far down it reaches, points.
 */
export function pageOne(doc: Doc, sheet: SheetDocument, { one }: SheetPages) {
  const width = doc.page.width - 2 * MARGIN;
  const top = head(doc, sheet, one, width);
  const keys = one.keys ? keysText(one.keys) : '';
  const keysHigh = keys === '' ? 0 : heightOf(doc, keys, width, { size: KEYS_SIZE }) + 6;
  const room = doc.page.height - PAGE_ONE_FOOT - top - keysHigh;
  const column = (width - GUTTER) / 2;
  const side = { x: MARGIN + width * SKETCH_PART, width: width * (1 - SKETCH_PART) };
  const blocks = [one.marks, one.arrow].filter((block) => block !== null);
  const layoutOf = ({ size, shares }: (typeof MANNERS)[number]) => {
    const pieces = one.groups.flatMap(({ title, lines }) => [
      headingPiece(doc, title, size),
      ...lines.map((line) => linePiece(doc, line, column, size, shares)),
    ]);
    const split = halves(pieces);
    const settings = Math.max(tall(pieces.slice(0, split)), tall(pieces.slice(split)));
    const beside = blocks.reduce(
      (sum, block) => sum + blockHeight(doc, block, side.width, size),
      0,
    );
    return { size, pieces, split, settings, beside };
  };
  const fits = ({ settings, beside }: ReturnType<typeof layoutOf>) =>
    settings + Math.max(LEAST_SKETCH, beside) + GAP <= room;
  // Sheets that are fuller than any bow known are set in the smallest type and run on.
  let layout = layoutOf(MANNERS[0]!);
  for (let i = 1; i < MANNERS.length && !fits(layout); i++) layout = layoutOf(MANNERS[i]!);
  const { size, pieces, split, settings, beside } = layout;
  const high = Math.max(LEAST_SKETCH, beside, Math.min(room - settings - GAP, MOST_SKETCH));
  const sketch = sheetSketch(sheet, (width * SKETCH_PART - 8) / PT_PER_MM, high / PT_PER_MM);
  if (sketch) drawSketch(doc, sketch, MARGIN, top);
  let y = top;
  for (const block of blocks) y = drawBlock(doc, block, { ...side, y }, size);
  const below = top + high + GAP;
  drawColumn(pieces.slice(0, split), { x: MARGIN, y: below, width: column });
  drawColumn(pieces.slice(split), { x: MARGIN + column + GUTTER, y: below, width: column });
  put(doc, keys, { x: MARGIN, y: below + settings + 5, width }, { size: KEYS_SIZE });
  return { size, bottom: below + settings + keysHigh };
}

/** Keys in a line of text: looked up seldom, and many. */
const keysText = ({ title, rows }: SheetBlock) =>
  `${title}: ${rows.map((row) => row.map(({ text }) => text).join(' ')).join('; ')}.`;

const tall = (pieces: readonly Piece[]) => pieces.reduce((sum, piece) => sum + piece.height, 0);

function drawColumn(pieces: readonly Piece[], { x, y, width }: Place): void {
  let at = y;
  for (const piece of pieces) {
    piece.draw({ x, y: at, width });
    at += piece.height;
  }
}

/** Where the second column begins so that the longer of the two is shortest; no heading ends a column. */
function halves(pieces: readonly Piece[]): number {
  const all = tall(pieces);
  let [best, longest, sum] = [pieces.length, all, 0];
  pieces.forEach((piece, i) => {
    const longer = Math.max(sum, all - sum);
    if (i > 0 && !pieces[i - 1]!.heading && longer < longest) [best, longest] = [i, longer];
    sum += piece.height;
  });
  return best;
}

function head(doc: Doc, sheet: SheetDocument, one: SheetPages['one'], width: number): number {
  const stamp = `${l.title}, ${l.pageOne.toLowerCase()}\n${l.ticket(sheet.job.number)}, ${l.revision(sheet.revision)}, ${spokenDay(sheet.madeDay)}, ${sheet.madeBy}\n${[sheet.shop.name, sheet.shop.address, sheet.shop.phone].filter(Boolean).join(', ')}`;
  let y = MARGIN;
  const right = put(
    doc,
    stamp,
    { x: MARGIN + width * 0.46, y: y + 1, width: width * 0.54 },
    { size: 8, right: true },
  );
  y += Math.max(
    right,
    put(doc, sheet.archer.name, { x: MARGIN, y, width: width * 0.45 }, { face: 'bold', size: 19 }),
  );
  for (const line of one.facts) y += put(doc, line, { x: MARGIN, y, width }, { size: 8.2 }) + 0.5;
  if (one.since !== null)
    y += put(doc, one.since, { x: MARGIN, y, width }, { face: 'bold', size: 8.2 });
  tapeRule(doc, MARGIN, y + 3, width);
  return y + 13;
}

const headingPiece = (doc: Doc, title: string, size: number): Piece => ({
  height: size * 1.9,
  heading: true,
  draw: ({ x, y, width }) => {
    put(doc, title, { x, y: y + size * 0.35, width }, { face: 'bold', size: size * 1.05 });
    hair(doc, x, y + size * 1.72, x + width, 0.7, INK);
  },
});

/**
 * Name and number on one line, under it how it is measured; a bar beside it where it was another.
 *
 * @param shares how it is measured may stand on the line of its name, where there is room.
 */
function linePiece(doc: Doc, line: SheetLine, width: number, size: number, shares: boolean): Piece {
  const small = Math.max(SMALLEST, size * 0.78);
  const indent = line.was === null ? 0 : 5;
  const inner = width - indent;
  const value = { face: 'figure' as const, size: size * 1.05, right: true };
  const manner = { size, ...(line.mark === null ? {} : { face: 'bold' as const }) };
  const name = `${line.name}${line.mark === null ? '' : ` · ${line.mark === 'out' ? l.out : l.again}`}`;
  const nameWidth = Math.min(inner * 0.62, widthOf(doc, name, manner) + 6);
  const first = Math.max(
    heightOf(doc, name, nameWidth, manner),
    heightOf(doc, line.text, inner - nameWidth, value),
  );
  const under = [line.under, line.was === null ? '' : l.was(line.was)].filter(Boolean).join(' · ');
  const free = inner - nameWidth - widthOf(doc, line.text, value) - 6;
  const beside = shares && widthOf(doc, under, { size: small }) < free;
  const second = beside || under === '' ? 0 : heightOf(doc, under, inner, { size: small });
  const height = first + second + size * 0.28;
  return {
    height,
    heading: false,
    draw: ({ x, y }) => {
      if (indent > 0)
        doc
          .rect(x, y + 0.5, 2.4, height - 2)
          .fillColor(INK)
          .fill();
      const left = x + indent;
      put(doc, name, { x: left, y, width: nameWidth }, manner);
      put(doc, line.text, { x: left + nameWidth, y, width: inner - nameWidth }, value);
      const place = beside
        ? { x: left + nameWidth, y: y + (size - small) * 0.9, width: free + 6 }
        : { x: left, y: y + first - size * 0.12, width: inner };
      if (under !== '') put(doc, under, place, { size: small, colour: GREY });
      hair(doc, x, y + height - size * 0.2, x + width, 0.25);
    },
  };
}

/** Marks stand in columns: they are short and many. */
const columnsOf = ({ id, rows }: SheetBlock) =>
  id !== 'marks' || rows.length <= 4 ? 1 : rows.length <= 12 ? 2 : 3;

const rowHeight = (
  doc: Doc,
  block: SheetBlock,
  row: SheetBlock['rows'][number],
  width: number,
  size: number,
) =>
  Math.max(
    ...row.map((cell, i) =>
      heightOf(doc, cell.text, block.parts[i]! * width - 4, {
        size,
        ...(cell.as === 'figure' ? { face: 'figure' as const } : {}),
      }),
    ),
  ) + 1;

function blockHeight(doc: Doc, block: SheetBlock, width: number, size: number): number {
  const columns = columnsOf(block);
  const inner = (width - (columns - 1) * 10) / columns;
  const heights = block.rows.map((row) => rowHeight(doc, block, row, inner, size));
  const each = Math.ceil(heights.length / columns);
  const rows = Math.max(
    ...Array.from({ length: columns }, (_, c) =>
      heights.slice(c * each, (c + 1) * each).reduce((sum, height) => sum + height, 0),
    ),
  );
  const note = block.note ? heightOf(doc, block.note, width, { size: size * 0.9 }) : 0;
  return (
    heightOf(doc, block.title, width, { face: 'bold', size: size * 1.05 }) + 4 + rows + note + 6
  );
}

function drawBlock(doc: Doc, block: SheetBlock, { x, y, width }: Place, size: number): number {
  let at = y + put(doc, block.title, { x, y, width }, { face: 'bold', size: size * 1.05 });
  hair(doc, x, at + 0.5, x + width, 0.7, INK);
  at += 3;
  const columns = columnsOf(block);
  const inner = (width - (columns - 1) * 10) / columns;
  const each = Math.ceil(block.rows.length / columns);
  let lowest = at;
  for (let c = 0; c < columns; c++) {
    let rowY = at;
    for (const row of block.rows.slice(c * each, (c + 1) * each)) {
      let cellX = x + c * (inner + 10);
      row.forEach((cell, i) => {
        const cellWidth = block.parts[i]! * inner - 4;
        put(
          doc,
          cell.text,
          { x: cellX, y: rowY, width: cellWidth },
          {
            size,
            face: cell.as === 'figure' ? 'figure' : cell.as === 'strong' ? 'bold' : 'text',
            colour: cell.as === 'soft' ? GREY : INK,
            right: cell.right ?? false,
          },
        );
        cellX += block.parts[i]! * inner;
      });
      rowY += rowHeight(doc, block, row, inner, size);
    }
    lowest = Math.max(lowest, rowY);
  }
  if (block.note) lowest += put(doc, block.note, { x, y: lowest, width }, { size: size * 0.9 });
  return lowest + 6;
}
