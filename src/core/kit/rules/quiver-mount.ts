import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const quiverMount: KitRule = {
  id: 'quiver-mount',
  name: 'Quiver has a place to sit',
  slots: ['quiver'],
  sees: ['sight'],
  hard: true,
  check({ bow, kit }) {
    const quiver = itemOf(kit, 'quiver');
    if (!quiver) return cannotTell('how the archer’s own quiver mounts');
    if (quiver.attrs.mount === 'riser') {
      if (!bow) return cannotTell('no bow chosen yet');
      return bow.quiverMounts.includes('riser')
        ? fits
        : doesNotFit('it screws to the riser; this riser has no holes for a quiver');
    }
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('no sight chosen yet, and this quiver sits on the sight');
    return sight.attrs.carriesQuiver
      ? fits
      : doesNotFit('it sits on the sight’s bracket; the chosen sight carries no quiver');
  },
};
