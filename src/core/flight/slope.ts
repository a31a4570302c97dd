import { bracketedRoot } from '../numerics';
import { degree, metre, type Metre } from '../units';
import { sightMarks, type SightMarksInput } from './sight-marks';

interface SlopeRow {
  readonly distanceM: Metre;
  readonly slopeDeg: number;
  /** The level distance whose mark hits; null where none within reach does. */
  readonly shootAsM: Metre | null;
}

/** Nearest level distance looked at; nearer no mark means anything. */
const NEAREST_M = 1;
/** Level distances are told to this, m. */
const TOLD_M = 1e-3;

/**
 * Level distances to be set for shots up and down a slope: the level mark that stands where the
 * slope's mark stands (docs/models.md section 6). Past its highest place the pin only sinks, so the level
 * mark is looked for from there on.
 *
 * @param input geometry and flight; its own distances and slope are not used.
 * @returns null for a row whose slope is out of reach, or whose pin would stand higher than it ever
 *   does on the level.
 */
export function slopeTable(
  input: Omit<SightMarksInput, 'distancesM' | 'slopeDeg' | 'clearance'>,
  distancesM: readonly Metre[],
  slopesDeg: readonly number[],
): SlopeRow[] {
  const pin = (distance: number, slope: number) => {
    const answer = sightMarks({
      ...input,
      distancesM: [metre(distance)],
      slopeDeg: degree(slope),
    });
    return answer.ok ? answer.marks[0]!.pinAboveArrowMm : null;
  };
  const level = (distance: number) => pin(distance, 0) ?? Number.NaN;
  const furthest = Math.max(NEAREST_M, ...distancesM);
  const top = highestM(level, furthest);
  const shootAs = (distanceM: Metre, slopeDeg: number): Metre | null => {
    if (slopeDeg === 0) return distanceM;
    const wanted = pin(distanceM, slopeDeg);
    if (wanted === null || wanted > level(top)) return null;
    const off = (d: number) => level(d) - wanted;
    // On the level the arrow falls furthest: the mark sought is hardly ever past the distance itself.
    const far = Math.max(top, distanceM) * 1.02;
    const found = bracketedRoot(off, top, far, TOLD_M);
    return found.converged ? metre(found.x) : null;
  };
  return slopesDeg.flatMap((slopeDeg) =>
    distancesM.map((distanceM) => ({
      distanceM,
      slopeDeg,
      shootAsM: shootAs(distanceM, slopeDeg),
    })),
  );
}

/** Where the level pin stands highest, by golden section; it rises before and sinks after. */
function highestM(level: (distance: number) => number, furthestM: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [NEAREST_M, furthestM];
  let [a, b] = [high - ratio * (high - low), low + ratio * (high - low)];
  let [fa, fb] = [level(a), level(b)];
  while (high - low > TOLD_M) {
    // Out of reach counts as lower: the highest place lies nearer.
    if (fa >= fb || Number.isNaN(fb)) {
      [high, b, fb] = [b, a, fa];
      a = high - ratio * (high - low);
      fa = level(a);
    } else {
      [low, a, fa] = [a, b, fb];
      b = low + ratio * (high - low);
      fb = level(b);
    }
  }
  return (low + high) / 2;
}
