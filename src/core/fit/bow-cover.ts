import { drawLengthSteps, type BowRecord, type Hand } from '../bow';
import { write, type Mm, type Newton, type ShopUnits } from '../units';
import { chooseModule, MM_PER_TWIST, type ModuleChoice } from './draw-length';

/** More twists than this are not a fit but another bow. */
export const MOST_TWISTS = 6;

export interface FitWanted {
  readonly drawLengthMm: Mm | null;
  readonly startN: Newton | null;
  readonly hand: Hand;
  readonly shop: ShopUnits;
}

export interface BowCover {
  readonly bow: BowRecord;
  readonly verdict: 'fits' | 'nearly' | 'out';
  /** Why it is out, or what the nearly costs; empty for a plain fit. */
  readonly reasons: readonly string[];
  readonly module: ModuleChoice | null;
}

/**
 * Whether a bow covers the fit: hand, draw length by a module with at most six twists, start
 * weight within the limb range. Unknown fit values are left out of the judgement, and said.
 */
export function bowCover(bow: BowRecord, wanted: FitWanted): BowCover {
  const out: string[] = [];
  const nearly: string[] = [];
  if (bow.hand !== wanted.hand) out.push(`a ${bow.hand}-hand bow`);
  const length = coverLength(bow, wanted);
  if (length.reason) (length.out ? out : nearly).push(length.reason);
  const weight = weightReason(bow, wanted);
  if (weight) out.push(weight);
  if (bow.stock === 0) nearly.push(`not in stock, ${bow.deliveryDays} days`);
  return {
    bow,
    verdict: out.length > 0 ? 'out' : nearly.length > 0 ? 'nearly' : 'fits',
    reasons: out.length > 0 ? out : nearly,
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
  if (far && module.remainderMm < 0) {
    return { module, out: true, reason: `shortest setting ${say(steps[0]!)}` };
  }
  if (far) return { module, out: true, reason: `longest setting ${say(steps.at(-1)!)}` };
  const twists = Math.abs(module.twists);
  return {
    module,
    out: false,
    reason: twists > 3 ? `${twists} twists from its nearest setting` : null,
  };
}

function weightReason(bow: BowRecord, { startN, shop }: FitWanted): string | null {
  if (startN === null) return null;
  const say = (n: number) => write(n, 'force', shop, { decimals: 0 });
  if (startN < bow.minPeakN * 0.98) return `lightest setting ${say(bow.minPeakN)}`;
  return startN > bow.maxPeakN ? `heaviest setting ${say(bow.maxPeakN)}` : null;
}
