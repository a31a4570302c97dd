import { cannotTell, doesNotFit, fits, type KitRule } from '../types';

export const stringStop: KitRule = {
  id: 'string-stop',
  name: 'String stop has a hole',
  slots: ['stringStop'],
  hard: true,
  check({ bow }) {
    if (!bow) return cannotTell('no bow chosen yet');
    if (bow.stringStop === null) return cannotTell('whether this riser takes a string stop');
    if (bow.stringStop === 'hole') return fits;
    return doesNotFit(
      bow.stringStop === 'fitted'
        ? 'the bow comes with one'
        : 'this riser has no hole for one under the grip',
    );
  },
};
