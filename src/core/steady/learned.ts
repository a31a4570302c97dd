import { neutralSeen, neutralTorques, reactionOf, type Reaction } from '../balance';
import type { BowRecord } from '../bow';
import { CONFIRMED, type History, type Reading } from '../setup';
import type { NewtonMm } from '../units';
import { bareBow, withParts } from './bare-bow';

/** A try as it counts: what the bow was like, and what it did. */
export interface Try extends Reaction {
  readonly seq: number;
  readonly bars: boolean;
  readonly choice: string;
}

export interface Learned {
  readonly neutralRollNmm: NewtonMm;
  readonly sigmaRollNmm: NewtonMm;
  readonly neutralPitchNmm: NewtonMm;
  readonly sigmaPitchNmm: NewtonMm;
  readonly tries: readonly Try[];
  /** No try says something quite different from what all say together. */
  readonly agree: boolean;
  readonly settled: boolean;
  /** Quiet tries that would settle it; 0 where it is. */
  readonly triesMissing: number;
}

/** A torque this near the neutral one is not felt, N·mm: what "stays" scatters by. Shop rule. */
export const QUIET_NMM = 40;
/** Neutral torques are known once their σ is under this, N·mm. Shop rule. */
const SETTLED_NMM = 30;

/** A try this many σ from what all say together disagrees with them. */
const APART = 2;

/** Tries that stay, each with the scatter of one, until a σ is small enough. */
const missing = (sigma: number) =>
  sigma <= SETTLED_NMM
    ? 0
    : Math.ceil((1 / SETTLED_NMM ** 2 - 1 / sigma ** 2) * QUIET_NMM ** 2 - 1e-9);

function tryOf(reading: Reading, torqueOf: (reading: Reading) => ReturnType<typeof withParts>) {
  const seen = reactionOf(reading.choice);
  if (!seen || reading.data?.kind !== 'reaction') return [];
  const { rollTorqueNmm, pitchTorqueNmm } = torqueOf(reading);
  return [
    {
      ...seen,
      rollTorqueNmm,
      pitchTorqueNmm,
      seq: reading.seq,
      bars: reading.key === 'steadyTip',
      choice: reading.choice!,
    },
  ];
}

/**
 * The neutral torques of this bow in these hands, from every try: the torque of each is the bow’s with what
 * was on it then, about its centre as it is known now, so that a hang made later corrects them all.
 */
export function learned(history: History, bow: BowRecord): Learned {
  const bare = bareBow(history, bow);
  const torqueOf = ({ data }: Reading) => withParts(bare, data?.kind === 'reaction' ? data.on : []);
  const tries = [...history.values()]
    .flat()
    // Said to be still so, nothing was shot.
    .filter(
      ({ key, method }) => (key === 'bareReaction' || key === 'steadyTip') && method !== CONFIRMED,
    )
    .sort((a, b) => a.seq - b.seq)
    .flatMap((reading) => tryOf(reading, torqueOf));
  const neutral = neutralTorques(tries);
  const triesMissing = Math.max(missing(neutral.sigmaRollNmm), missing(neutral.sigmaPitchNmm));
  const apart = (
    seen: { readonly mean: number; readonly sd: number },
    mean: number,
    sigma: number,
  ) => Math.abs(seen.mean - mean) > APART * Math.hypot(seen.sd, sigma);
  const agree = !tries.some(
    (one) =>
      apart(
        neutralSeen(one.rollTorqueNmm, one.tip, one.tipHow),
        neutral.neutralRollNmm,
        neutral.sigmaRollNmm,
      ) ||
      apart(
        neutralSeen(one.pitchTorqueNmm, one.pitch, one.pitchHow),
        neutral.neutralPitchNmm,
        neutral.sigmaPitchNmm,
      ),
  );
  return { ...neutral, tries, agree, settled: agree && triesMissing === 0, triesMissing };
}
