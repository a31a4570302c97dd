import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const vaneRoom: KitRule = {
  id: 'vane-room',
  name: 'Vanes pass the rest',
  slots: ['rest', 'arrows'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit }) {
    const [rest, arrows] = [itemOf(kit, 'rest'), itemOf(kit, 'arrows')];
    if (!rest || !arrows) return cannotTell('vanes or room of an own part; lay an arrow in');
    // A rest that falls away is out of the vanes' way.
    if (rest.attrs.drive !== 'containment') return fits;
    const { vaneRoomMm } = rest.attrs;
    if (vaneRoomMm === null) return cannotTell('how tall a vane passes this rest');
    const { vaneHeightMm } = arrows.attrs;
    return vaneHeightMm <= vaneRoomMm
      ? fits
      : doesNotFit(`vanes ${vaneHeightMm} mm tall; this rest lets ${vaneRoomMm} mm pass`);
  },
};
