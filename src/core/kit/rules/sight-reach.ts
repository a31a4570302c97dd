import { USUAL_FIRST_M } from '../../flight';
import { sightReach } from '../reach';
import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const sightReachRule: KitRule = {
  id: 'sight-reach',
  name: 'Sight reaches the furthest distance',
  slots: ['sight', 'arrows'],
  hard: false,
  wish: 'distance',
  check({ bow, kit, drawLengthMm, peakN, furthestM }) {
    const [sight, arrows] = [itemOf(kit, 'sight'), itemOf(kit, 'arrows')];
    if (!sight || !arrows) return cannotTell('travel or arrow of an own part; try it at the lane');
    if (furthestM === null) return cannotTell('how far the archer shoots');
    if (!bow || drawLengthMm === null || peakN === null)
      return cannotTell('no bow, draw length or weight yet');
    if (furthestM <= USUAL_FIRST_M) return fits;
    const reach = sightReach({ bow, drawLengthMm, peakN, sight, arrows, furthestM });
    if (!reach) return cannotTell('the speed of this arrow from this bow');
    if (reach.travels && reach.clears) return fits;
    const far = reach.reachM === null ? 'not that far' : `to about ${reach.reachM} m`;
    return doesNotFit(
      reach.travels
        ? `its housing comes into the arrow’s way: clear ${far}`
        : `${Math.round(furthestM)} m wants ${reach.neededMm.toFixed(0)} mm of travel from ${USUAL_FIRST_M} m, it has ${sight.attrs.travelMm} mm: ${far}`,
    );
  },
};
