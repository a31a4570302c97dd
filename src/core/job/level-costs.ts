import {
  railMissMm,
  sightMarks,
  thirdAxisTiltDeg,
  tiltMissMm,
  USUAL_PEEP_HEIGHT_MM,
  USUAL_PEEP_TO_PIN_MM,
} from '../flight';
import { flightInputs, type JobFlight } from './marks';
import type { JobDerived } from './derive';
import { gram, mm, mps, type Metre } from '../units';
import { itemOf } from '../kit';

export type Axis = 'first' | 'second' | 'third';

/** Peep and pin where they usually come to stand, until they are measured. Shop rule. */
const USUAL = {
  peepHeightMm: USUAL_PEEP_HEIGHT_MM,
  peepToPinMm: USUAL_PEEP_TO_PIN_MM,
  arrowG: 25,
  shaftOuterMm: 7,
};

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

/** Slope a third axis is judged on. */
const THIRD_AXIS_SLOPE_DEG = 30;

/**
 * Sideways miss in mm for each distance when an axis is off: the bubble by so much, the third axis
 * on a 30° slope, the rail as the pin goes down from the first distance (docs/models.md section 6).
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
    second: marks.map((mark) => Math.abs(tiltMissMm(mark, offDeg))),
    third: marks.map((mark) => Math.abs(tiltMissMm(mark, tilt))),
    first: marks.map(({ distanceM, pinAboveArrowMm }) =>
      Math.abs(
        railMissMm(distanceM, first!.pinAboveArrowMm - pinAboveArrowMm, flight.peepToPinMm, offDeg),
      ),
    ),
  };
}
