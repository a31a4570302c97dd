import type { Degree, Milliradian, Second } from '../units';

/** Where the aim was at a time, from the sensor’s own zero: + right and up as the archer sees it. */
export interface AimSample {
  readonly tS: Second;
  readonly rightMrad: Milliradian;
  readonly upMrad: Milliradian;
}

export interface HoldTraceInput {
  /** In the order of time. */
  readonly samples: readonly AimSample[];
  /** Given by the device; found in the trace where it is not. */
  readonly releaseS?: Second;
}

/** How still the aim was from when it settled up to the release. */
export interface Hold {
  readonly fromS: Second;
  readonly durationS: Second;
  /** Root mean square distance from its mean. */
  readonly rmsMrad: Milliradian;
  /** The same about the line it drifted along. */
  readonly rmsWithoutDriftMrad: Milliradian;
  /** Milliradians in a second. */
  readonly driftMradS: { readonly right: number; readonly up: number };
  /** Holds 95 of 100 places; tilt of its long axis from right, anticlockwise, (−90°, 90°]. */
  readonly ellipse: {
    readonly semiMajorMrad: Milliradian;
    readonly semiMinorMrad: Milliradian;
    readonly tiltDeg: Degree;
  };
  readonly centre: { readonly rightMrad: Milliradian; readonly upMrad: Milliradian };
  /** Strongest frequency; at 0.5, the lowest looked for, it is slow wander. */
  readonly dominantHz: number;
  /** Share of the variance that is sideways, 0 to 1. */
  readonly sidewaysShare: number;
}

export interface HoldTrace {
  readonly hold: Hold;
  /** Where the aim came from, seen from where it settled: degrees from right, anticlockwise. */
  readonly approach: { readonly fromDeg: Degree };
  /** Absent where the trace ends with the release. */
  readonly followThrough?: { readonly rmsMrad: Milliradian; readonly leavesDeg: Degree };
  readonly releaseS: Second;
}
