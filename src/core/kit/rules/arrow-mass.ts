import { grainsPerPound } from '../../arrow';
import { perWeight } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const arrowMass: KitRule = {
  id: 'arrow-mass',
  name: 'Arrow is heavy enough',
  slots: ['arrows'],
  hard: true,
  check({ kit, peakN, shop }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the mass of the archer’s own arrows; weigh one');
    if (peakN === null) return cannotTell('no peak weight yet');
    const ratio = grainsPerPound(arrows.massG, peakN);
    return ratio >= 5
      ? fits
      : doesNotFit(
          `${perWeight(ratio, shop)}; under ${perWeight(5, shop)} a shot is like a dry fire`,
        );
  },
};
