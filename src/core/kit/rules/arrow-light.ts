import { grainsPerPound } from '../../arrow';
import { perWeight } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const arrowLight: KitRule = {
  id: 'arrow-light',
  name: 'Arrow is not on the light side',
  slots: ['arrows'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit, peakN, shop }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the mass of the archer’s own arrows; weigh one');
    if (peakN === null) return cannotTell('no peak weight yet');
    const ratio = grainsPerPound(arrows.massG, peakN);
    return ratio >= 6 || ratio < 5
      ? fits
      : doesNotFit(
          `${perWeight(ratio, shop)}; look at the bow’s manual below ${perWeight(6, shop)}`,
        );
  },
};
