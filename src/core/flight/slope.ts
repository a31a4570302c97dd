import { bracketedRoot } from '../numerics';
import { degree, metre, type Metre } from '../units';
import { sightMarks, type SightMarksInput } from './sight-marks';

export interface SlopeRow {
  readonly distanceM: Metre;
  readonly slopeDeg: number;
  /** The level distance whose mark hits; null where none within reach does. */
  readonly shootAsM: Metre | null;
}

/**
 * Level distances to be set for shots up and down a slope: the level mark that stands where the
 * slope's mark stands (models.md section 6).
 *
 * @param input geometry and flight; its own distances and slope are not used.
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
  return slopesDeg.flatMap((slopeDeg) =>
    distancesM.map((distanceM) => {
      const wanted = pin(distanceM, slopeDeg);
      const level = (d: number) => (pin(d, 0) ?? Number.NaN) - (wanted ?? Number.NaN);
      const low = Math.max(8, distanceM * 0.3);
      const found =
        wanted === null
          ? null
          : bracketedRoot(level, low, Math.max(low + 1, distanceM * 1.02), 1e-3);
      return { distanceM, slopeDeg, shootAsM: found?.converged ? metre(found.x) : null };
    }),
  );
}
