import type { Place } from '../bow';
import type { Degree, Gram, KgMm2, Mm, NewtonMm } from '../units';

export type { Place };

/** A part as it weighs: in one point, or evenly along a rod. */
export type MassPart = { readonly name: string; readonly massG: Gram } & (
  { readonly at: Place } | { readonly from: Place; readonly to: Place }
);

/** What a bow weighs, where, and how hard it is to turn about the throat of the grip. */
export interface MassProperties {
  readonly massG: Gram;
  readonly centre: Place;
  /** Of its weight about the pivot: + tips to the right. */
  readonly rollTorqueNmm: NewtonMm;
  /** + rolls forward. */
  readonly pitchTorqueNmm: NewtonMm;
  readonly yawInertiaKgMm2: KgMm2;
  readonly pitchInertiaKgMm2: KgMm2;
  readonly rollInertiaKgMm2: KgMm2;
}

/** A bow hung by a cord from a point of its side, and how far its string line leaned. */
export interface Hang {
  readonly at: { readonly forwardMm: Mm; readonly upMm: Mm };
  /** + when the top leans forward. */
  readonly leanDeg: Degree;
}

export type Tip = 'left' | 'right' | 'stays';
export type Pitch = 'forward' | 'back' | 'stays';
export type How = 'slight' | 'clear';
