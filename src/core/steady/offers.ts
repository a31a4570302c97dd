import { barChoice, type BarPair, type Bars } from '../balance';
import type { BowRecord } from '../bow';
import { answered, refused, type Outcome } from '../outcome';
import { gram, type Gram } from '../units';
import { barsCents, type BarsInStock } from './bar-stock';
import { chooserStock, type ChooserStock } from './chooser-stock';
import { QUIET_NMM, type Learned } from './learned';

/** What bars are looked for. */
export interface BarQuestion {
  readonly bow: BowRecord;
  /** The bow with everything on it but bars. */
  readonly bare: {
    readonly massG: number;
    readonly centre: Parameters<typeof barChoice>[0]['bare']['centre'];
    readonly yawInertiaKgMm2: number;
    readonly pitchInertiaKgMm2: number;
  };
  readonly stock: BarsInStock;
  readonly neutral: Pick<Learned, 'neutralRollNmm' | 'neutralPitchNmm'>;
  /** With bars and all, g. */
  readonly massLimitG: number;
  readonly lengthLimitMm: number | null;
  /** About how long the shop’s usual bars are. */
  readonly usual: { readonly frontMm: number; readonly rearMm: number };
}

export interface BarWay {
  readonly bars: Bars;
  readonly massG: Gram;
  readonly rollTorqueNmm: number;
  readonly pitchTorqueNmm: number;
  /** Yaw and pitch inertia together, times that of the bow without bars. */
  readonly steadiness: number;
  readonly priceCents: number;
}

export interface BarOffer extends BarWay {
  readonly id: 'lightest' | 'usual' | 'steadiest';
  /** What is over where nothing of the kind is quiet, N·mm; 0 where it is. */
  readonly overNmm: number;
  /** What would turn the choice, one sentence each. */
  readonly turns: readonly string[];
}

export interface BarOffers {
  readonly offers: readonly BarOffer[];
  /** Of every mass the steadiest quiet way, lightest first. */
  readonly frontier: readonly BarWay[];
  /** Pairs of front and rear there were. */
  readonly combinations: number;
}

/** More to carry is looked at in this step, g. */
const MORE_G = 100;
/** Less is no other mass to whoever holds it, g. Shop rule. */
const FELT_G = 20;

const inertiaOf = ({ yawInertiaKgMm2, pitchInertiaKgMm2 }: BarPair) =>
  yawInertiaKgMm2 + pitchInertiaKgMm2;
const times = (steadiness: number) => `${steadiness.toFixed(2)} times`;

/** One search among what there is, and its answers as bars. */
class Search {
  private readonly bareInertia: number;
  constructor(
    private readonly question: BarQuestion,
    private readonly chooser: ChooserStock,
  ) {
    const { bare } = question;
    this.bareInertia = bare.yawInertiaKgMm2 + bare.pitchInertiaKgMm2;
  }

  choose(massLimitG: number, changes: { front?: false; rear?: false; only?: ChooserStock } = {}) {
    const { bow, bare, neutral } = this.question;
    const { front, rear, weightStock } = changes.only ?? this.chooser;
    return barChoice({
      hand: bow.hand,
      bare: bare as Parameters<typeof barChoice>[0]['bare'],
      front: changes.front === false ? { ...front, bars: [] } : front,
      rear: changes.rear === false ? { ...rear, bars: [] } : rear,
      weightStock,
      rollTargetNmm: neutral.neutralRollNmm,
      rollToleranceNmm: QUIET_NMM,
      pitchBandNmm: [neutral.neutralPitchNmm - QUIET_NMM, neutral.neutralPitchNmm + QUIET_NMM],
      massLimitG: gram(massLimitG),
    });
  }

  way(pair: BarPair, chooser: ChooserStock = this.chooser): BarWay {
    const bars = chooser.barsOf(pair);
    return {
      bars,
      massG: pair.massG,
      rollTorqueNmm: pair.rollTorqueNmm,
      pitchTorqueNmm: pair.pitchTorqueNmm,
      steadiness: inertiaOf(pair) / this.bareInertia,
      priceCents: barsCents(bars, this.question.stock),
    };
  }
}

/** The bars of a side nearest to a length; the first of those as near. */
function nearest<T extends { readonly lengthMm: number }>(bars: readonly T[], mm: number): T[] {
  const best = bars.reduce<T | null>(
    (found, bar) =>
      found === null || Math.abs(bar.lengthMm - mm) < Math.abs(found.lengthMm - mm) ? bar : found,
    null,
  );
  return best ? [best] : [];
}

/**
 * Three ways to mount bars from what there is: the lightest that is quiet, the shop’s usual ones set as well
 * as they go, the steadiest under what the archer carries; each with what would turn it, and the frontier of
 * mass against steadiness between them (docs/models.md section 9).
 *
 * @returns refused where there is no bar at all, and as `barChoice` refuses.
 */
