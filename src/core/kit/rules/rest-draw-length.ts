import { write } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const restDrawLength: KitRule = {
  id: 'rest-draw-length',
  name: 'Rest works at this draw length',
  slots: ['rest'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit, drawLengthMm, shop }) {
    const rest = itemOf(kit, 'rest');
    if (!rest) return cannotTell('the range of the archer’s own rest');
    if (drawLengthMm === null) return cannotTell('no draw length yet');
    const { minDrawMm, maxDrawMm } = rest.attrs;
    if (drawLengthMm >= minDrawMm && drawLengthMm <= maxDrawMm) return fits;
    const say = (mm: number) => write(mm, 'length', shop);
    return doesNotFit(`made for draws from ${say(minDrawMm)} to ${say(maxDrawMm)}`);
  },
};
