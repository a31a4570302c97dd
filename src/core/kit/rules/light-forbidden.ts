import { cannotTell, doesNotFit, fits, type KitRule } from '../types';

export const lightForbidden: KitRule = {
  id: 'light-forbidden',
  name: 'No light where electronics are forbidden',
  slots: ['light'],
  hard: true,
  check({ kit, electronicsForbidden }) {
    if (!electronicsForbidden) return fits;
    return kit.light?.owned
      ? cannotTell('whether their own light may be left off; ask whoever makes the rules')
      : doesNotFit('a light is electronics, and their rules forbid it');
  },
};
