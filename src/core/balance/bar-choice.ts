import { answered, refused, type Outcome } from '../outcome';
import { gram, kgMm2, newtonMm, type Degree, type Gram, type KgMm2, type NewtonMm } from '../units';
import { Frontier } from './frontier';
import {
  optionsOf,
  type BarPlace,
  type MountedBar,
  type SideOption,
  type SideStock,
} from './bar-options';
import { massProperties } from './mass-properties';
import type { Place } from './types';

export interface BarChoiceInput {
  /** A rear bar of a right-handed bow points to the left. */
  readonly hand: 'right' | 'left';
  /** The bow with everything on it but bars. */
  readonly bare: {
    readonly massG: Gram;
    readonly centre: Place;
    readonly yawInertiaKgMm2: KgMm2;
    readonly pitchInertiaKgMm2: KgMm2;
  };
  readonly front: SideStock;
  readonly rear: Omit<SideStock, 'mounts'> & {
    readonly mounts: readonly (BarPlace & SideAngles)[];
  };
  readonly pitchBandNmm: readonly [low: number, high: number];
  readonly rollToleranceNmm: number;
  /** The neutral roll torque; 0 where none was learned. */
  readonly rollTargetNmm?: number;
  readonly massLimitG: Gram;
  /** How many there are of an end weight, over both sides; without it what each side takes. */
  readonly weightStock?: Readonly<Record<string, number>>;
}
interface SideAngles {
  readonly sideDeg: readonly Degree[];
}

/** Both bars, and what the bow is like with them. */
export interface BarPair {
  readonly front: MountedBar | null;
  readonly rear: MountedBar | null;
  readonly massG: Gram;
  readonly rollTorqueNmm: NewtonMm;
  readonly pitchTorqueNmm: NewtonMm;
  readonly yawInertiaKgMm2: KgMm2;
  readonly pitchInertiaKgMm2: KgMm2;
}

/** A point of the frontier, with the bars that make it. */
interface BarFrontierPoint extends BarPair {
  /** Yaw and pitch together. */
  readonly inertiaKgMm2: KgMm2;
}

interface BarChoice extends BarPair {
  /** `nearest` where nothing in stock meets what is asked. */
  readonly status: 'met' | 'nearest';
  /** Of all that is allowed, the most inertia for each mass; only when something is. */
  readonly frontier?: readonly BarFrontierPoint[];
  /** By how much roll and pitch together are over; only when nothing is allowed. */
  readonly overNmm?: NewtonMm;
  /** Pairs of front and rear there were, and those looked at one by one. */
  readonly combinations: number;
  readonly lookedAt: number;
}

/** More than these would hold whoever asks for seconds. */
const MOST_OF_A_SIDE = 100_000;
const MOST_PAIRS = 60_000_000;
/** What two ways of adding the same numbers may differ by, N·mm and g. */
const ROUNDING = 1e-9;

/**
 * The bars to mount: of every front with every rear there is, exactly the one with the most yaw and pitch
 * inertia (then the least mass) among those within mass, roll and pitch (docs/models.md section 9). Sums
 * are additive, so of each front only those rears are looked at whose roll makes up for it.
 *
 * @returns refused where the bow alone weighs more than the limit, and where there are too many ways.
 */
