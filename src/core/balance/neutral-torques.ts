import { newtonMm, type NewtonMm } from '../units';
import type { How, Pitch, Tip } from './types';

/** What a bow did after a shot from a loose grip, and the torques it had. */
export interface Reaction {
  readonly rollTorqueNmm: NewtonMm;
  readonly pitchTorqueNmm: NewtonMm;
  readonly tip: Tip;
  /** Slight where it is not said. */
  readonly tipHow?: How;
  readonly pitch: Pitch;
  readonly pitchHow?: How;
}

interface NeutralTorques {
  readonly neutralRollNmm: NewtonMm;
  readonly sigmaRollNmm: NewtonMm;
  readonly neutralPitchNmm: NewtonMm;
  readonly sigmaPitchNmm: NewtonMm;
}

interface Normal {
  readonly mean: number;
  readonly sd: number;
}

/** Shop rules: what bows are like before any was shot, and what a reaction says, N·mm. */
const PRIOR = { roll: { mean: 0, sd: 150 }, pitch: { mean: 150, sd: 250 } } as const;
const STAYS: Normal = { mean: 0, sd: 40 };
const MOVES: Readonly<Record<How, Normal>> = {
  slight: { mean: 60, sd: 40 },
  clear: { mean: 180, sd: 90 },
};
const SIGN = { left: -1, back: -1, stays: 0, right: 1, forward: 1 } as const;

/** A normal belief after a value was seen with a normal error. */
function after(belief: Normal, { mean, sd }: Normal): Normal {
  const [had, seen] = [1 / belief.sd ** 2, 1 / sd ** 2];
  return { mean: (had * belief.mean + seen * mean) / (had + seen), sd: 1 / Math.sqrt(had + seen) };
}

/** The neutral torque that a torque and what the bow did speak for, N·mm. */
export function neutralSeen(torque: number, did: Tip | Pitch, how: How = 'slight'): Normal {
  const { mean, sd } = did === 'stays' ? STAYS : MOVES[how];
  return { mean: torque - SIGN[did] * mean, sd };
}

/**
 * The torques at which this bow in these hands neither tips nor rolls, learned from every try: normal updates
 * of what bows are like (docs/models.md section 9; the conjugate update: Gelman et al., *Bayesian Data
 * Analysis*, section 2.5).
 *
 * @param history any number of tries; none gives what bows are like.
 */
export function neutralTorques(history: readonly Reaction[]): NeutralTorques {
  const roll = history.reduce(
    (belief, { rollTorqueNmm, tip, tipHow }) =>
      after(belief, neutralSeen(rollTorqueNmm, tip, tipHow)),
    PRIOR.roll as Normal,
  );
  const pitch = history.reduce(
    (belief, { pitchTorqueNmm, pitch: did, pitchHow }) =>
      after(belief, neutralSeen(pitchTorqueNmm, did, pitchHow)),
    PRIOR.pitch as Normal,
  );
  return {
    neutralRollNmm: newtonMm(roll.mean),
    sigmaRollNmm: newtonMm(roll.sd),
    neutralPitchNmm: newtonMm(pitch.mean),
    sigmaPitchNmm: newtonMm(pitch.sd),
  };
}
