import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const releaseLoop: KitRule = {
  id: 'release-loop',
  name: 'Release closes on the loop',
  slots: ['release', 'loop'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit }) {
    const [release, loop] = [itemOf(kit, 'release'), itemOf(kit, 'loop')];
    if (!release || !loop) return cannotTell('release or loop of the archer’s own; hook it in');
    const { cordOnly, minLoopMm } = release.attrs;
    if (cordOnly && loop.attrs.material === 'metal')
      return doesNotFit('its hook is for a cord; a metal loop wears it');
    return minLoopMm === null || loop.attrs.lengthMm >= minLoopMm
      ? fits
      : doesNotFit(
          `its jaws want a loop of ${minLoopMm} mm, this one is ${loop.attrs.lengthMm} mm`,
        );
  },
};