export function barChoice(input: BarChoiceInput): Outcome<BarChoice> {
  const { bare, massLimitG, rollToleranceNmm, rollTargetNmm = 0 } = input;
  const [low, high] = input.pitchBandNmm;
  if (low > high)
    return refused('band-turned', 'The pitch band ends below its beginning.', 'pitchBandNmm');
  if (bare.massG > massLimitG)
    return refused(
      'over-limit',
      `The bow alone weighs ${Math.round(bare.massG)} g, more than the ${Math.round(massLimitG)} g allowed: raise the limit, or take something off.`,
      'massLimitG',
    );
  const fronts = optionsOf(input.front, null);
  const rears = optionsOf(input.rear, input.hand);
  if (
    fronts === null ||
    rears === null ||
    fronts.length > MOST_OF_A_SIDE ||
    rears.length > MOST_OF_A_SIDE ||
    fronts.length * rears.length > MOST_PAIRS
  )
    return refused(
      'too-many-ways',
      'There are too many ways to look at them all: leave out angles or bars nobody wants.',
      'rear',
    );
  const own = massProperties([{ name: 'bow', massG: bare.massG, at: bare.centre }]);
  const start = {
    massG: bare.massG as number,
    roll: own.rollTorqueNmm as number,
    pitch: own.pitchTorqueNmm as number,
    inertia: bare.yawInertiaKgMm2 + bare.pitchInertiaKgMm2,
  };
  const search = new PairSearch(start, fronts, rears, input.weightStock ?? {});
  const rollBand = [
    rollTargetNmm - rollToleranceNmm - ROUNDING,
    rollTargetNmm + rollToleranceNmm + ROUNDING,
  ] as const;
  const pitchBand = [low - ROUNDING, high + ROUNDING] as const;
  const met = search.best(rollBand, pitchBand, massLimitG + ROUNDING);
  const found = met ?? search.nearest(rollTargetNmm, rollToleranceNmm, [low, high], massLimitG);
  const pair = ({ front, rear }: Pair): BarPair => ({
    front: front.bar,
    rear: rear.bar,
    massG: gram(start.massG + front.massG + rear.massG),
    rollTorqueNmm: newtonMm(start.roll + front.roll + rear.roll),
    pitchTorqueNmm: newtonMm(start.pitch + front.pitch + rear.pitch),
    yawInertiaKgMm2: kgMm2(bare.yawInertiaKgMm2 + front.yaw + rear.yaw),
    pitchInertiaKgMm2: kgMm2(bare.pitchInertiaKgMm2 + front.pitchInertia + rear.pitchInertia),
  });
  return answered({
    status: met ? 'met' : 'nearest',
    ...pair(found),
    ...(met
      ? {
          frontier: met.frontier.map((point) => ({
            ...pair(point),
            inertiaKgMm2: point.inertiaKgMm2,
          })),
        }
      : {}),
    ...('over' in found ? { overNmm: newtonMm(found.over) } : {}),
    combinations: fronts.length * rears.length,
    lookedAt: search.lookedAt,
  });
}

interface Sums {
  readonly massG: number;
  readonly roll: number;
  readonly pitch: number;
  readonly inertia: number;
}

interface Pair {
  readonly front: SideOption;
  readonly rear: SideOption;
}

type Band = readonly [low: number, high: number];

/** Every front with every rear; the rears stand in the order of their roll, in plain arrays of numbers. */
class PairSearch {
  lookedAt = 0;
  private readonly rears: readonly SideOption[];
  private readonly roll: Float64Array;
  private readonly pitch: Float64Array;
  private readonly mass: Float64Array;
  private readonly inertia: Float64Array;
  /** Which end weight a rear carries, −1 for none, and how many. */
  private readonly weight: Int32Array;
  private readonly count: Int32Array;
  private readonly names: readonly string[];
  private readonly most: readonly number[];

  constructor(
    private readonly start: Sums,
    private readonly fronts: readonly SideOption[],
    rears: readonly SideOption[],
    stock: Readonly<Record<string, number>>,
  ) {
    this.names = Object.keys(stock);
    this.most = Object.values(stock);
    this.rears = [...rears].sort((a, b) => a.roll - b.roll);
    this.roll = Float64Array.from(this.rears, ({ roll }) => roll);
    this.pitch = Float64Array.from(this.rears, ({ pitch }) => pitch);
    this.mass = Float64Array.from(this.rears, ({ massG }) => massG);
    this.inertia = Float64Array.from(this.rears, ({ inertia }) => inertia);
    this.weight = Int32Array.from(this.rears, ({ bar }) => this.names.indexOf(bar?.weight ?? ''));
    this.count = Int32Array.from(this.rears, ({ bar }) => bar?.count ?? 0);
  }

