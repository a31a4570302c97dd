import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const restShaft: KitRule = {
  id: 'rest-shaft',
  name: 'Shaft fits the rest',
  slots: ['rest', 'arrows'],
  hard: true,
  check({ kit }) {
    const [rest, arrows] = [itemOf(kit, 'rest'), itemOf(kit, 'arrows')];
    if (!rest || !arrows) return cannotTell('the diameter of an own part; lay a shaft in');
    const { maxShaftMm } = rest.attrs;
    const { shaftOuterMm } = arrows.attrs;
    return shaftOuterMm <= maxShaftMm
      ? fits
      : doesNotFit(`the shaft is ${shaftOuterMm} mm thick; the rest takes up to ${maxShaftMm} mm`);
  },
};
