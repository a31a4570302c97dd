import { fTail, inverse, studentQuantile, studentTwoSided, times } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import type { Metre, Mm } from '../units';

export interface WalkBackHit {
  readonly distanceM: Metre;
  /** From the plumb line that is aimed at, mm, + right. */
  readonly rightMm: number;
}

export interface WalkBackResult {
  /** Drift of the hits, mm sideways for each metre further; + right. */
  readonly mmPerM: number;
  readonly sigmaMmPerM: number | null;
  /** Where the drift lies with nine in ten, mm for each metre. */
  readonly interval: readonly [number, number];
  /** Where the line starts at the archer, mm; the sight's own side. */
  readonly atArcherMm: number;
  /** Chance of such a drift by scatter alone; null where the hits leave no scatter. */
  readonly pValue: number | null;
  /**
   * `straight`: the whole interval lies within what matters. `off`: it leaves 0 out. `notTold`: these
   * hits cannot say; not significant is not straight.
   */
  readonly told: 'straight' | 'off' | 'notTold';
  /** How many more hits like these would tell; null where none within 60, or it is told. */
  readonly hitsNeeded: number | null;
  /** Rest sideways, mm, + right: against the drift; 0 where none is told or it is under a step. */
  readonly restMm: number;
  /** Hits bow away from a straight line: not the rest's doing. */
  readonly bends: boolean;
}

const TOLD_P = 0.1;
/** A drift within this does not matter, mm for each metre. Models.md section 7. */
const STRAIGHT_MM_PER_M = 1;
const MOST_HITS = 60;
/** A rest is moved in steps a screw can be set by, and never by more at once, mm. */
const STEP_MM = 0.25;
const MOST_MM = 2;

/**
 * Walk-back: hits on a plumb line from several distances, aimed with one pin. A straight drift is an
 * arrow that leaves beside the sight's line; the rest goes against it by drift times the length from
 * nock to rest at full draw. The drift is judged by its interval (Student's t, nine in ten), a bend
 * by the F-test of a square term (from four distances on).
 *
 * @param nockToRestMm about the true draw length, 500 to 900.
 * @returns a refusal under three distances, or where they are all one.
 */
export function walkBack(hits: readonly WalkBackHit[], nockToRestMm: Mm): Outcome<WalkBackResult> {
  const distances = new Set(hits.map(({ distanceM }) => Math.round(distanceM * 2)));
  if (distances.size < 3)
    return refused(
      'too-few',
      'A line needs hits from three distances at least, half a metre apart or more.',
      'hits',
    );
  const line = polynomial(hits, 1);
  const [atArcherMm, mmPerM] = line.coefficients as [number, number];
  const n = hits.length;
  const middle = hits.reduce((sum, hit) => sum + hit.distanceM, 0) / n;
  const spread = hits.reduce((sum, hit) => sum + (hit.distanceM - middle) ** 2, 0);
  const sigmaMmPerM = line.sum > 1e-12 ? Math.sqrt(line.sum / (n - 2) / spread) : null;
  const pValue = sigmaMmPerM === null ? null : studentTwoSided(mmPerM / sigmaMmPerM, n - 2);
  /** Half the interval with the hits repeated until there are `count`, their scatter as it is. */
  const half = (count: number) =>
    (sigmaMmPerM ?? 0) * Math.sqrt(n / count) * studentQuantile(TOLD_P, count - 2);
  const tell = (reach: number): WalkBackResult['told'] => {
    if (Math.abs(mmPerM) + reach <= STRAIGHT_MM_PER_M) return 'straight';
    return Math.abs(mmPerM) > reach ? 'off' : 'notTold';
  };
  const told = tell(half(n));
  let needed = n + 1;
  while (told === 'notTold' && needed <= n + MOST_HITS && tell(half(needed)) === 'notTold')
    needed++;
  const bends = distances.size >= 4 && bent(hits, line.sum);
  const wanted = -(mmPerM / 1000) * nockToRestMm;
  const step = Math.round(Math.max(-MOST_MM, Math.min(MOST_MM, wanted)) / STEP_MM) * STEP_MM;
  return answered({
    mmPerM,
    sigmaMmPerM,
    interval: [mmPerM - half(n), mmPerM + half(n)],
    atArcherMm,
    pValue,
    told,
    hitsNeeded: told === 'notTold' && needed <= n + MOST_HITS ? needed - n : null,
    bends,
    restMm: told === 'off' && !bends ? step + 0 : 0,
  });
}

function bent(hits: readonly WalkBackHit[], lineSum: number): boolean {
  const spare = hits.length - 3;
  const curve = polynomial(hits, 2);
  if (spare < 1 || lineSum - curve.sum < 1) return false;
  return fTail((lineSum - curve.sum) / (Math.max(curve.sum, 1e-9) / spare), 1, spare) < TOLD_P / 2;
}

/** Least squares of a low power, by the normal equations centred on the middle distance. */
function polynomial(hits: readonly WalkBackHit[], degree: 1 | 2) {
  const middle = hits.reduce((sum, hit) => sum + hit.distanceM, 0) / hits.length;
  const rows = hits.map(({ distanceM }) =>
    Array.from({ length: degree + 1 }, (_, k) => (distanceM - middle) ** k),
  );
  const normal = rows[0]!.map((_, a) =>
    rows[0]!.map((__, b) => rows.reduce((sum, row) => sum + row[a]! * row[b]!, 0)),
  );
  const right = rows[0]!.map((_, a) =>
    rows.reduce((sum, row, i) => sum + row[a]! * hits[i]!.rightMm, 0),
  );
  // Three distances or more: the matrix cannot be singular.
  const centred = times(inverse(normal)!, right);
  const at = (x: number) => centred.reduce((sum, c, k) => sum + c * (x - middle) ** k, 0);
  const sum = hits.reduce((total, hit) => total + (hit.rightMm - at(hit.distanceM)) ** 2, 0);
  return { coefficients: [at(0), centred[1]!], sum };
}
