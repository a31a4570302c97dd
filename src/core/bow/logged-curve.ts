import { areaUnder } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { mm, newton, type Mm, type Newton } from '../units';

/** One line of a draw-board log. */
export interface CurvePoint {
  /** String's way from the brace, mm. */
  readonly drawnMm: Mm;
  readonly forceN: Newton;
}

const CURVE_LEAST_POINTS = 8;
const CURVE_MOST_POINTS = 5000;
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
 * energy (Simpson over the points as they were logged; docs/models.md section 4).
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

/** What is asked about before a curve counts. */
export type CurveDoubt = 'sparse' | 'noLetOff' | 'farFromBrace' | 'otherPeak';

/** Each as a sentence that says what is odd. */
export const CURVE_DOUBTS: Readonly<Record<CurveDoubt, string>> = {
  sparse: 'Its points lie far apart where it bends: peak and valley are guessed between them.',
  noLetOff: 'It hardly lets off: a bow with cams does, or the log ended before the wall.',
  farFromBrace: 'It begins far from the brace height: the first part of the draw is missing.',
  otherPeak:
    'It peaks elsewhere than the bow scale read: another setting, another bow or another unit.',
};

/** Between two points at most this part of the draw, or peak and valley are guessed. Shop rules. */
const WIDEST_PART = 0.12;
/** A cam bow lets off more than this. */
const LEAST_LET_OFF = 0.1;
/** The first point lies this near the brace. */
const START_MM = 25;
/** Peak of the curve against what was weighed, as a part. */
const PEAK_PART = 0.08;

/**
 * What is odd about a curve that can be one: too few points where it bends, no let-off, a draw that
 * does not begin at the brace, another peak than the bow scale read.
 *
 * @param weighedN peak as weighed on this bow at this setting; null where it was not.
 */
export function curveDoubts(
  points: readonly CurvePoint[],
  facts: CurveFacts,
  weighedN: Newton | null,
): CurveDoubt[] {
  const gaps = points.slice(1).map(({ drawnMm }, i) => drawnMm - points[i]!.drawnMm);
  const doubts: readonly (readonly [CurveDoubt, boolean])[] = [
    ['sparse', Math.max(...gaps) > WIDEST_PART * facts.strokeMm],
    ['noLetOff', facts.letOff < LEAST_LET_OFF],
    ['farFromBrace', points[0]!.drawnMm > START_MM],
    ['otherPeak', weighedN !== null && Math.abs(facts.peakN - weighedN) > PEAK_PART * weighedN],
  ];
  return doubts.filter(([, is]) => is).map(([doubt]) => doubt);
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
