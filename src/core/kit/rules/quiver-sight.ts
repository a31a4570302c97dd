import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const quiverSight: KitRule = {
  id: 'quiver-sight',
  name: 'Quiver and sight share the riser',
  slots: ['quiver', 'sight'],
  hard: true,
  check({ kit }) {
    const [quiver, sight] = [itemOf(kit, 'quiver'), itemOf(kit, 'sight')];
    if (!quiver || !sight) return cannotTell('the holes an own part takes; hold both to the riser');
    if (!quiver.attrs.usesSightHoles || sight.attrs.mount !== 'sidePlate') return fits;
    return sight.attrs.carriesQuiver
      ? fits
      : doesNotFit('both want the two holes of the side plate, and this sight carries no quiver');
  },
};