export function barOffers(question: BarQuestion): Outcome<BarOffers> {
  const { stock, bow, lengthLimitMm, massLimitG, usual } = question;
  const chooser = chooserStock(stock, bow, lengthLimitMm);
  if (chooser.front.bars.length + chooser.rear.bars.length === 0)
    return refused(
      'no-bars',
      lengthLimitMm !== null && stock.front.length + stock.rear.length > 0
        ? 'Every bar there is is longer than the class allows.'
        : 'There is no bar in stock: order one, or enter what the archer owns.',
      'stock',
    );
  const search = new Search(question, chooser);
  const best = search.choose(massLimitG);
  if (!best.ok) return best;
  const usualStock = chooserStock(
    {
      ...stock,
      front: nearest(stock.front.filter(withinLimit(lengthLimitMm)), usual.frontMm),
      rear: nearest(stock.rear.filter(withinLimit(lengthLimitMm)), usual.rearMm),
    },
    bow,
    lengthLimitMm,
  );
  const usualBest = search.choose(massLimitG, { only: usualStock });
  const frontier = best.frontier ?? [];
  const offers: BarOffer[] = [];
  if (frontier[0])
    offers.push({
      id: 'lightest',
      ...search.way(frontier[0]),
      overNmm: 0,
      turns: turnsOfLightest(search, massLimitG, frontier[0]),
    });
  if (usualBest.ok)
    offers.push({
      id: 'usual',
      ...search.way(usualBest, usualStock),
      overNmm: usualBest.overNmm ?? 0,
      turns: [
        usualBest.status === 'met'
          ? `${massWords(best.massG - usualBest.massG)} and ${times(inertiaOf(best) / inertiaOf(usualBest))} as steady would be the steadiest.`
          : `No notch and no disc of these is quiet: ${Math.round(usualBest.overNmm ?? 0)} N·mm stay over.`,
      ],
    });
  offers.push({
    id: 'steadiest',
    ...search.way(best),
    overNmm: best.overNmm ?? 0,
    turns: turnsOfSteadiest(search, massLimitG, best),
  });
  return answered({
    offers,
    frontier: frontier.map((point) => search.way(point)),
    combinations: best.combinations,
  });
}

const withinLimit = (limitMm: number | null) => (bar: { readonly lengthMm: number }) =>
  limitMm === null || bar.lengthMm <= limitMm;

const massWords = (grams: number) =>
  grams >= 0 ? `${Math.round(grams)} g more` : `${Math.round(-grams)} g less`;

const namesOf = (pair: BarPair) =>
  [pair.front && 'a front bar', pair.rear && 'a rear bar'].filter(Boolean).join(' and ') ||
  'no bar';

/** Whether one bar would do, and what stays over when it does not. */
function turnsOfLightest(search: Search, massLimitG: number, lightest: BarPair): string[] {
  const told: string[] = [];
  for (const side of ['front', 'rear'] as const) {
    if (!lightest[side]) continue;
    const without = search.choose(massLimitG, { [side]: false });
    if (!without.ok) continue;
    told.push(
      without.status === 'met'
        ? `It goes without a ${side} bar too, with ${massWords(without.frontier![0]!.massG - lightest.massG)}.`
        : `Without a ${side} bar ${Math.round(without.overNmm ?? 0)} N·mm stay over.`,
    );
  }
  return told;
}

/** What more to carry would give, and what the next lighter way costs. */
function turnsOfSteadiest(
  search: Search,
  massLimitG: number,
  best: BarPair & {
    readonly status: 'met' | 'nearest';
    readonly frontier?: readonly BarPair[];
    readonly overNmm?: number;
  },
): string[] {
  const told: string[] = [];
  if (best.status === 'nearest')
    told.push(
      `Nothing there is quiet under ${Math.round(massLimitG)} g: with ${namesOf(best)} ${Math.round(best.overNmm ?? 0)} N·mm stay over.`,
    );
  const more = search.choose(massLimitG + MORE_G);
  if (more.ok) {
    const gain = inertiaOf(more) / inertiaOf(best) - 1;
    told.push(
      best.status === 'nearest' && more.status === 'met'
        ? `With ${MORE_G} g more to carry there is a quiet way.`
        : gain > 0.005
          ? `${MORE_G} g more to carry would be ${Math.round(100 * gain)} % steadier.`
          : `${MORE_G} g more to carry would add nothing: the bars and discs there are end here.`,
    );
  }
  const lighter = best.frontier?.findLast(({ massG }) => massG <= best.massG - FELT_G);
  if (lighter)
    told.push(
      `The next lighter way is ${massWords(lighter.massG - best.massG)} and ${Math.max(1, Math.round(100 * (1 - inertiaOf(lighter) / inertiaOf(best))))} % less steady.`,
    );
  return told;
}

/** How far a way’s torques are from the neutral ones, N·mm. */
export const awayOf = (
  way: { readonly rollTorqueNmm: number; readonly pitchTorqueNmm: number },
  neutral: Pick<Learned, 'neutralRollNmm' | 'neutralPitchNmm'>,
): number =>
  Math.hypot(
    way.rollTorqueNmm - neutral.neutralRollNmm,
    way.pitchTorqueNmm - neutral.neutralPitchNmm,
  );

/** Both within what is not felt. */
export const isQuiet = (
  way: { readonly rollTorqueNmm: number; readonly pitchTorqueNmm: number },
  neutral: Pick<Learned, 'neutralRollNmm' | 'neutralPitchNmm'>,
): boolean =>
  Math.abs(way.rollTorqueNmm - neutral.neutralRollNmm) <= QUIET_NMM &&
  Math.abs(way.pitchTorqueNmm - neutral.neutralPitchNmm) <= QUIET_NMM;
