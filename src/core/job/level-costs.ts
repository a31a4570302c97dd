import { railMissMm, sightMarks, thirdAxisTiltDeg, tiltMissMm } from '../flight';
import type { Metre } from '../units';
import type { JobFlight } from './marks';

export type Axis = 'first' | 'second' | 'third';

/** Slope a third axis is judged on. */
export const THIRD_AXIS_SLOPE_DEG = 30;

/**
 * Sideways miss in mm for each distance when an axis is off: the bubble by so much, the third axis
 * on a 30° slope, the rail as the pin goes down from the first distance (models.md section 6).
 *
 * @returns empty lists where a distance is out of the arrow’s reach.
 */
export function levelCosts(
  flight: JobFlight,
  referenceM: Metre,
  distancesM: readonly Metre[],
  offDeg = 1,
): Readonly<Record<Axis, readonly number[]>> {
  const answer = sightMarks({
    ...flight,
    clearance: undefined,
    distancesM: [referenceM, ...distancesM],
  });
  if (!answer.ok) return { first: [], second: [], third: [] };
  const [first, ...marks] = answer.marks;
  const tilt = thirdAxisTiltDeg(offDeg, THIRD_AXIS_SLOPE_DEG);
  return {
    second: marks.map(({ distanceM, launchDeg }) =>
      Math.abs(tiltMissMm(distanceM, launchDeg, offDeg)),
    ),
    third: marks.map(({ distanceM, launchDeg }) =>
      Math.abs(tiltMissMm(distanceM, launchDeg, tilt)),
    ),
    first: marks.map(({ distanceM, pinAboveArrowMm }) =>
      Math.abs(
        railMissMm(distanceM, first!.pinAboveArrowMm - pinAboveArrowMm, flight.peepToPinMm, offDeg),
      ),
    ),
  };
}
