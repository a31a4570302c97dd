import { gram, type Gram } from '../units';
import { onTheBow, SLOTS } from './parts';
import type { Kit } from './types';

/** Mass of the parts that hang on the bow, without arrows; own parts of unknown mass are named. */
export function kitMassG(kit: Kit): { readonly massG: Gram; readonly unknown: readonly string[] } {
  const parts = SLOTS.flatMap(({ id }) => (onTheBow(id) && kit[id] ? [kit[id]] : []));
  return {
    massG: gram(parts.reduce((sum, { item }) => sum + (item?.massG ?? 0), 0)),
    unknown: parts.filter(({ item }) => !item).map(({ label }) => label),
  };
}
