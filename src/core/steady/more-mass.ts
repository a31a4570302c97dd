import { barMassG, type Bars } from '../balance';
import { refused, answered, type Outcome } from '../outcome';
import { barOffers, type BarQuestion, type BarWay } from './offers';
import type { BarsInStock } from './bar-stock';
import { stepsBetween } from './moves';

/** Another mass in the same manner, and what hands do to get there. */
interface OtherMass {
  readonly way: BarWay;
  readonly steps: readonly string[];
  /** Whether it is as quiet as the neutral torques ask. */
  readonly quiet: boolean;
}

const bareStock = (stock: BarsInStock, bars: Bars): BarsInStock => ({
  ...stock,
  front: stock.front.filter(({ id }) => id === bars.front?.bar.id),
  rear: stock.rear.filter(({ id }) => id === bars.rear?.bar.id),
  mounts: stock.mounts.filter(({ id }) => id === bars.rear?.mount?.id),
});

/**
 * More mass, or less, with the bars that are mounted: discs and notches so that the neutral torques stay
 * what they are, which is what “keep the ratio” means (docs/models.md section 9).
 *
 * @param byG added to what is mounted; less than nothing takes away.
 * @returns refused where the bars weigh less than what is to be taken off, and where none is mounted.
 */
export function otherMass(question: BarQuestion, bars: Bars, byG: number): Outcome<OtherMass> {
  const own = [bars.front, bars.rear].reduce((sum, set) => sum + (set ? barMassG(set) : 0), 0);
  if (own === 0) return refused('no-bars', 'No bar is mounted: choose bars first.', 'bars');
  const empty = [bars.front, bars.rear].reduce(
    (sum, set) => sum + (set ? barMassG({ ...set, discs: null }) : 0),
    0,
  );
  if (own + byG < empty)
    return refused(
      'too-light',
      `The bars alone weigh ${Math.round(empty)} g; at most ${Math.round(own - empty)} g of discs can be taken off.`,
      'byG',
    );
  const found = barOffers({
    ...question,
    stock: bareStock(question.stock, bars),
    massLimitG: Math.min(question.massLimitG, question.bare.massG + own + byG),
  });
  if (!found.ok) return found;
  const steadiest = found.offers.find(({ id }) => id === 'steadiest')!;
  return answered({
    way: steadiest,
    steps: stepsBetween(bars, steadiest.bars),
    quiet: steadiest.overNmm === 0,
  });
}
