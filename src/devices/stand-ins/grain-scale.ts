import { setTimeout as wait } from 'node:timers/promises';
import { writeScaleMass } from '@/contracts/grain-scale';
import { normal, seeded } from '@/core/numerics';
import { DeviceLost, type Device } from '../port';

export interface ScaleOptions {
  /** One arrow as it should be, g. */
  readonly massG: number;
  readonly count: number;
  readonly seed: number;
  /** ms between two lines; 0 sends them as fast as they are asked for. */
  readonly pauseMs: number;
  /** Arrow after which the cable is pulled; none where absent. */
  readonly pulledAfter?: number;
}

/** Spread of a set as it is bought, a part of its mass; now and then one is off by far more. */
const SPREAD = 0.0025;
const STRAY = 0.1;
const STRAY_BY = 0.02;

/**
 * Behaves like a grain scale with a set of arrows laid on one after another: it wavers, comes to rest,
 * is lifted off. The same seed sends the same lines.
 */
export function grainScaleStandIn({
  massG,
  count,
  seed,
  pauseMs,
  pulledAfter,
}: ScaleOptions): Device {
  const name = 'Grain scale, stand-in';
  return {
    id: 'grain-scale',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed);
      yield 'scale 1';
      for (let i = 0; i < count; i++) {
        if (signal.aborted) return;
        if (pauseMs > 0) await wait(pauseMs);
        if (pulledAfter !== undefined && i >= pulledAfter) throw new DeviceLost(name);
        const stray = random() < STRAY ? STRAY_BY * (random() < 0.5 ? -1 : 1) : 0;
        const mass = massG * (1 + SPREAD * normal(random) + stray);
        yield writeScaleMass(mass * 0.4, false);
        yield writeScaleMass(mass * 1.02, false);
        yield writeScaleMass(mass, true);
        yield 'empty';
      }
    },
  };
}
