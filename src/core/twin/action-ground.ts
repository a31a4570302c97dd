import { speedSensitivity } from '../bow';
import { speedInput, type JobDerived, type JobSnapshot } from '../job';
import { latest, type SetupKey } from '../setup';
import { write } from '../units';
import type { TwinRow } from './rows';

/** One piece of making a bow like another, with what it moves besides. */
export interface TwinAction {
  readonly id: 'length' | 'weight' | 'nock' | 'peep' | 'sight' | 'arrow' | 'bars' | 'marks';
  readonly title: string;
  /** What is read once it is done, in the order of the bench; the first one leads to its step. */
  readonly keys: readonly SetupKey[];
  /** Alike; off; or not read on this bow yet. */
  readonly state: 'same' | 'off' | 'open';
  /** What the hands do, with its numbers. */
  readonly say: readonly string[];
  /** What it moves besides, as predicted. */
  readonly moves: readonly string[];
  /** What was read already and has to be read again after it. */
  readonly again: readonly string[];
  /** Done in the press, in one visit with the others that are. */
  readonly press: boolean;
}

export interface Ground {
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
  readonly rows: readonly TwinRow[];
}

/** An action before it is held against what is alike already. */
export type Said = Omit<TwinAction, 'state' | 'again'>;

/** The newest reading that holds; null where there is none, or it has to be taken again. */
export const fresh = (key: SetupKey, { derived: { history, plan } }: Ground): number | null =>
  plan.stale.some((entry) => entry.key === key) ? null : (latest(history, key)?.si ?? null);

/** What a change does to the speed, in words; nothing where it is too little or cannot be told. */
export function speedMove(
  ground: Ground,
  per: 'perPoundMps' | 'perHalfInchMps' | 'perGramMps',
  by: number,
) {
  const { derived, snapshot } = ground;
  const input = speedInput(derived.context);
  const slopes = input && speedSensitivity(input);
  if (!slopes?.ok || Math.abs(slopes[per] * by) < 0.15) return [];
  const change = slopes[per] * by;
  return [
    `speed about ${write(Math.abs(change), 'speed', snapshot.shop.units)} ${change > 0 ? 'more' : 'less'}`,
  ];
}
