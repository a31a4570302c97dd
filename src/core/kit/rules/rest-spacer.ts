import { write } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const restSpacer: KitRule = {
  id: 'rest-spacer',
  name: 'Rest reaches over the riser',
  slots: ['rest'],
  hard: false,
  inPackages: 'orCaution',
  check({ bow, kit, shop }) {
    const rest = itemOf(kit, 'rest');
    if (!rest) return cannotTell('the reach of the archer’s own rest; hold it to the riser');
    if (!bow) return cannotTell('no bow chosen yet');
    const { riserWidthMm, spacer } = rest.attrs;
    if (spacer) return fits;
    if (riserWidthMm === null) return cannotTell('how wide a riser this rest reaches over');
    if (bow.riserWidthMm === null) return cannotTell('the width of this riser; measure it');
    if (bow.riserWidthMm <= riserWidthMm) return fits;
    const say = (mm: number) => write(mm, 'length', shop);
    return doesNotFit(
      `the riser is ${say(bow.riserWidthMm)} wide, it reaches over ${say(riserWidthMm)}: order a spacer block`,
    );
  },
};
