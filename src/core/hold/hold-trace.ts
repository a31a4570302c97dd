import { mean, median } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { degree, milliradian, second, type Degree } from '../units';
import { dominantHz } from './spectrum';
import type { AimSample, Hold, HoldTrace, HoldTraceInput } from './types';

/** Shop rules, and what a trace must have to be read. */
const SETTLED_RADII = 3;
const LEAST_HOLD_S = 0.5;
const RELEASE_TIMES = 8;
const RELEASE_MRAD_S = 50;
const BEFORE_HOLD_S = 0.5;
const FOLLOW_S = [0.05, 0.5] as const;
/** χ² of two degrees of freedom that 95 of 100 stay under. */
const CHI2_95 = 5.9915;
/** Slower than this it cannot be told what trembles, samples in a second. */
const LEAST_RATE_HZ = 30;
/** A hole longer than this in the hold hides what happened, s. */
const MOST_GAP_S = 0.2;
/** Times that differ by less are one. */
const SAME_S = 1e-9;

const distance = (sample: AimSample, rightMrad: number, upMrad: number) =>
  Math.hypot(sample.rightMrad - rightMrad, sample.upMrad - upMrad);
const bearing = (right: number, up: number): Degree =>
  degree((Math.atan2(up, right) * 180) / Math.PI);

const middle = (samples: readonly AimSample[]) => ({
  right: mean(samples.map(({ rightMrad }) => rightMrad)),
  up: mean(samples.map(({ upMrad }) => upMrad)),
});
const rmsAbout = (samples: readonly AimSample[], right: number, up: number) =>
  Math.sqrt(mean(samples.map((sample) => distance(sample, right, up) ** 2)));

/**
 * What an aim trace says of one shot: the hold, where the aim came from, how it left (docs/models.md
 * section 10).
 *
 * @param input milliradians and seconds; times rise.
 * @returns refused where times do not rise, the trace is too short or has too few samples, a hole hides
 *   the hold, no release is found, and where the aim never settled for half a second.
 */
export function holdTrace({ samples, releaseS }: HoldTraceInput): Outcome<HoldTrace> {
  const disorder = samples.findIndex(({ tS }, i) => i > 0 && !(tS > samples[i - 1]!.tS));
  if (disorder >= 0)
    return refused(
      'time-order',
      `Sample ${disorder + 1} at ${samples[disorder]!.tS} s is no later than the one before it: times must rise.`,
      'samples',
    );
  const release = releaseS ?? foundRelease(samples);
  if (release === null)
    return refused(
      'no-release',
      'Nothing in the trace looks like a release: give its time, or record until after the shot.',
      'samples',
    );
  const upTo = samples.filter(({ tS }) => tS <= release + SAME_S);
  const lastSecond = upTo.filter(({ tS }) => tS >= release - 1 - SAME_S);
  if (lastSecond.length < LEAST_RATE_HZ * LEAST_HOLD_S)
    return refused(
      'too-few-samples',
      `The second before the release holds ${lastSecond.length} samples; ${LEAST_RATE_HZ} a second are needed to tell a tremble.`,
      'samples',
    );
  const held =
    releaseS === undefined ? settledBeforeTheJump(upTo, lastSecond) : settled(upTo, lastSecond);
  const { tS: fromS } = held[0]!;
  if (release - fromS < LEAST_HOLD_S - SAME_S)
    return refused(
      'no-hold',
      'The aim never settled for half a second before the release: there is no hold to measure.',
      'samples',
    );
  const gap = held.findIndex(({ tS }, i) => i > 0 && tS - held[i - 1]!.tS > MOST_GAP_S);
  if (gap > 0 || release - held.at(-1)!.tS > MOST_GAP_S)
    return refused(
      'gap-in-hold',
      `Nothing was recorded for ${((gap > 0 ? held[gap]!.tS - held[gap - 1]!.tS : release - held.at(-1)!.tS) * 1000).toFixed(0)} ms of the hold: leave this shot out, or look at the cable.`,
      'samples',
    );
  const hold = measured(held, release);
  const { rightMrad, upMrad } = hold.centre;
  const came = samples.findLast(({ tS }) => tS <= fromS - BEFORE_HOLD_S + SAME_S) ?? samples[0]!;
  const after = samples.filter(
    ({ tS }) => tS >= release + FOLLOW_S[0] - SAME_S && tS <= release + FOLLOW_S[1] + SAME_S,
  );
  const left = after.length > 0 ? middle(after) : null;
  return answered({
    hold,
    approach: { fromDeg: bearing(came.rightMrad - rightMrad, came.upMrad - upMrad) },
    ...(left
      ? {
          followThrough: {
            rmsMrad: milliradian(rmsAbout(after, rightMrad, upMrad)),
            leavesDeg: bearing(left.right - rightMrad, left.up - upMrad),
          },
        }
      : {}),
    releaseS: second(release),
  });
}

