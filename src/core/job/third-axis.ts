import { sightMarks, thirdAxisFromGroups } from '../flight';
import { degree, metre, type Degree } from '../units';
import type { JobDerived } from './derive';
import { jobMarks } from './marks';

/** A group shot on a slope with the bubble kept in the middle. */
interface SlopeShot {
  /** Middle of the group from the line aimed at, mm, + right. */
  readonly rightMm: number;
  /** + up, − down. */
  readonly slopeDeg: number;
}

/** Closer than this the third axis is left alone, degrees. Shop rule. */
export const THIRD_AXIS_FINE_DEG = 0.3;

/**
 * How far this job's third axis is off, from a group up and one down a slope at one distance
 * (docs/models.md section 6).
 *
 * @returns `unknown` where the flight is not known yet; `flat` where the slopes are too alike to tell.
 */
export function jobThirdAxis(
  derived: JobDerived,
  distanceM: number,
  [up, down]: readonly [SlopeShot, SlopeShot],
): { readonly offDeg: Degree } | 'unknown' | 'flat' {
  const { flight } = jobMarks(derived, [metre(distanceM)]);
  if (!flight) return 'unknown';
  const leaving = ({ slopeDeg }: SlopeShot) => {
    const answer = sightMarks({
      ...flight,
      clearance: undefined,
      distancesM: [metre(distanceM)],
      slopeDeg: degree(slopeDeg),
    });
    return answer.ok ? answer.marks[0]! : null;
  };
  const [upLeaving, downLeaving] = [leaving(up), leaving(down)];
  if (!upLeaving || !downLeaving) return 'unknown';
  const offDeg = thirdAxisFromGroups(
    { ...up, ...upLeaving },
    { ...down, ...downLeaving },
    flight.peepToPinMm,
  );
  return offDeg === null ? 'flat' : { offDeg };
}
