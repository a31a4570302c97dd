import { drawLengthSteps, type BowRecord, type Hand } from '../bow';
import type { Mm } from '../units';
import { chooseModule, moduleCost, type ModuleChoice } from './draw-length';

interface ShopModule {
  readonly bow: BowRecord;
  readonly module: ModuleChoice;
}

/**
 * The step that would be taken on every bow of this hand, nearest first; too long counts half as
 * much again. Bows without a length are left out.
 */
export function shopModules(bows: readonly BowRecord[], target: Mm, hand: Hand): ShopModule[] {
  return bows
    .filter((bow) => bow.hand === hand)
    .flatMap((bow) => {
      const module = chooseModule(target, drawLengthSteps(bow));
      return module ? [{ bow, module }] : [];
    })
    .sort(
      (a, b) =>
        moduleCost(target, a.module.stepMm) - moduleCost(target, b.module.stepMm) ||
        a.bow.priceCents - b.bow.priceCents,
    );
}
