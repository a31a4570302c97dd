import { degree, mm, type Degree, type Metre, type Mm } from '../units';
import { eyeLever } from './eye-lever';

const rad = (value: number) => (value * Math.PI) / 180;

/** Where the arrow leaves for one distance: above the sight line, and the pin above the arrow. */
interface Leaving {
  readonly distanceM: Metre;
  /** The arrow's angle above the sight line at that distance. */
  readonly launchDeg: Degree;
  /** s: the arrow starts so far under the sight line in the pin plane, mm. */
  readonly pinAboveArrowMm: Mm;
}

/** What a tilt about the sight line carries sideways, mm for each unit of sin γ: d·tan θ − s. */
const lever = ({ distanceM, launchDeg, pinAboveArrowMm }: Leaving) =>
  distanceM * 1000 * Math.tan(rad(launchDeg)) - pinAboveArrowMm;

/**
 * Sideways miss of a bubble that is off by `tiltDeg` with the pin held on the target:
 * (d·tan θ − s)·sin γ, since the arrow starts s under the line, on the other side (docs/models.md
 * section 6). + is towards the side the bow leans to.
 */
export const tiltMissMm = (leaving: Leaving, tiltDeg: number): Mm =>
  mm(lever(leaving) * Math.sin(rad(tiltDeg)));

/** Tilt the bubble seems to show on a slope when the third axis is off: asin(sin δ·sin β). */
export const thirdAxisTiltDeg = (offDeg: number, slopeDeg: number): Degree =>
  degree((Math.asin(Math.sin(rad(offDeg)) * Math.sin(rad(slopeDeg))) * 180) / Math.PI);

/**
 * Sideways miss of a rail that leans by `offDeg`: the pin goes sideways as it goes down, and the
 * miss is that part times (d + R)/R, the eye looking over the peep.
 */
export const railMissMm = (
  distanceM: Metre,
  pinDropMm: number,
  peepToPinMm: Mm,
  offDeg: number,
): Mm => mm(pinDropMm * Math.tan(rad(offDeg)) * eyeLever(distanceM, peepToPinMm));

interface SlopeGroup extends Leaving {
  /** Middle of the group from the line aimed at, + right. */
  readonly rightMm: number;
  /** + up, − down. */
  readonly slopeDeg: number;
}

/**
 * How far the third axis is off, from a group shot up and one shot down with the bubble kept in the
 * middle: miss = (d·tan θ − s)·sin δ·sin β for each, and what is common to both is the sight's own
 * side, which grows with d + R.
 *
 * @returns null where the two slopes are less than 20° apart: too flat to tell; or where more than
 *   30° would be off, which is no third axis.
 */
export function thirdAxisFromGroups(
  up: SlopeGroup,
  down: SlopeGroup,
  peepToPinMm: Mm,
): Degree | null {
  if (Math.abs(up.slopeDeg - down.slopeDeg) < 20) return null;
  const carried = (group: SlopeGroup) => lever(group) * Math.sin(rad(group.slopeDeg));
  const side = eyeLever(up.distanceM, peepToPinMm) / eyeLever(down.distanceM, peepToPinMm);
  const sine = (up.rightMm - side * down.rightMm) / (carried(up) - side * carried(down));
  return Math.abs(sine) <= 0.5 ? degree((Math.asin(sine) * 180) / Math.PI) : null;
}
