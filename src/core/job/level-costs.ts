import { railMissMm, sightMarks, thirdAxisTiltDeg, tiltMissMm } from '../flight';
import { flightInputs, type JobFlight } from './marks';
import type { JobDerived } from './derive';
import { gram, metre, mm, mps, type Metre } from '../units';
import { itemOf } from '../kit';

export type Axis = 'first' | 'second' | 'third';

/** Peep and pin where they usually come to stand, until they are measured. Shop rule. */
const USUAL = { peepHeightMm: 115, peepToPinMm: 750, arrowG: 25, shaftOuterMm: 7 };

/**
 * The flight a level is judged by: the job’s own, else its predicted speed with peep and pin where
 * they usually stand, since levels are set before those are measured.
 *
 * @returns null where not even a speed can be predicted.
 */
export function levelFlight(
  derived: JobDerived,
): { readonly flight: JobFlight; readonly usual: boolean } | null {
  const { inputs, flight } = flightInputs(derived);
  if (!('ok' in flight)) return { flight, usual: false };
  const speed = inputs[0]!.si;
  if (speed === null) return null;
  const [, mass, shaft, peep, radius] = inputs.map(({ si }) => si);
  return {
    usual: true,
    flight: {
      speedMps: mps(speed),
      arrowG: gram(mass ?? USUAL.arrowG),
      shaftOuterMm: mm(
        shaft ?? itemOf(derived.kit, 'arrows')?.attrs.shaftOuterMm ?? USUAL.shaftOuterMm,
      ),
      peepHeightMm: mm(peep ?? USUAL.peepHeightMm),
      peepToPinMm: mm(radius ?? USUAL.peepToPinMm),
    },
  };
}

/** The distance pins are counted from before one is confirmed. */
export const USUAL_FIRST_M: Metre = metre(18);

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