  /** Of the end weight a front carries: which it is, and how many are left for the rear. */
  private leftOf({ bar }: SideOption): readonly [weight: number, left: number] {
    const weight = this.names.indexOf(bar?.weight ?? '');
    return [weight, weight < 0 ? 0 : this.most[weight]! - bar!.count];
  }

  /** The first rear that rolls at least so much. */
  private from(least: number): number {
    let [low, high] = [0, this.roll.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.roll[middle]! < least) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  best(rollBand: Band, pitchBand: Band, massLimit: number) {
    const { start, roll, pitch, mass, inertia, weight, count } = this;
    const frontier = new Frontier<Pair>();
    let [bestInertia, bestMass] = [Number.NEGATIVE_INFINITY, 0];
    let [bestFront, bestRear] = [-1, -1];
    this.fronts.forEach((front, f) => {
      const rollOf = start.roll + front.roll;
      const [low, high] = [
        pitchBand[0] - start.pitch - front.pitch,
        pitchBand[1] - start.pitch - front.pitch,
      ];
      const massOf = start.massG + front.massG;
      const inertiaOf = start.inertia + front.inertia;
      const most = rollBand[1] - rollOf;
      const [same, left] = this.leftOf(front);
      for (let r = this.from(rollBand[0] - rollOf); r < roll.length && roll[r]! <= most; r++) {
        this.lookedAt++;
        const pitched = pitch[r]!;
        if (pitched < low || pitched > high) continue;
        const massG = massOf + mass[r]!;
        if (massG > massLimit) continue;
        if (same >= 0 && weight[r] === same && count[r]! > left) continue;
        const sum = inertiaOf + inertia[r]!;
        if (!frontier.offer(massG, sum, () => ({ front, rear: this.rears[r]! }))) continue;
        const isMore = sum > bestInertia + ROUNDING * sum;
        const isSame = !isMore && sum > bestInertia - ROUNDING * sum;
        if (isMore || (isSame && massG < bestMass - ROUNDING)) {
          [bestInertia, bestMass, bestFront, bestRear] = [sum, massG, f, r];
        }
      }
    });
    return bestFront < 0
      ? null
      : {
          front: this.fronts[bestFront]!,
          rear: this.rears[bestRear]!,
          frontier: frontier.points(),
        };
  }

  /** The least sum of what roll and pitch are over, within the mass; then the most inertia. */
  nearest(
    target: number,
    tolerance: number,
    band: Band,
    massLimit: number,
  ): Pair & { over: number } {
    const { start, roll, pitch, mass, inertia, weight, count } = this;
    let [least, most] = [Number.POSITIVE_INFINITY, 0];
    let [bestFront, bestRear] = [0, 0];
    this.fronts.forEach((front, f) => {
      const rollOf = start.roll + front.roll - target;
      const pitchOf = start.pitch + front.pitch;
      const massLeft = massLimit + ROUNDING - start.massG - front.massG;
      const [same, left] = this.leftOf(front);
      for (let r = 0; r < roll.length; r++) {
        if (mass[r]! > massLeft) continue;
        if (same >= 0 && weight[r] === same && count[r]! > left) continue;
        this.lookedAt++;
        const pitched = pitchOf + pitch[r]!;
        const over =
          Math.max(0, Math.abs(rollOf + roll[r]!) - tolerance) +
          Math.max(0, band[0] - pitched, pitched - band[1]);
        const sum = front.inertia + inertia[r]!;
        if (over < least - ROUNDING || (over < least + ROUNDING && sum > most)) {
          [least, most, bestFront, bestRear] = [over, sum, f, r];
        }
      }
    });
    return { front: this.fronts[bestFront]!, rear: this.rears[bestRear]!, over: least };
  }
}
