import { bowOutline, type BarThread, type BowRecord, type Hand, type Place } from '../bow';
import type { Slot } from '../kit';
import { mm } from '../units';

export const place = (forward: number, up: number, right: number): Place => ({
  forwardMm: mm(forward),
  upMm: mm(up),
  rightMm: mm(right),
});

/** What is to the archer’s right on a right-handed bow is to the left on a left-handed one. */
export const mirrored = (hand: Hand, outMm: number) => (hand === 'right' ? outMm : -outMm);

/** As the drawing has it; the axle of the upper cam from the throat of the grip. */
export function topAxle(bow: BowRecord): Place {
  const { axle } = bowOutline(bow).cams[0]!;
  return place(-axle.x, -axle.y, 0);
}

/**
 * Threads a bar can stand in. Of a bow whose data sheet names none it is the front one, and the one at the
 * back where it has a bushing, as the drawing has them.
 */
export function threadsOf(bow: BowRecord): {
  readonly threads: readonly BarThread[];
  readonly assumed: boolean;
} {
  if (bow.barThreads.length > 0) return { threads: bow.barThreads, assumed: false };
  const { barBase, pocketY } = bowOutline(bow);
  return {
    threads: [
      { spot: 'front', at: place(-barBase.x, -barBase.y, 0) },
      ...(bow.rearBushing ? [{ spot: 'rear' as const, at: place(4, -0.55 * pocketY, 0) }] : []),
    ],
    assumed: true,
  };
}

/** Ahead, up, out on a right-handed bow. Shop rules, for parts whose own figures are not known. */
export const USUAL_SIGHT = { ahead: 0.62, up: 96, out: 34, extensionMm: 95 } as const;
export const USUAL_QUIVER = {
  riser: { ahead: 12, up: 84, out: 74, arrowsUp: -58 },
  sight: { ahead: 62, up: 70, out: 92, arrowsUp: -70 },
} as const;

/** Where small parts sit, as the drawing has them; null for what does not hang on the bow. */
export function smallPartAt(slot: Slot, bow: BowRecord): Place | null {
  const { stringX, arrowY, peep, rest, pocketY } = bowOutline(bow);
  switch (slot) {
    case 'rest':
      return place(-rest.x, -rest.y, mirrored(bow.hand, 12));
    case 'peep':
      return place(-peep.x, -peep.y, 0);
    case 'loop':
    case 'nockingPoint':
      return place(-stringX, -arrowY, 0);
    case 'dampeners':
      return place(-0.5 * stringX, 0, 0);
    case 'stringStop':
      return place(-0.5 * stringX, -0.5 * pocketY, 0);
    case 'sling':
      return place(40, -0.42 * pocketY, 0);
    case 'light':
      return place(90, USUAL_SIGHT.up, mirrored(bow.hand, USUAL_SIGHT.out));
    default:
      return null;
  }
}
