import { Problem } from './problem';

// The gate and the application are bundled apart: what both know hangs on the process.
const held = globalThis as typeof globalThis & { waffenradRests?: boolean };

/** Nothing is written just now: another file is laid over the shop’s. */
export const isResting = (): boolean => held.waffenradRests === true;

const AGAIN_S = 2;

/** To whoever wants to write meanwhile: asked again by itself a moment later. */
export const resting = () =>
  new Problem(503, 'is-put-back', 'A backup is being put back', {
    detail: 'A backup of the shop is being put back just now. Try again in a few seconds.',
    retryAfterS: AGAIN_S,
  });

export async function whileResting<T>(work: () => Promise<T>): Promise<T> {
  held.waffenradRests = true;
  try {
    return await work();
  } finally {
    held.waffenradRests = false;
  }
}
