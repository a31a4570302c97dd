import { setTimeout as wait } from 'node:timers/promises';
import { writeBoardPoint } from '@/contracts/draw-board';
import { forceCurvePoints, type CurvePoint, type ForceCurve } from '@/core/bow';
import { normal, seeded } from '@/core/numerics';
import { mm, newton } from '@/core/units';
import { DeviceLost, type Device } from '../port';

export interface BoardOptions {
  /** The bow as it is set; the stand-in draws it slowly to the wall. */
  readonly curve: ForceCurve;
  readonly seed: number;
  /** ms between two lines; 0 sends them as fast as they are asked for. */
  readonly pauseMs: number;
  /** Line after which the cable is pulled; none where absent. */
  readonly pulledAfter?: number;
}

const POINTS = 90;
/** Friction of a real bow: the scale reads a little more on the way back than the model says. */
const FRICTION = 1.015;
const SCALE_NOISE_N = 0.6;
const MISREADS = 0.02;
const DROP_OUTS = 0.03;

/**
 * Behaves like a draw board: noise of the scale, lines that do not come, lines that cannot be
 * read, a cable that is pulled. The same seed sends the same lines.
 */
export function drawBoardStandIn({ curve, seed, pauseMs, pulledAfter }: BoardOptions): Device {
  const name = 'Draw board, stand-in';
  return {
    id: 'draw-board',
    name,
    standIn: true,
    async *lines(signal) {
      const random = seeded(seed);
      yield 'board 1';
      let sent = 0;
      for (const point of forceCurvePoints(curve, POINTS)) {
        if (signal.aborted) return;
        if (pauseMs > 0) await wait(pauseMs);
        if (pulledAfter !== undefined && sent >= pulledAfter) throw new DeviceLost(name);
        if (random() < DROP_OUTS) continue;
        if (random() < MISREADS) yield '?? 0x1f';
        yield writeBoardPoint(noisy(point, () => normal(random)));
        sent++;
      }
      yield `end ${sent}`;
    },
  };
}

const noisy = ({ drawnMm, forceN }: CurvePoint, z: () => number): CurvePoint => ({
  drawnMm: mm(drawnMm),
  forceN: newton(Math.max(0, forceN * FRICTION + SCALE_NOISE_N * z())),
});
