import { drawLengthSteps, wallOfStops, type BowRecord, type Hand, type Wall } from '../bow';
import { addDays, write, writeMoney, type Mm, type Newton, type ShopUnits } from '../units';
import { chooseModule, MM_PER_TWIST, type ModuleChoice } from './draw-length';

/**
 * More twists than this are not a fit but another bow. Half-inch steps, with too long counting
 * half as much again, leave 0.3 in at the most: a little more than six twists.
 */
const MOST_TWISTS = 6.5;
/** So many twists are still a plain fit. */
const FEW_TWISTS = 3;

interface FitWanted {
  readonly drawLengthMm: Mm | null;
  readonly startN: Newton | null;
  /** What their old bow draws, where the new one is to be as it; null where there is none. */
  readonly oldPeakN?: Newton | null;
  readonly hand: Hand;
  /** The wall the archer or their release asks for; null for either. */
  readonly wall?: Wall | null;
  readonly budgetCents?: number | null;
  /** Days, YYYY-MM-DD: today, and the day it is promised for. */
  readonly today?: string;
  readonly promisedDay?: string | null;
  readonly shop: ShopUnits;
}

export interface BowCover {
  readonly bow: BowRecord;
  readonly verdict: 'fits' | 'nearly' | 'out';
  /** Why it is out, or what the nearly costs; empty for a plain fit. */
  readonly reasons: readonly string[];
  /** What else speaks for or against it, without deciding. */
  readonly notes: readonly string[];
  readonly module: ModuleChoice | null;
}

/**
 * Whether a bow covers the fit: hand, draw length by a module with at most six and a half twists, start
 * weight within the limb range. Many twists, limbs that end under the old bow's weight, a price over the budget and a delivery after the
 * promised day make it a "nearly". Unknown fit values are left out of the judgement, and said.
 */
export function bowCover(bow: BowRecord, wanted: FitWanted): BowCover {
  const out: string[] = [];
  const nearly: string[] = [];
  if (bow.hand !== wanted.hand) out.push(`a ${bow.hand}-hand bow`);
  const length = coverLength(bow, wanted);
  if (length.reason) (length.out ? out : nearly).push(length.reason);
  const weight = weightReason(bow, wanted);
  if (weight) out.push(weight);
  const old = oldWeightReason(bow, wanted);
  if (old && !weight) nearly.push(old);
  nearly.push(...priceAndDate(bow, wanted));
  return {
    bow,
    verdict: out.length > 0 ? 'out' : nearly.length > 0 ? 'nearly' : 'fits',
    reasons: out.length > 0 ? out : nearly,
    notes: wallNote(bow, wanted.wall ?? null),
    module: length.module,
  };
}

function coverLength(bow: BowRecord, { drawLengthMm, shop }: FitWanted) {
  if (drawLengthMm === null) return { module: null, out: false, reason: null };
  const steps = drawLengthSteps(bow);
  const module = chooseModule(drawLengthMm, steps);
  if (!module) return { module: null, out: true, reason: 'no draw length known for it' };
  const far = Math.abs(module.remainderMm) > MOST_TWISTS * MM_PER_TWIST;
  const say = (mm: number) => write(mm, 'length', shop);
  if (far && module.stepMm === steps[0] && module.remainderMm < 0) {
    return { module, out: true, reason: `shortest setting ${say(steps[0]!)}` };
  }
  if (far && module.stepMm === steps.at(-1)) {
    return { module, out: true, reason: `longest setting ${say(steps.at(-1)!)}` };
  }
  if (far)
    return { module, out: true, reason: `no setting near, the next is ${say(module.stepMm)}` };
  const twists = Math.abs(module.twists);
  return {
    module,
    out: false,
    reason: twists > FEW_TWISTS ? `${twists} twists from its nearest setting` : null,
  };
}

function weightReason(bow: BowRecord, { startN, shop }: FitWanted): string | null {
  if (startN === null) return null;
  const say = (n: number) => write(n, 'force', shop, { decimals: 0 });
  if (startN < bow.minPeakN * 0.98) return `lightest setting ${say(bow.minPeakN)}`;
  return startN > bow.maxPeakN ? `heaviest setting ${say(bow.maxPeakN)}` : null;
}

/** Limbs that end under what the old bow draws: no plain fit for somebody who wants it as it was. */
function oldWeightReason(bow: BowRecord, { oldPeakN = null, shop }: FitWanted): string | null {
  if (oldPeakN === null || oldPeakN <= bow.maxPeakN) return null;
  const say = (n: number, decimals: number) => write(n, 'force', shop, { decimals });
  return `up to ${say(bow.maxPeakN, 0)}, the old one had ${say(oldPeakN, 1)}`;
}

function priceAndDate(bow: BowRecord, wanted: FitWanted): string[] {
  const { budgetCents = null, promisedDay = null, today } = wanted;
  const list: string[] = [];
  if (budgetCents !== null && bow.priceCents > budgetCents)
    list.push(`${writeMoney(bow.priceCents - budgetCents)} over the whole budget`);
  if (bow.stock > 0) return list;
  const comes = today ? addDays(today, bow.deliveryDays) : null;
  const late = comes !== null && promisedDay !== null && comes > promisedDay;
  list.push(`not in stock, ${bow.deliveryDays} days${late ? ': after the promised day' : ''}`);
  return list;
}

function wallNote(bow: BowRecord, wanted: Wall | null): string[] {
  const has = wallOfStops(bow.stops);
  if (wanted === null || has === null) return [];
  const stop = has === 'firm' ? 'a limb stop, firm wall' : 'a cable stop, softer wall';
  return [has === wanted ? `${stop}, as wanted` : `${stop}; a ${wanted} one is wanted`];
}
