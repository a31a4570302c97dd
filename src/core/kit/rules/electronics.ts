import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const electronics: KitRule = {
  id: 'electronics',
  name: 'No electronics where they are forbidden',
  slots: ['sight'],
  hard: true,
  check({ kit, electronicsForbidden }) {
    if (!electronicsForbidden) return fits;
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('whether the archer’s own sight has a light');
    return sight.attrs.electronics ? doesNotFit('it has a light, and their rules forbid it') : fits;
  },
};
