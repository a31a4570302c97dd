import type { CurvePoint } from '@/core/bow';
import { mm, newton } from '@/core/units';

/** One line a draw board sends; see docs/formats/draw-board.md. */
type BoardLine =
  | { readonly kind: 'board'; readonly version: number }
  | { readonly kind: 'point'; readonly point: CurvePoint }
  | { readonly kind: 'end'; readonly points: number }
  | { readonly kind: 'note' }
  | { readonly kind: 'junk'; readonly why: string };

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readBoardLine(line: string): BoardLine {
  const text = line.trim();
  if (text === '' || text.startsWith('#')) return { kind: 'note' };
  if (text.length > 80) return junk('is longer than 80 characters');
  const [word, ...rest] = text.split(/\s+/);
  const numbers = rest.map(Number);
  if (numbers.some((value) => !Number.isFinite(value))) return junk('holds something not a number');
  if (word === 'board' && numbers.length === 1) return { kind: 'board', version: numbers[0]! };
  if (word === 'end' && numbers.length === 1) return { kind: 'end', points: numbers[0]! };
  if (word !== 'point' || numbers.length !== 2) return junk('is not board, point or end');
  const [drawn, force] = numbers as [number, number];
  return drawn < 0 || drawn > 900 || force < 0 || force > 600
    ? junk('lies outside 0 to 900 mm or 0 to 600 N')
    : { kind: 'point', point: { drawnMm: mm(drawn), forceN: newton(force) } };
}

const junk = (why: string): BoardLine => ({ kind: 'junk', why });

export const writeBoardPoint = ({ drawnMm, forceN }: CurvePoint) =>
  `point ${drawnMm.toFixed(1)} ${forceN.toFixed(1)}`;
