import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

const NAMES = { sidePlate: 'two holes in the side', frontRail: 'a rail in the front' };

export const sightMount: KitRule = {
  id: 'sight-mount',
  name: 'Sight mounts on the riser',
  slots: ['sight'],
  hard: true,
  check({ bow, kit }) {
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('the mount of the archer’s own sight; try it on the riser');
    if (!bow) return cannotTell('no bow chosen yet');
    if (bow.sightMounts.includes(sight.attrs.mount)) return fits;
    const has = bow.sightMounts.map((m) => NAMES[m]).join(' or ') || 'no sight';
    return doesNotFit(`it needs ${NAMES[sight.attrs.mount]}; this riser has ${has}`);
  },
};
