import type { Mm } from '../units';

/**
 * A place on the bow from the throat of the grip: towards the target, up, and to the right as the archer
 * sees it, whatever hand the bow is for.
 */
export interface Place {
  readonly forwardMm: Mm;
  readonly upMm: Mm;
  readonly rightMm: Mm;
}

/** Where on a riser a bar can stand: at its front, low at its front, at its back, in its side. */
export type BarSpot = 'front' | 'lowFront' | 'rear' | 'side';

export const BAR_SPOTS: Readonly<Record<BarSpot, string>> = {
  front: 'front thread',
  lowFront: 'low front thread',
  rear: 'rear thread',
  side: 'thread in the side',
};

/** A thread or slot of the riser a bar can stand in. */
export interface BarThread {
  readonly spot: BarSpot;
  readonly at: Place;
}

/** Whether a bow’s centre and inertias were measured in this shop or given by its maker. */
export type BalanceSource = 'measured' | 'given';
