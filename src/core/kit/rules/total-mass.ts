import { kitMassG } from '../kit-mass';
import { cannotTell, doesNotFit, fits, type KitRule } from '../types';

export const totalMass: KitRule = {
  id: 'total-mass',
  name: 'Not too heavy to hold',
  slots: [],
  hard: false,
  wish: 'mass',
  check({ bow, kit, massLimitG }) {
    if (massLimitG === null) return fits;
    if (!bow) return cannotTell('no bow chosen yet');
    const { massG, unknown } = kitMassG(kit);
    const total = bow.massG + massG;
    if (total > massLimitG)
      return doesNotFit(
        `${(total / 1000).toFixed(2)} kg with the bow; at most ${(massLimitG / 1000).toFixed(2)} kg is wanted`,
      );
    return unknown.length === 0 ? fits : cannotTell(`the mass of ${unknown.join(', ')}; weigh it`);
  },
};
