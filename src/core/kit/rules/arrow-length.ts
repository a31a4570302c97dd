import { write } from '../../units';
import { safeLengthMm } from '../safe-length';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const arrowLength: KitRule = {
  id: 'arrow-length',
  name: 'Arrow is long enough for the draw',
  slots: ['arrows'],
  hard: true,
  check({ kit, drawLengthMm, restAheadMm, lines, shop }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the length of the archer’s own arrows; measure one');
    const shortest = safeLengthMm({ drawLengthMm, restAheadMm, overhangMm: lines.overhangMm });
    if (shortest === null) return cannotTell('no draw length yet');
    return arrows.attrs.shaftLengthMm >= shortest
      ? fits
      : doesNotFit(
          `the shaft is ${write(arrows.attrs.shaftLengthMm, 'length', shop)}; ` +
            `at full draw at least ${write(shortest, 'length', shop)} is safe`,
        );
  },
};
