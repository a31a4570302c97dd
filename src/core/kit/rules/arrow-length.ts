import { PIVOT_TO_STANDARD_MM } from '../../bow';
import { write } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const arrowLength: KitRule = {
  id: 'arrow-length',
  name: 'Arrow is long enough for the draw',
  slots: ['arrows'],
  hard: true,
  check({ kit, drawLengthMm, lines, shop }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the length of the archer’s own arrows; measure one');
    if (drawLengthMm === null) return cannotTell('no draw length yet');
    const shortest = drawLengthMm - PIVOT_TO_STANDARD_MM + lines.overhangMm;
    return arrows.attrs.shaftLengthMm >= shortest
      ? fits
      : doesNotFit(
          `the shaft is ${write(arrows.attrs.shaftLengthMm, 'length', shop)}; ` +
            `at full draw at least ${write(shortest, 'length', shop)} is safe`,
        );
  },
};
