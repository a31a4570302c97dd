import { degree, mm, type Degree, type Metre, type Mm } from '../units';

const rad = (value: number) => (value * Math.PI) / 180;

/**
 * Sideways miss of a bubble that is off by `tiltDeg`: d·tan θ·sin γ (models.md section 6).
 *
 * @param launchDeg the arrow's angle above the sight line at that distance.
 */
export const tiltMissMm = (distanceM: Metre, launchDeg: Degree, tiltDeg: number): Mm =>
  mm(distanceM * 1000 * Math.tan(rad(launchDeg)) * Math.sin(rad(tiltDeg)));

/** Tilt the bubble seems to show on a slope when the third axis is off: asin(sin δ·sin β). */
export const thirdAxisTiltDeg = (offDeg: number, slopeDeg: number): Degree =>
  degree((Math.asin(Math.sin(rad(offDeg)) * Math.sin(rad(slopeDeg))) * 180) / Math.PI);

/**
 * Sideways miss of a rail that leans by `offDeg`: the pin goes sideways as it goes down, and the
 * miss is that part times distance over sight radius.
 */
export const railMissMm = (
  distanceM: Metre,
  pinDropMm: number,
  peepToPinMm: Mm,
  offDeg: number,
): Mm => mm((pinDropMm * Math.tan(rad(offDeg)) * distanceM * 1000) / peepToPinMm);

export interface SlopeGroup {
  /** Middle of the group from the line aimed at, + right. */
  readonly rightMm: number;
  /** + up, − down. */
  readonly slopeDeg: number;
  readonly distanceM: Metre;
  readonly launchDeg: Degree;
}

/**
 * How far the third axis is off, from a group shot up and one shot down with the bubble kept in the
 * middle: miss = d·tan θ·sin δ·sin β for each, and what is common to both is the sight's own side.
 *
 * @returns null where the two slopes are less than 20° apart: too flat to tell.
 */
export function thirdAxisFromGroups(up: SlopeGroup, down: SlopeGroup): Degree | null {
  if (Math.abs(up.slopeDeg - down.slopeDeg) < 20) return null;
  const lever = ({ distanceM, launchDeg, slopeDeg }: SlopeGroup) =>
    distanceM * 1000 * Math.tan(rad(launchDeg)) * Math.sin(rad(slopeDeg));
  // The sight's own side grows with distance and not with slope.
  const side = up.distanceM / down.distanceM;
  const sine = (up.rightMm - side * down.rightMm) / (lever(up) - side * lever(down));
  return Math.abs(sine) > 0.5 ? null : degree((Math.asin(sine) * 180) / Math.PI);
}
