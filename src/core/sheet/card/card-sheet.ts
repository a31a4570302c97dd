import { paperMm, type PaperSize, type SheetItem } from '../../flight';
import type { CardFace } from './card';

interface CardSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly SheetItem[];
}

/** Cards on a sheet at most, and between them, mm. */
const MOST = 4;
const GAP = 6;
const MARK = 4;
const MARK_OFF = 1;

const moved = (item: SheetItem, dx: number, dy: number): SheetItem =>
  item.kind === 'line'
    ? { ...item, x1: item.x1 + dx, x2: item.x2 + dx, y1: item.y1 + dy, y2: item.y2 + dy }
    : { ...item, x: item.x + dx, y: item.y + dy };

/** One card as a drawing of its own: front and back beside each other, a fold between. */
export function cardPair({ front, back }: { front: CardFace; back: CardFace }): CardSheet {
  const { widthMm, heightMm } = front;
  return {
    widthMm: 2 * widthMm,
    heightMm,
    items: [
      ...front.items,
      ...back.items.map((item) => moved(item, widthMm, 0)),
      line(widthMm, 0, widthMm, heightMm, true),
    ],
  };
}

const line = (x1: number, y1: number, x2: number, y2: number, dashed = false): SheetItem => ({
  kind: 'line',
  x1,
  y1,
  x2,
  y2,
  widthMm: 0.1,
  ...(dashed ? { dashed: true as const } : {}),
});

/**
 * Cards on a sheet of paper, true to size: front and back beside each other to be cut out and folded, as
 * many as stand under one another, four at most, with marks to cut along.
 */
export function cardSheet(
  faces: { front: CardFace; back: CardFace },
  paper: PaperSize,
): CardSheet & { readonly count: number } {
  const { widthMm, heightMm } = paperMm(paper);
  const pair = cardPair(faces);
  const count = Math.min(MOST, Math.floor(heightMm / pair.heightMm));
  const gap = count > 1 ? Math.min(GAP, (heightMm - count * pair.heightMm) / (count - 1)) : 0;
  const whole = count * pair.heightMm + (count - 1) * gap;
  const left = (widthMm - pair.widthMm) / 2;
  const top = (heightMm - whole) / 2;
  const items = Array.from({ length: count }, (_, i) => {
    const y = top + i * (pair.heightMm + gap);
    return [
      ...pair.items.map((item) => moved(item, left, y)),
      ...cutMarks(left, y, pair.widthMm, pair.heightMm),
    ];
  }).flat();
  return { widthMm, heightMm, items, count };
}

/** Two short lines at each corner, outside of what is cut out. */
const cutMarks = (x: number, y: number, width: number, height: number): SheetItem[] =>
  [x, x + width].flatMap((cx, i) =>
    [y, y + height].flatMap((cy, k) => {
      const [dx, dy] = [i === 0 ? -1 : 1, k === 0 ? -1 : 1];
      return [
        line(cx + dx * MARK_OFF, cy, cx + dx * (MARK_OFF + MARK), cy),
        line(cx, cy + dy * MARK_OFF, cx, cy + dy * (MARK_OFF + MARK)),
      ];
    }),
  );
