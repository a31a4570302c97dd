import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** A smaller hole lets too little through at dusk. Shop rule, 3/16 in. */
const LEAST_MM = 4.7;

export const peepLight: KitRule = {
  id: 'peep-light',
  name: 'Peep for the light',
  slots: ['peep'],
  hard: false,
  check({ kit, lowLight }) {
    if (!lowLight) return fits;
    const peep = itemOf(kit, 'peep');
    if (!peep) return cannotTell('the hole of the archer’s own peep');
    return peep.attrs.apertureMm >= LEAST_MM
      ? fits
      : doesNotFit(`often dim: a hole of ${peep.attrs.apertureMm} mm goes dark early`);
  },
};
