import { limbBolts, type LimbBoltResult } from '../fit';
import type { Outcome } from '../outcome';
import { CONFIRMED, latest, sinceLastChange, type History, type SetupKey } from '../setup';
import { newton, turns, type Turns } from '../units';
import type { JobSnapshot } from './types';
import { type JobDerived } from './derive';

/** Limb bolts from this bow's weighings; null where it cannot be computed, with the reason. */
export function limbBoltAdvice(
  snapshot: JobSnapshot,
  derived: JobDerived,
): Outcome<LimbBoltResult> | null {
  const { bow } = snapshot;
  const target = derived.context.peakTargetN;
  if (!bow || bow.maxTurns === null || target === null) return null;
  return limbBolts({
    maxPeakN: bow.maxPeakN,
    minPeakN: bow.minPeakN,
    maxTurns: bow.maxTurns,
    targetN: target,
    readings: weighings(derived.history),
  });
}

/** What another setting of these changes about the weight, besides the bolts. */
const OTHER_THAN_BOLTS: readonly SetupKey[] = [
  'moduleTop',
  'moduleBottom',
  'newString',
  'newModule',
  'newLimb',
  'stringTwists',
  'cableTwists',
];

/** Weighings of the bow as it stands but for its bolts; earlier ones do not speak for it. */
export const countedWeighings = (history: History) =>
  sinceLastChange(history, 'peakWeight', OTHER_THAN_BOLTS).filter(
    // Said to be still so is no weighing.
    ({ si, si2, method }) => si !== null && si2 !== null && method !== CONFIRMED,
  );

export const weighings = (history: History) =>
  countedWeighings(history).flatMap((reading) =>
    reading.si === null || reading.si2 === null
      ? []
      : [{ turns: turns(reading.si2), peakN: newton(reading.si) }],
  );

/** Turns both bolts stand at, by the last readings; null when not known or not alike. */
export function standingTurns(history: History): Turns | null {
  const upper = latest(history, 'limbTurnsUpper')?.si ?? null;
  const lower = latest(history, 'limbTurnsLower')?.si ?? null;
  const alike = upper !== null && lower !== null && Math.abs(upper - lower) < 0.01;
  return alike ? turns(upper) : null;
}
