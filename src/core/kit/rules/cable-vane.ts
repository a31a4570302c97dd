import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** Air wanted between a vane and the cables, mm. Shop rule. */
const AIR_MM = 2;

export const cableVane: KitRule = {
  id: 'cable-vane',
  name: 'Vanes pass the cables',
  slots: ['arrows'],
  hard: false,
  check({ bow, kit }) {
    const arrows = itemOf(kit, 'arrows');
    if (!arrows) return cannotTell('the vanes of the archer’s own arrows');
    if (!bow) return cannotTell('no bow chosen yet');
    if (bow.cableGapMm === null) return cannotTell('how far the cables are held aside');
    const needed = arrows.attrs.shaftOuterMm / 2 + arrows.attrs.vaneHeightMm + AIR_MM;
    return needed <= bow.cableGapMm
      ? fits
      : doesNotFit(
          `vane and air want ${needed.toFixed(0)} mm from the shaft’s middle, the cables are at ${bow.cableGapMm.toFixed(0)} mm: turn the nock, lower vanes, or the guard further out`,
        );
  },
};
