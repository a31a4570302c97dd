import { median, sampleSd } from '../numerics';
import { mps, type Mps } from '../units';

/** 1σ of one reading of a usual chronograph. Shop rule: a foot a second. */
export const CHRONOGRAPH_SIGMA_MPS = 0.3;
/** A reading this many of the others' σ from their middle is asked about. */
const ASK_SIGMAS = 4;

export interface ChronographResult {
  readonly speedMps: Mps;
  /** Of the middle shot: scatter or the instrument's own, whichever is more. */
  readonly sigmaMps: number;
  /** Scatter of single shots; null under two. */
  readonly scatterMps: number | null;
  readonly slowestMps: Mps;
  readonly fastestMps: Mps;
  /** Index of a reading that does not go with the others; null where all do. */
  readonly outlier: number | null;
}

/**
 * Several readings of a chronograph as one speed: their median, which one odd shot does not pull. The reading furthest from the middle of the
 * others is named when it lies four of their σ off (never under three readings, and σ never under the
 * instrument's own): it is asked about, not left out by itself.
 *
 * @param speedsMps one or more, all of one arrow.
 */
export function chronograph(speedsMps: readonly number[]): ChronographResult | null {
  if (speedsMps.length === 0) return null;
  const scatter = sampleSd(speedsMps);
  const n = speedsMps.length;
  const odd = outlier(speedsMps);
  // An odd shot widens the scatter that is told, not the doubt about the middle.
  const calm = sampleSd(speedsMps.filter((_, i) => i !== odd)) ?? 0;
  return {
    speedMps: mps(median(speedsMps)),
    sigmaMps: (medianSpread(n) * Math.max(calm, CHRONOGRAPH_SIGMA_MPS)) / Math.sqrt(n),
    scatterMps: scatter,
    slowestMps: mps(Math.min(...speedsMps)),
    fastestMps: mps(Math.max(...speedsMps)),
    outlier: odd,
  };
}

/** How much further the median of n scatters than their mean, normal shots; √(π/2) of many. */
const medianSpread = (n: number) => (n < 3 ? 1 : n === 3 ? 1.16 : n === 4 ? 1.09 : 1.2);

function outlier(speeds: readonly number[]): number | null {
  if (speeds.length < 3) return null;
  let [found, worst] = [null as number | null, ASK_SIGMAS];
  speeds.forEach((speed, i) => {
    const others = speeds.filter((_, k) => k !== i);
    const sigma = Math.max(sampleSd(others) ?? 0, CHRONOGRAPH_SIGMA_MPS);
    const off = Math.abs(speed - median(others)) / sigma;
    if (off > worst) [found, worst] = [i, off];
  });
  return found;
}
