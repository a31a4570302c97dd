import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const releaseLearner: KitRule = {
  id: 'release-learner',
  name: 'A release to learn with',
  slots: ['release'],
  hard: false,
  inPackages: 'orLeftOpen',
  check({ kit, learner, release }) {
    if (!learner || release === 'backTension') return fits;
    const item = itemOf(kit, 'release');
    if (!item) return cannotTell('the kind of the archer’s own release');
    return item.attrs.type === 'backTension'
      ? doesNotFit('a back-tension release goes off unseen; it is for archers who know their shot')
      : fits;
  },
};
