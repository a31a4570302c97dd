import { write } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** Cams stand past the axles by about this much at both ends, mm. Shop rule. */
const CAMS_MM = 70;

export const caseLength: KitRule = {
  id: 'case-length',
  name: 'Bow lies in the case',
  slots: ['case'],
  hard: true,
  check({ bow, kit, shop }) {
    const item = itemOf(kit, 'case');
    if (!item) return cannotTell('the length of the archer’s own case');
    if (!bow) return cannotTell('no bow chosen yet');
    const needed = bow.axleToAxleMm + CAMS_MM;
    const say = (mm: number) => write(mm, 'length', shop);
    return item.attrs.insideMm >= needed
      ? fits
      : doesNotFit(
          `inside ${say(item.attrs.insideMm)}; this bow wants about ${say(needed)} with its cams`,
        );
  },
};
