import { setTimeout as wait } from 'node:timers/promises';
import { writeShot } from '@/contracts/chronograph';
import { normal, seeded } from '@/core/numerics';
import { DeviceLost, type Device } from '../port';

interface ChronographOptions {
  /** What the bow really gives this arrow, m/s. */
  readonly speedMps: number;
  readonly shots: number;
  readonly seed: number;
  /** ms between two lines; 0 sends them as fast as they are asked for. */
  readonly pauseMs: number;
  /** Shot after which the cable is pulled; none where absent. */
  readonly pulledAfter?: number;
}

/** From shot to shot, m/s: archer and instrument together. */
const SCATTER_MPS = 0.35;
/** A gate that missed the point and saw the vanes: too slow by so much, now and then. */
const MISREAD = 0.08;
const MISREAD_BY = 0.06;
const DROP_OUT = 0.05;
const GARBLED = 0.05;

/**
 * Behaves like a chronograph a metre in front of the bow: scatter, shots it does not see, shots it
 * sees wrong, lines that cannot be read, a cable that is pulled. The same seed sends the same lines.
 */
export function chronographStandIn(options: ChronographOptions): Device {
  const { speedMps, shots, seed, pauseMs, pulledAfter } = options;
  const name = 'Chronograph, stand-in';
  return {
    id: 'chronograph',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed);
      yield 'chronograph 1';
      for (let i = 0; i < shots; i++) {
        if (signal.aborted) return;
        if (pauseMs > 0) await wait(pauseMs);
        if (pulledAfter !== undefined && i >= pulledAfter) throw new DeviceLost(name);
        const wrong = random() < MISREAD ? 1 - MISREAD_BY : 1;
        const shot = (speedMps + SCATTER_MPS * normal(random)) * wrong;
        if (random() < GARBLED) yield '~~ 0x3f ~~';
        if (random() < DROP_OUT) yield '# no shot seen';
        else yield writeShot(shot);
      }
    },
  };
}
