import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const quiverShaft: KitRule = {
  id: 'quiver-shaft',
  name: 'Clips hold the shaft',
  slots: ['quiver', 'arrows'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit }) {
    const [quiver, arrows] = [itemOf(kit, 'quiver'), itemOf(kit, 'arrows')];
    if (!quiver || !arrows) return cannotTell('the clips or shafts of an own part; try one');
    const { minShaftMm, maxShaftMm } = quiver.attrs;
    const { shaftOuterMm } = arrows.attrs;
    return shaftOuterMm >= minShaftMm && shaftOuterMm <= maxShaftMm
      ? fits
      : doesNotFit(`clips for ${minShaftMm} to ${maxShaftMm} mm; the shaft is ${shaftOuterMm} mm`);
  },
};
