import { setTimeout as wait } from 'node:timers/promises';
import { writePull } from '@/contracts/bow-scale';
import { forceCurvePoints, type ForceCurve } from '@/core/bow';
import { normal, seeded } from '@/core/numerics';
import { DeviceLost, type Device } from '../port';

interface BowScaleOptions {
  /** The bow as its bolts stand; the stand-in draws it once to the wall and lets down. */
  readonly curve: ForceCurve;
  readonly seed: number;
  readonly pauseMs: number;
  /** Line after which the cable is pulled; none where absent. */
  readonly pulledAfter?: number;
}

const POINTS = 24;
const NOISE_N = 0.5;
const GARBLED = 0.03;
/** A hook that slips a little shows less than the bow has, now and then. */
const SLIP = 0.06;
const SLIP_BY = 0.04;

/** Behaves like a bow scale on the string: rising, falling past the peak, then the most of it. */
export function bowScaleStandIn({ curve, seed, pauseMs, pulledAfter }: BowScaleOptions): Device {
  const name = 'Bow scale, stand-in';
  return {
    id: 'bow-scale',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed);
      yield 'bowscale 1';
      let [most, sent] = [0, 0];
      const slip = random() < SLIP ? 1 - SLIP_BY : 1;
      for (const { forceN } of forceCurvePoints(curve, POINTS)) {
        if (signal.aborted) return;
        if (pauseMs > 0) await wait(pauseMs);
        if (pulledAfter !== undefined && sent >= pulledAfter) throw new DeviceLost(name);
        const seen = Math.max(0, forceN * slip + NOISE_N * normal(random));
        most = Math.max(most, seen);
        yield random() < GARBLED ? 'pull ---- N' : writePull('pull', seen);
        sent++;
      }
      yield writePull('peak', most);
    },
  };
}
