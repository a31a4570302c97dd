import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const thirdAxis: KitRule = {
  id: 'third-axis',
  name: 'Third axis for the distance',
  slots: ['sight'],
  hard: false,
  wish: 'distance',
  check({ kit, furthestM, lines }) {
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('the axes of the archer’s own sight');
    if (furthestM === null) return cannotTell('how far the archer shoots');
    return furthestM <= lines.thirdAxisPastM || sight.attrs.thirdAxis
      ? fits
      : doesNotFit(`past ${lines.thirdAxisPastM} m all three axes should be adjustable`);
  },
};
