import { mm, type Mm } from '../units';
import { drawLength } from './draw-length';
import type { DrawLengthReading } from './types';

/** Draw lengths hardly anybody of that age has; outside, it is asked "sure?", and kept. Shop rule. */
const USUAL: Record<'adult' | 'child', { readonly low: Mm; readonly high: Mm }> = {
  adult: { low: mm(584), high: mm(838) },
  child: { low: mm(406), high: mm(737) },
};

interface Doubt {
  readonly drawLengthMm: Mm;
  readonly side: 'short' | 'long';
}

/**
 * Whether a reading means a draw length outside what is usual: a slip of the tape or the finger,
 * or an unusual archer. Nothing is refused here.
 *
 * @returns null for a usual one.
 */
export function doubtful(
  reading: DrawLengthReading,
  who: 'adult' | 'child',
  loopCounts: boolean,
): Doubt | null {
  const { drawLengthMm } = drawLength([reading], { loopCounts })!;
  const { low, high } = USUAL[who];
  if (drawLengthMm < low) return { drawLengthMm, side: 'short' };
  return drawLengthMm > high ? { drawLengthMm, side: 'long' } : null;
}
