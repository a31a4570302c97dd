import type { Hand } from '../bow';
import { normal, seeded } from '../numerics';
import { ADJUSTMENTS, adjustmentRule, type Adjustment } from './adjustments';
import type { Tear } from './response';

/** What a practice bow hides: where it tears to begin with and what each adjustment does to it. */
interface SimulatedBow {
  readonly start: Tear;
  readonly per: Readonly<Record<Adjustment, number>>;
  /** The tear comes from something no adjustment reaches. */
  readonly otherCause: boolean;
}

interface SimulatedBowOptions {
  readonly hand: Hand;
  readonly seed: number;
  /** Length of the first tear, mm. */
  readonly leastMm?: number;
  readonly mostMm?: number;
  readonly otherCause?: boolean;
}

/** A bow drawn from the priors: response of every adjustment, direction and length of the first tear. */
export function simulatedBow({
  hand,
  seed,
  leastMm = 6,
  mostMm = 25,
  otherCause = false,
}: SimulatedBowOptions): SimulatedBow {
  const random = seeded(seed);
  const angle = 2 * Math.PI * random();
  const length = leastMm + (mostMm - leastMm) * random();
  const per = Object.fromEntries(
    ADJUSTMENTS.map((id) => {
      const { mean, sd } = adjustmentRule(id, hand);
      return [id, otherCause ? 0 : mean + sd * normal(random)];
    }),
  ) as Record<Adjustment, number>;
  const start = { rightMm: length * Math.cos(angle), upMm: length * Math.sin(angle) };
  return { start, per, otherCause };
}

/** The true tear with the adjustments moved from where they stood at the beginning. */
export function trueTear(bow: SimulatedBow, moved: Partial<Record<Adjustment, number>>): Tear {
  const along = (axis: 'right' | 'up') =>
    ADJUSTMENTS.reduce(
      (sum, id) =>
        sum + (adjustmentRule(id, 'right').axis === axis ? bow.per[id] * (moved[id] ?? 0) : 0),
      0,
    );
  return {
    rightMm: bow.start.rightMm + along('right'),
    upMm: bow.start.upMm + along('up'),
  };
}
