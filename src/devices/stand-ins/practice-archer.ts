import { setTimeout as wait } from 'node:timers/promises';
import { writePractice } from '@/contracts/practice-archer';
import { normal, seeded } from '@/core/numerics';
import { DeviceLost, type Device } from '../port';

interface PracticeOptions {
  readonly what: 'tear' | 'hit';
  /** Where the arrow goes on average, mm right and up. */
  readonly rightMm: number;
  readonly upMm: number;
  /** Scatter of each axis, mm. */
  readonly sigmaMm: number;
  readonly count: number;
  readonly seed: number;
  readonly pauseMs: number;
  readonly pulledAfter?: number;
}

/** An archer to practise the lane with: shoots this job's bow as it stands, with a human scatter. */
export function practiceArcher(options: PracticeOptions): Device {
  const { what, rightMm, upMm, sigmaMm, count, seed, pauseMs, pulledAfter } = options;
  const name = 'Practice archer, stand-in';
  return {
    id: 'practice-archer',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed);
      yield 'archer 1';
      for (let i = 0; i < count; i++) {
        if (signal.aborted) return;
        if (pauseMs > 0) await wait(pauseMs);
        if (pulledAfter !== undefined && i >= pulledAfter) throw new DeviceLost(name);
        yield writePractice(
          what,
          rightMm + sigmaMm * normal(random),
          upMm + sigmaMm * normal(random),
        );
      }
    },
  };
}
