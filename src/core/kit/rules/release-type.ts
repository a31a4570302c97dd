import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

const NAMES = {
  thumb: 'a thumb',
  index: 'an index-finger',
  backTension: 'a back-tension',
} as const;

export const releaseType: KitRule = {
  id: 'release-type',
  name: 'The release they shoot',
  slots: ['release'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit, release }) {
    if (release === 'unknown') return fits;
    const item = itemOf(kit, 'release');
    if (!item) return cannotTell('the kind of the archer’s own release');
    return item.attrs.type === release
      ? fits
      : doesNotFit(`${NAMES[item.attrs.type]} release; the archer wants ${NAMES[release]} release`);
  },
};
