import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const rearBarMount: KitRule = {
  id: 'rear-bar-mount',
  name: 'Rear bar has a place to sit',
  slots: ['rearBar'],
  sees: ['barMount'],
  hard: true,
  check({ bow, kit }) {
    const bar = itemOf(kit, 'rearBar');
    if (!bar) return cannotTell('the thread of the archer’s own rear bar');
    if (kit.barMount) {
      const mount = itemOf(kit, 'barMount');
      if (!mount) return cannotTell('the thread of the archer’s own mount');
      return mount.attrs.thread === bar.attrs.thread
        ? fits
        : doesNotFit(`thread ${bar.attrs.thread}; the mount has ${mount.attrs.thread}`);
    }
    if (!bow) return cannotTell('no bow chosen yet');
    if (bow.rearBushing === null) return cannotTell('whether this riser has a bushing at the back');
    return bow.rearBushing
      ? fits
      : doesNotFit('this riser has no bushing at the back: take a bar mount with it');
  },
};
