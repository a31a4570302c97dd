import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';
import { spineAt } from './spine-at';

export const arrowSpine: KitRule = {
  id: 'arrow-spine',
  name: 'Spine suits weight and length',
  slots: ['arrows'],
  hard: false,
  inPackages: 'orLeftOpen',
  check({ bow, kit, peakN }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the spine of the archer’s own arrows');
    if (!bow || peakN === null) return cannotTell('no bow or no peak weight yet');
    const { verdict, staticSpineIn, neededIn } = spineAt(arrows, bow, peakN);
    return verdict === 'good'
      ? fits
      : doesNotFit(
          `${staticSpineIn.toFixed(3)} is ${verdict}; about ${neededIn.toFixed(3)} is needed`,
          Math.abs(Math.log(staticSpineIn / neededIn)),
        );
  },
};
