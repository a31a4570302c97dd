import { areaUnder } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { mm, newton, type Mm, type Newton } from '../units';

/** One line of a draw-board log. */
export interface CurvePoint {
  /** String's way from the brace, mm. */
  readonly drawnMm: Mm;
  readonly forceN: Newton;
}

export const CURVE_LEAST_POINTS = 8;
export const CURVE_MOST_POINTS = 5000;
const MOST_DRAWN_MM = 900;
const MOST_FORCE_N = 600;
/** Width of the valley: where the weight stays within this part of the way from holding to peak. */
const VALLEY_PART = 0.1;

export interface CurveFacts {
  readonly peakN: Newton;
  readonly peakAtMm: Mm;
  /** At the wall: the least weight over the last tenth of the draw. */
  readonly holdingN: Newton;
  readonly letOff: number;
  readonly valleyMm: Mm;
  readonly storedEnergyJ: number;
  readonly strokeMm: Mm;
}

/**
 * Checks a logged draw-force curve and reads it: peak, holding weight, let-off, valley, stored
 * energy (Simpson over the points as they were logged; models.md section 4).
 *
 * @param points drawn way strictly growing, at least 8, mm and N.
 * @returns a refusal naming the point (counted from 0) where something cannot be.
 */
export function curveFacts(points: readonly CurvePoint[]): Outcome<CurveFacts> {
  const wrong = curveFault(points);
  if (wrong) return wrong;
  const peak = points.reduce((a, b) => (b.forceN > a.forceN ? b : a));
  const end = points.at(-1)!.drawnMm;
  const start = points[0]!.drawnMm;
  const wall = points.filter(({ drawnMm }) => drawnMm >= start + 0.9 * (end - start));
  const holding = Math.min(...wall.map(({ forceN }) => forceN));
  const low = holding + VALLEY_PART * (peak.forceN - holding);
  return answered({
    peakN: peak.forceN,
    peakAtMm: peak.drawnMm,
    holdingN: newton(holding),
    letOff: 1 - holding / peak.forceN,
    valleyMm: mm(valley(points, low)),
    storedEnergyJ: areaUnder(points.map((p) => ({ x: p.drawnMm, y: p.forceN }))) / 1000,
    strokeMm: mm(end - start),
  });
}

function curveFault(points: readonly CurvePoint[]) {
  if (points.length < CURVE_LEAST_POINTS)
    return refused(
      'too-few-points',
      `A curve needs at least ${CURVE_LEAST_POINTS} points; this has ${points.length}.`,
      'points',
    );
  if (points.length > CURVE_MOST_POINTS)
    return refused(
      'too-many-points',
      `A curve has at most ${CURVE_MOST_POINTS} points; this has ${points.length}.`,
      'points',
    );
  for (const [i, { drawnMm, forceN }] of points.entries()) {
    const at = `points/${i}`;
    if (!(drawnMm >= 0 && drawnMm <= MOST_DRAWN_MM))
      return refused('drawn-out-of-range', `The way drawn must be 0 to ${MOST_DRAWN_MM} mm.`, at);
    if (!(forceN >= 0 && forceN <= MOST_FORCE_N))
      return refused('force-out-of-range', `The weight must be 0 to ${MOST_FORCE_N} N.`, at);
    if (i > 0 && drawnMm <= points[i - 1]!.drawnMm)
      return refused(
        'draw-goes-back',
        `The draw goes back at point ${i + 1}: ${drawnMm.toFixed(1)} mm after ${points[i - 1]!.drawnMm.toFixed(1)} mm. Log one slow draw, without letting down.`,
        at,
      );
  }
  const [first, last] = [points[0]!, points.at(-1)!];
  if (last.drawnMm - first.drawnMm < 100)
    return refused('no-draw', 'The draw is shorter than 100 mm.', 'points');
  return Math.max(...points.map((p) => p.forceN)) < 20
    ? refused('no-weight', 'No weight over 20 N: the scale was not hooked in.', 'points')
    : null;
}

/** Way at the end of the draw over which the weight lies under `low`, ends interpolated. */
function valley(points: readonly CurvePoint[], low: number): number {
  let i = points.length - 1;
  // The wall itself may rise: from the end back to the first point under the line.
  while (i > 0 && points[i]!.forceN > low) i--;
  const far = i;
  while (i > 0 && points[i - 1]!.forceN <= low) i--;
  const cross = (outer: CurvePoint | undefined, inner: CurvePoint) =>
    outer === undefined
      ? inner.drawnMm
      : inner.drawnMm +
        ((low - inner.forceN) / (outer.forceN - inner.forceN)) * (outer.drawnMm - inner.drawnMm);
  return cross(points[far + 1], points[far]!) - cross(points[i - 1], points[i]!);
}

/** A curve as it was kept for a bow. */
export interface LoggedCurve {
  readonly id: number;
  readonly bowId: string;
  readonly points: readonly CurvePoint[];
  /** `device` as streamed, `file` as imported. */
  readonly source: 'device' | 'file';
  readonly who: string;
  readonly at: string;
}
