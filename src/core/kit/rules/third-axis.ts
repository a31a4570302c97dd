import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** Past this a tilted bubble on a slope is seen on the target. Shop rule. */
const THIRD_AXIS_FROM_M = 45;

export const thirdAxis: KitRule = {
  id: 'third-axis',
  name: 'Third axis for the distance',
  slots: ['sight'],
  hard: false,
  check({ kit, furthestM }) {
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('the axes of the archer’s own sight');
    if (furthestM === null) return cannotTell('how far the archer shoots');
    return furthestM <= THIRD_AXIS_FROM_M || sight.attrs.thirdAxis
      ? fits
      : doesNotFit(`past ${THIRD_AXIS_FROM_M} m all three axes should be adjustable`);
  },
};
