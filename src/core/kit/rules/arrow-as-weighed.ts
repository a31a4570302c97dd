import { grainsPerPound } from '../../arrow';
import { perWeight, write, type Newton, type ShopUnits } from '../../units';
import { cannotTell, doesNotFit, fits, itemOf, type KitContext, type KitRule } from '../types';
import { spineAt } from './spine-at';

const say = (peakN: Newton, shop: ShopUnits) => write(peakN, 'force', shop);

/** The arrows of the shop and the weight the bow stands at, while it is not yet what it is to be. */
function asItStands({ bow, kit, weighedN, peakN, shop }: KitContext) {
  const arrows = itemOf(kit, 'arrows');
  if (!arrows || !bow || weighedN === null || peakN === null) return null;
  return { arrows, bow, weighedN, goal: say(peakN, shop), now: say(weighedN, shop) };
}

/** Arrows are judged by the weight the bow is to have; until it has it, this stands beside. */
export const arrowMassNow: KitRule = {
  id: 'arrow-mass-now',
  name: 'Arrow is heavy enough for the bow as it stands',
  slots: ['arrows'],
  hard: false,
  passing: true,
  check(context) {
    if (!itemOf(context.kit, 'arrows')) return cannotTell('the archer’s own arrows');
    const stands = asItStands(context);
    if (!stands) return fits;
    const ratio = grainsPerPound(stands.arrows.massG, stands.weighedN);
    return ratio >= 5
      ? fits
      : doesNotFit(
          `the bow was weighed at ${stands.now}: ${perWeight(ratio, context.shop)}. Shoot none before it is at ${stands.goal}`,
        );
  },
};

export const arrowSpineNow: KitRule = {
  id: 'arrow-spine-now',
  name: 'Spine suits the bow as it stands',
  slots: ['arrows'],
  hard: false,
  passing: true,
  check(context) {
    if (!itemOf(context.kit, 'arrows')) return cannotTell('the archer’s own arrows');
    const stands = asItStands(context);
    if (!stands) return fits;
    const { arrows, bow, weighedN, now, goal } = stands;
    const { verdict, staticSpineIn } = spineAt(arrows, bow, weighedN);
    return verdict === 'good'
      ? fits
      : doesNotFit(
          `the bow was weighed at ${now}, where ${staticSpineIn.toFixed(3)} is ${verdict}; it is judged by the ${goal} it is to have`,
        );
  },
};