/** The first sample much faster than the second before it, s; null where there is none. */
function foundRelease(samples: readonly AimSample[]): number | null {
  const speed = samples.map((sample, i) => {
    const before = samples[i - 1];
    return before ? distance(sample, before.rightMrad, before.upMrad) / (sample.tS - before.tS) : 0;
  });
  let from = 0;
  for (let i = 1; i < samples.length; i++) {
    while (samples[from]!.tS < samples[i]!.tS - 1 - SAME_S) from++;
    if (speed[i]! <= RELEASE_MRAD_S || samples[i]!.tS - samples[0]!.tS < 1) continue;
    if (speed[i]! > RELEASE_TIMES * median(speed.slice(Math.max(1, from), i)))
      return samples[i]!.tS;
  }
  return null;
}

/** From the earliest sample on from which every one up to the release lies within three radii. */
function settled(
  upTo: readonly AimSample[],
  lastSecond: readonly AimSample[],
): readonly AimSample[] {
  const { right, up } = middle(lastSecond);
  const within = SETTLED_RADII * rmsAbout(lastSecond, right, up);
  const outside = upTo.findLastIndex((sample) => distance(sample, right, up) > within);
  // The last sample of all may itself be outside: then nothing was held.
  return upTo.slice(Math.min(outside + 1, upTo.length - 1));
}

/** A release found in the trace is the first fast sample: it may have left the hold already. */
function settledBeforeTheJump(
  upTo: readonly AimSample[],
  lastSecond: readonly AimSample[],
): readonly AimSample[] {
  const held = settled(upTo, lastSecond);
  return held.length > 1 ? held : settled(upTo.slice(0, -1), lastSecond.slice(0, -1));
}

function measured(held: readonly AimSample[], release: number): Hold {
  const n = held.length;
  const { right, up } = middle(held);
  const time = mean(held.map(({ tS }) => tS));
  const sum = (of: (sample: AimSample) => number) =>
    held.reduce((total, sample) => total + of(sample), 0);
  const spread = sum(({ tS }) => (tS - time) ** 2);
  const slope = (of: (sample: AimSample) => number) =>
    sum((sample) => (sample.tS - time) * of(sample)) / spread;
  const drift = {
    right: slope(({ rightMrad }) => rightMrad - right),
    up: slope(({ upMrad }) => upMrad - up),
  };
  const restRight = held.map(({ tS, rightMrad }) => rightMrad - right - drift.right * (tS - time));
  const restUp = held.map(({ tS, upMrad }) => upMrad - up - drift.up * (tS - time));
  const variance = {
    right: sum(({ rightMrad }) => (rightMrad - right) ** 2) / (n - 1),
    up: sum(({ upMrad }) => (upMrad - up) ** 2) / (n - 1),
    both: sum(({ rightMrad, upMrad }) => (rightMrad - right) * (upMrad - up)) / (n - 1),
  };
  const total = variance.right + variance.up;
  return {
    fromS: held[0]!.tS,
    durationS: second(release - held[0]!.tS),
    rmsMrad: milliradian(rmsAbout(held, right, up)),
    rmsWithoutDriftMrad: milliradian(
      Math.sqrt(mean(restRight.map((value, i) => value ** 2 + restUp[i]! ** 2))),
    ),
    driftMradS: drift,
    ellipse: ellipseOf(variance),
    centre: { rightMrad: milliradian(right), upMrad: milliradian(up) },
    dominantHz: dominantHz(
      held.map(({ tS }) => tS),
      restRight,
      restUp,
    ),
    // An aim that stands quite still wanders no way.
    sidewaysShare: total > 0 ? variance.right / total : 0.5,
  };
}

function ellipseOf({ right, up, both }: { right: number; up: number; both: number }) {
  const [half, root] = [(right + up) / 2, Math.hypot((right - up) / 2, both)];
  const axis = (eigenvalue: number) => milliradian(Math.sqrt(CHI2_95 * Math.max(0, eigenvalue)));
  const tilt = (Math.atan2(2 * both, right - up) * 90) / Math.PI;
  return {
    semiMajorMrad: axis(half + root),
    semiMinorMrad: axis(half - root),
    tiltDeg: degree(tilt <= -90 ? tilt + 180 : tilt),
  };
}
