import { grainsPerPound } from '../../arrow';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const arrowMass: KitRule = {
  id: 'arrow-mass',
  name: 'Arrow is heavy enough',
  slots: ['arrows'],
  hard: true,
  check({ kit, peakN }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the mass of the archer’s own arrows; weigh one');
    if (peakN === null) return cannotTell('no peak weight yet');
    const ratio = grainsPerPound(arrows.massG, peakN);
    return ratio >= 5
      ? fits
      : doesNotFit(`${ratio.toFixed(1)} gr per lb; under 5 a shot is like a dry fire`);
  },
};
