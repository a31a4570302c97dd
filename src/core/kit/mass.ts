import { gram, type Gram } from '../units';
import type { Kit } from './types';
import { SLOTS, type Slot } from './slots';

/** Parts that do not hang on the bow while it is held. */
const OFF_THE_BOW: readonly Slot[] = ['arrows', 'release', 'case', 'armGuard', 'consumables'];

export const onTheBow = (slot: Slot): boolean => !OFF_THE_BOW.includes(slot);

/** Mass of the parts that hang on the bow, without arrows; own parts of unknown mass are named. */
export function kitMassG(kit: Kit): { readonly massG: Gram; readonly unknown: readonly string[] } {
  const parts = SLOTS.flatMap(({ id }) => (onTheBow(id) && kit[id] ? [kit[id]] : []));
  return {
    massG: gram(parts.reduce((sum, { item }) => sum + (item?.massG ?? 0), 0)),
    unknown: parts.filter(({ item }) => !item).map(({ label }) => label),
  };
}
