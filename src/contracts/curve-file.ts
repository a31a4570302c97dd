import { curveFacts, type CurvePoint } from '@/core/bow';
import { answered, refused, type Outcome } from '@/core/outcome';
import { mm, MM_PER_INCH, N_PER_POUND, newton } from '@/core/units';
import { cellsOf } from './csv';

const CURVE_FILE_LIMIT = 200_000;

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
  const data = cellsOf(text.trim());
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
