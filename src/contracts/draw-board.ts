import Papa from 'papaparse';
import { curveFacts, type CurvePoint } from '@/core/bow';
import { answered, refused, type Outcome } from '@/core/outcome';
import { mm, MM_PER_INCH, N_PER_POUND, newton } from '@/core/units';

const CURVE_FILE_LIMIT = 200_000;

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

const UNITS: readonly {
  readonly header: readonly [string, string];
  readonly per: readonly [number, number];
}[] = [
  { header: ['drawn_mm', 'force_n'], per: [1, 1] },
  { header: ['drawn_in', 'force_lb'], per: [MM_PER_INCH, N_PER_POUND] },
];

/**
 * Reads a logged draw-force curve from a file: two columns with a header that names their units.
 *
 * @returns the points, checked as a curve; a refusal that names the line where it cannot be.
 */
export function readCurveFile(text: string): Outcome<{ readonly points: readonly CurvePoint[] }> {
  if (text.length > CURVE_FILE_LIMIT)
    return refused(
      'file-too-large',
      'The file is larger than 200 kB; a curve is a few hundred lines.',
    );
  const { data } = Papa.parse<string[]>(
    text
      .replace(/^\ufeff/, '')
      .replace(/\r\n?/g, '\n')
      .trim(),
    {
      skipEmptyLines: false,
    },
  );
  const header = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const units = UNITS.find(({ header: wanted }) => wanted.every((name, i) => header[i] === name));
  if (!units)
    return refused(
      'no-header',
      'Line 1 must be drawn_mm,force_n or drawn_in,force_lb, so that the units are known.',
    );
  const points: CurvePoint[] = [];
  const lines: number[] = [];
  for (const [i, row] of data.entries()) {
    if (i === 0 || row.every((cell) => cell.trim() === '')) continue;
    const [drawn, force] = [number(row[0]), number(row[1])];
    if (drawn === null || force === null || row.length > 2)
      return refused(
        'not-a-point',
        `Line ${i + 1}: “${row.join(',').slice(0, 40)}” is not two numbers.`,
      );
    points.push({ drawnMm: mm(drawn * units.per[0]), forceN: newton(force * units.per[1]) });
    lines.push(i + 1);
  }
  const facts = curveFacts(points);
  if (facts.ok) return answered({ points });
  const at = /^points\/(\d+)$/.exec(facts.field ?? '');
  const where = at ? `Line ${lines[Number(at[1])]}: ` : '';
  return refused(facts.reason, `${where}${facts.message}`, facts.field);
}

function number(cell: string | undefined): number | null {
  const text = (cell ?? '').trim().replace(',', '.');
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : null;
}
