import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const lightThread: KitRule = {
  id: 'light-thread',
  name: 'Light has a thread to sit in',
  slots: ['light', 'sight'],
  hard: true,
  check({ kit }) {
    const [light, sight] = [itemOf(kit, 'light'), itemOf(kit, 'sight')];
    if (!light || !sight) return cannotTell('thread or light of an own part; screw it in');
    return light.attrs.mount === 'clip' || sight.attrs.lightThread
      ? fits
      : doesNotFit('it screws into the sight’s housing; this one has no thread for it');
  },
};
