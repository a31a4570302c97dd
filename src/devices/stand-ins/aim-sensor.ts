import { setTimeout as wait } from 'node:timers/promises';
import { writeAim, writeRelease } from '@/contracts/aim-sensor';
import { simulatedHold, type HeldBow, type HiddenArcher } from '@/core/hold';
import { seeded } from '@/core/numerics';
import { DeviceLost, type Device } from '../port';

interface AimSensorOptions {
  readonly archer: HiddenArcher;
  readonly bow: HeldBow;
  /** Counted from 0: who shoots long tires. */
  readonly shot: number;
  readonly holdS: number;
  readonly seed: number;
  /** ms between two bundles of samples; 0 sends them as fast as they are asked for. */
  readonly pauseMs: number;
  /** Sample after which the cable is pulled; none where absent. */
  readonly pulledAfter?: number;
}

const RATE_HZ = 200;
/** Now and then a line comes garbled, or a sample not at all. */
const GARBLED = 0.0008;
const DROP_OUT = 0.002;

/**
 * Behaves like a sensor on the bow of an archer who aims once: two hundred samples a second in small
 * bundles, drop-outs, lines that cannot be read, a cable that is pulled. The same seed sends the same lines.
 */
export function aimSensorStandIn(options: AimSensorOptions): Device {
  const { archer, bow, shot, holdS, seed, pauseMs, pulledAfter } = options;
  const name = 'Aim sensor, stand-in';
  return {
    id: 'aim-sensor',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed + 1);
      const { samples, releaseS } = simulatedHold({
        archer,
        bow,
        shot,
        seed,
        holdS,
        rateHz: RATE_HZ,
      });
      yield 'aim 1';
      const bundle = Math.max(1, Math.round((pauseMs * RATE_HZ) / 1000));
      let released = false;
      for (const [i, { tS, rightMrad, upMrad }] of samples.entries()) {
        if (signal.aborted) return;
        if (pauseMs > 0 && i % bundle === 0) await wait(pauseMs);
        if (pulledAfter !== undefined && i >= pulledAfter) throw new DeviceLost(name);
        if (!released && tS >= releaseS) {
          released = true;
          yield writeRelease(releaseS);
        }
        if (random() < GARBLED) yield 'at ~~';
        if (random() >= DROP_OUT) yield writeAim(tS, rightMrad, upMrad);
      }
    },
  };
}
