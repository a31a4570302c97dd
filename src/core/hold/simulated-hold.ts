import { normal, seeded, type Random } from '../numerics';
import { milliradian, second, type Gram, type NewtonMm } from '../units';
import type { AimSample } from './types';

/** What an archer hides: how still they are, what they like to carry, from where they come on, how they tire. */
export interface HiddenArcher {
  /** RMS of a hold with the bow they would wish for, fresh, mrad. */
  readonly restMrad: number;
  /** The mass that suits them. */
  readonly wishG: Gram;
  /** Each shot adds this part to their wander. */
  readonly tires: number;
  /** From this side they come on to the aim, degrees from right, anticlockwise. */
  readonly fromDeg: number;
  /** What a tremble has of the wander, and how fast it is. */
  readonly trembles: number;
  readonly trembleHz: number;
}

/** How the bow is while it is aimed. */
export interface HeldBow {
  readonly massG: Gram;
  /** Turning inertia, times that of the bow without bars. */
  readonly steadiness: number;
  /** How far its torques are from those at which it stays. */
  readonly awayNmm: NewtonMm;
}

/** Shop rules of the simulation: what each thing does to a hold. */
const MASS_G = 700;
const AWAY_NMM = 220;
const STEADIES = 0.35;
/** One shot differs from the next by this, as the logarithm’s standard deviation. */
const SHOT_SD = 0.16;
/** The wander forgets where it was in so long, s. */
const WANDER_S = 0.3;
const APPROACH = { s: 1.4, mrad: 32, settlesS: 0.3 } as const;
const AFTER_S = 0.6;
const FOLLOW_MRAD_S = 190;

/** The same archer for the same seed. */
export function hiddenArcher(seed: number): HiddenArcher {
  const random = seeded(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  return {
    restMrad: between(0.35, 0.7),
    wishG: between(2300, 3500) as Gram,
    tires: between(0.002, 0.01),
    fromDeg: between(-180, 180),
    trembles: between(0.15, 0.4),
    trembleHz: between(6, 10),
  };
}

/** RMS such an archer holds with such a bow, before one shot differs from the next, mrad. */
export function expectedHold(archer: HiddenArcher, bow: HeldBow, shot: number): number {
  const mass = 1 + 0.5 * ((bow.massG - archer.wishG) / MASS_G) ** 2;
  const away = Math.hypot(1, bow.awayNmm / AWAY_NMM);
  return (archer.restMrad * mass * away * (1 + archer.tires * shot)) / bow.steadiness ** STEADIES;
}

/** Wander that forgets, of unit variance, one step of it at a time (Ornstein–Uhlenbeck; exact for any step). */
function wander(random: Random, stepS: number) {
  const keeps = Math.exp(-stepS / WANDER_S);
  const adds = Math.sqrt(1 - keeps * keeps);
  let at = normal(random);
  return () => (at = keeps * at + adds * normal(random));
}

/**
 * One shot as a sensor would see it: the aim comes on, wanders and trembles, is released, jumps away.
 *
 * @param shot counted from 0: who shoots long tires.
 * @param rateHz samples in a second.
 * @returns samples in the order of time, and the release, s.
 */
export function simulatedHold({
  archer,
  bow,
  shot,
  seed,
  holdS = 4,
  rateHz = 200,
}: {
  readonly archer: HiddenArcher;
  readonly bow: HeldBow;
  readonly shot: number;
  readonly seed: number;
  readonly holdS?: number;
  readonly rateHz?: number;
}): { readonly samples: readonly AimSample[]; readonly releaseS: number } {
  const random = seeded(seed);
  const rms = expectedHold(archer, bow, shot) * Math.exp(SHOT_SD * normal(random));
  const axis = rms * Math.SQRT1_2;
  const [slow, quick] = [Math.sqrt(1 - archer.trembles ** 2), archer.trembles * Math.SQRT2];
  const step = 1 / rateHz;
  const [right, up] = [wander(random, step), wander(random, step)];
  const phase = 2 * Math.PI * random();
  const [side, leaves] = [archer.fromDeg, 360 * random()].map(
    (degrees) => (degrees * Math.PI) / 180,
  ) as [number, number];
  const releaseS = APPROACH.s + holdS;
  const samples: AimSample[] = [];
  for (let i = 0; i <= (releaseS + AFTER_S) * rateHz; i++) {
    const t = i * step;
    const tremble = quick * Math.sin(2 * Math.PI * archer.trembleHz * t + phase);
    const comes = APPROACH.mrad * Math.exp(-t / APPROACH.settlesS);
    const gone = t > releaseS ? FOLLOW_MRAD_S * Math.min(t - releaseS, 0.25) : 0;
    samples.push({
      tS: second(t),
      rightMrad: milliradian(
        axis * (slow * right() + tremble) + comes * Math.cos(side) + gone * Math.cos(leaves),
      ),
      upMrad: milliradian(
        axis * (slow * up() + tremble * 0.4) + comes * Math.sin(side) + gone * Math.sin(leaves),
      ),
    });
  }
  return { samples, releaseS };
}
