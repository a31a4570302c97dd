import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** Air wanted between a blade and the shelf, mm. Shop rule. */
const AIR_MM = 3;

export const fixedBlade: KitRule = {
  id: 'fixed-blade',
  name: 'Fixed blades clear the shelf',
  slots: ['arrows'],
  hard: true,
  check({ bow, kit }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the points of the archer’s own arrows');
    const { bladeMm } = arrows.attrs;
    if (bladeMm === null) return fits;
    if (!bow) return cannotTell('no bow chosen yet');
    if (bow.shelfMm === null) return cannotTell('how deep the shelf lies under the plunger hole');
    return bladeMm + AIR_MM <= bow.shelfMm
      ? fits
      : doesNotFit(
          `blades reach ${bladeMm} mm from the shaft’s middle; the shelf lies ${bow.shelfMm} mm under it`,
        );
  },
};
