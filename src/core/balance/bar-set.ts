import type { BarSpot, Hand, Place } from '../bow';
import { gram, mm, type Degree, type Gram, type Mm } from '../units';
import { barDirection, barEnd } from './bar-options';
import type { MassPart } from './types';

/** A bar of the shop or the archer; `id` null where no catalogue knows it. */
export interface BarPiece {
  readonly id: string | null;
  readonly name: string;
  readonly lengthMm: Mm;
  readonly massG: Gram;
  /** Discs its end takes. */
  readonly mostDiscs: number;
}

/** Teeth: from nothing to the most in even steps; `step` 0 where it stands at nothing alone. */
export interface Notches {
  readonly most: number;
  readonly step: number;
}

/** What holds a bar away from its thread. */
export interface BarMountPiece {
  readonly id: string | null;
  readonly name: string;
  readonly massG: Gram;
  /** Foot of the bar beside the bow’s plane, on the bar’s side. */
  readonly outMm: Mm;
  readonly side: Notches;
  readonly down: Notches;
  readonly slide: Notches;
}

/** End weights, all of one kind. */
export interface Discs {
  readonly id: string;
  readonly name: string;
  /** One of them. */
  readonly massG: Gram;
  readonly count: number;
}

/** A bar as it stands in the bow, or would. */
export interface BarSet {
  readonly spot: BarSpot;
  /** Of the thread it, or its mount, stands in. */
  readonly at: Place;
  readonly bar: BarPiece;
  readonly mount: BarMountPiece | null;
  readonly downDeg: Degree;
  /** Away from the bow’s plane; 0 for a front bar. */
  readonly sideDeg: Degree;
  /** How far its mount was slid back. */
  readonly slideMm: Mm;
  readonly discs: Discs | null;
}

export type BarSide = 'front' | 'rear';

/** Both bars; null where a side is empty. */
export interface Bars {
  readonly front: BarSet | null;
  readonly rear: BarSet | null;
}
export const NO_BARS: Bars = { front: null, rear: null };

/** Every place the teeth allow, from nothing up. */
export const notchesOf = ({ most, step }: Notches): number[] =>
  step > 0 && most > 0
    ? Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, i) => i * step)
    : [0];

/** Where a rear bar’s foot stands: its thread, slid back, and out to the bar’s own side. */
export const footOf = (
  side: BarSide,
  at: Place,
  mount: BarMountPiece | null,
  slideMm: number,
  hand: Hand,
): Place => ({
  forwardMm: mm(at.forwardMm - slideMm),
  upMm: at.upMm,
  rightMm: mm(
    side === 'front' || !mount
      ? at.rightMm
      : at.rightMm + (hand === 'right' ? -mount.outMm : mount.outMm),
  ),
});

/** Foot and end of a bar, in the bow. */
export function barLine(side: BarSide, set: BarSet, hand: Hand): { from: Place; to: Place } {
  const from = footOf(side, set.at, set.mount, set.slideMm, hand);
  const direction = barDirection(set.downDeg, set.sideDeg, side === 'front' ? null : hand);
  return { from, to: barEnd(from, direction, set.bar.lengthMm) };
}

/** A bar, its mount and its discs as parts that weigh. */
export function barParts(side: BarSide, set: BarSet, hand: Hand): MassPart[] {
  const { from, to } = barLine(side, set, hand);
  const { bar, mount, discs } = set;
  return [
    { name: bar.name, massG: bar.massG, from, to },
    ...(mount ? [{ name: mount.name, massG: mount.massG, at: from }] : []),
    ...(discs && discs.count > 0
      ? [
          {
            name: `${discs.count} × ${discs.name}`,
            massG: gram(discs.count * discs.massG),
            at: to,
          },
        ]
      : []),
  ];
}

/** The same bar with its discs counted anew; none at 0. */
export const withDiscs = (
  set: BarSet,
  kind: Omit<Discs, 'count'> | null,
  count: number,
): BarSet => ({
  ...set,
  discs: kind && count > 0 ? { ...kind, count } : null,
});

export const barMassG = ({ bar, mount, discs }: BarSet): number =>
  bar.massG + (mount?.massG ?? 0) + (discs ? discs.count * discs.massG : 0);

/** "down 10°, out 30°"; empty for a bar that stands straight. */
export function anglesText({ downDeg, sideDeg, slideMm }: BarSet): string {
  return [
    sideDeg !== 0 && `out ${sideDeg}°`,
    downDeg !== 0 && `down ${downDeg}°`,
    slideMm !== 0 && `slid back ${slideMm} mm`,
  ]
    .filter(Boolean)
    .join(', ');
}
