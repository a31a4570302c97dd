import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

const NAMES = { plungerBolt: 'a bolt through the plunger hole', dovetail: 'a riser dovetail' };

export const restMount: KitRule = {
  id: 'rest-mount',
  name: 'Rest mounts on the riser',
  slots: ['rest'],
  hard: true,
  check({ bow, kit }) {
    const rest = itemOf(kit, 'rest');
    if (!rest) return cannotTell('the mount of the archer’s own rest; try it on the riser');
    if (!bow) return cannotTell('no bow chosen yet');
    const { mount } = rest.attrs;
    if (bow.restMounts.includes(mount)) return fits;
    const has = bow.restMounts.map((m) => NAMES[m]).join(' or ') || 'neither';
    return doesNotFit(`it needs ${NAMES[mount]}; this riser takes ${has}`);
  },
};
