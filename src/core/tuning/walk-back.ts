import { fTail, inverse, times } from '../numerics';
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
  /** Where the line starts at the archer, mm; the sight's own side. */
  readonly atArcherMm: number;
  /** Chance of such a drift by scatter alone; null where the hits leave no scatter. */
  readonly pValue: number | null;
  /** The drift is told from nothing. */
  readonly drifts: boolean;
  /** Rest sideways, mm, + right: against the drift; 0 where none is told. */
  readonly restMm: number;
  /** Hits bow away from a straight line: not the rest's doing. */
  readonly bends: boolean;
}

const TOLD_P = 0.1;
/** A rest is moved in steps a screw can be set by, and never by more at once, mm. */
const STEP_MM = 0.25;
const MOST_MM = 2;

/**
 * Walk-back: hits on a plumb line from several distances, aimed with one pin. A straight drift is an
 * arrow that leaves beside the sight's line; the rest goes against it by drift times the length from
 * nock to rest at full draw. A drift is told by its t-test (Student), a bend by the F-test of a
 * square term (from four distances on).
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
  const spare = hits.length - 2;
  const middle = hits.reduce((sum, hit) => sum + hit.distanceM, 0) / hits.length;
  const spread = hits.reduce((sum, hit) => sum + (hit.distanceM - middle) ** 2, 0);
  const sigmaMmPerM = line.sum > 1e-12 ? Math.sqrt(line.sum / spare / spread) : null;
  const pValue = sigmaMmPerM === null ? null : fTail((mmPerM / sigmaMmPerM) ** 2, 1, spare);
  const drifts = pValue === null ? Math.abs(mmPerM) > 1e-9 : pValue < TOLD_P;
  const bends = distances.size >= 4 && bent(hits, line.sum);
  const wanted = -(mmPerM / 1000) * nockToRestMm;
  const step = Math.round(Math.max(-MOST_MM, Math.min(MOST_MM, wanted)) / STEP_MM) * STEP_MM;
  return answered({
    mmPerM,
    sigmaMmPerM,
    atArcherMm,
    pValue,
    drifts,
    bends,
    restMm: drifts && !bends ? step + 0 : 0,
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
