import { metre, type Metre } from '../../units';
import { kitPriceCents } from '../check';
import { searchPackages, type ChooserInput, type Solve } from '../chooser';
import type { CatalogueItem, KitContext, Slot } from '../types';
import { candidates } from './candidates';
import type { PackagesInput, WayOut } from './types';
import { baseOf, leastPrice, withoutPlace } from './within';

/** Nearest distance that is offered instead, m. */
const NEAREST_M = 20;
const DISTANCE_STEP_M = 5;

/**
 * Single things to give up, each tried alone: more money, a nearer distance, a later day, a part
 * brought along, a part allowed again or put back, more mass. The smallest of each kind.
 */
export async function waysOut(
  input: PackagesInput,
  leftCents: number | null,
  solve: Solve,
): Promise<WayOut[]> {
  const { context, without, daysLeft } = input;
  /** What the cheapest costs with something given up; null where that alone does not do. */
  const cheapest = async (change: Partial<PackagesInput>, money = leftCents) => {
    const then = { ...input, ...change };
    const base = baseOf(candidates(then.catalogue, then.context, then), then.context);
    const price = await leastPrice(base, solve);
    // A part put back gives its money back as well.
    const freed = kitPriceCents(context.kit) - kitPriceCents(then.context.kit);
    return price !== null && (money === null || price <= money + freed) ? price : null;
  };
  const ways: WayOut[] = [];
  const free = await cheapest({}, null);
  if (free !== null && leftCents !== null && free > leftCents)
    ways.push({ kind: 'money', cents: free - leftCents, priceCents: free });

  const nearer = await furthestThatDoes(context.furthestM, (furthestM) =>
    cheapest({ context: { ...context, furthestM } }),
  );
  if (nearer) ways.push({ kind: 'distance', ...nearer });

  for (const days of laterDays(input)) {
    const inTime = (item: CatalogueItem) => item.stock > 0 || item.deliveryDays <= days;
    const priceCents = await cheapest({ inTime });
    if (priceCents === null) continue;
    ways.push({ kind: 'days', days: days - (daysLeft ?? 0), priceCents });
    break;
  }

  for (const itemId of without) {
    const priceCents = await cheapest({ without: without.filter((id) => id !== itemId) });
    if (priceCents !== null) ways.push({ kind: 'allow', itemId, priceCents });
  }

  for (const [slot, part] of Object.entries(context.kit) as [Slot, { label: string }][]) {
    const kit = { ...context.kit, [slot]: undefined };
    const priceCents = await cheapest({ context: { ...context, kit } });
    if (priceCents !== null) ways.push({ kind: 'putBack', slot, label: part.label, priceCents });
  }

  ways.push(...(await broughtAlong(input, leftCents, free, solve)));

  if (context.massLimitG !== null) {
    const heavier = { ...context, massLimitG: null };
    const grams = await leastOver(input, heavier, leftCents);
    if (grams !== null) ways.push({ kind: 'mass', ...grams });
  }
  return ways;
}

/** Days after which one more part could come, past those there are. */
function laterDays({ catalogue, daysLeft }: PackagesInput): number[] {
  if (daysLeft === null) return [];
  const late = catalogue.filter(
    ({ stock, deliveryDays }) => stock === 0 && deliveryDays > daysLeft,
  );
  return [...new Set(late.map(({ deliveryDays }) => deliveryDays))].sort((a, b) => a - b);
}

async function furthestThatDoes(
  furthestM: Metre | null,
  price: (distanceM: Metre) => Promise<number | null>,
) {
  if (furthestM === null) return null;
  const first = Math.ceil(furthestM / DISTANCE_STEP_M) * DISTANCE_STEP_M - DISTANCE_STEP_M;
  for (let distanceM = first; distanceM >= NEAREST_M; distanceM -= DISTANCE_STEP_M) {
    const priceCents = await price(metre(distanceM));
    if (priceCents !== null) return { distanceM, priceCents };
  }
  return null;
}

/** Places that could stay empty because the archer brings something, the cheapest to miss first. */
async function broughtAlong(
  input: PackagesInput,
  leftCents: number | null,
  free: number | null,
  solve: Solve,
): Promise<WayOut[]> {
  const found = candidates(input.catalogue, input.context, input);
  const base = baseOf(found, input.context);
  const ways: Extract<WayOut, { kind: 'bring' }>[] = [];
  for (const slot of base.slots) {
    const price = await leastPrice(withoutPlace(base, slot.name), solve);
    if (price === null || (leftCents !== null && price > leftCents)) continue;
    const savesCents = free === null ? 0 : free - price;
    ways.push({ kind: 'bring', slot: slot.name as Slot, savesCents, priceCents: price });
  }
  return ways.sort((a, b) => a.savesCents - b.savesCents).slice(0, 2);
}

/** How much heavier at least, within the money. */
async function leastOver(input: PackagesInput, heavier: KitContext, leftCents: number | null) {
  const found = candidates(input.catalogue, heavier, input);
  const limit = baseOf(found, input.context).massLimitG;
  if (limit === undefined) return null;
  const light: ChooserInput = {
    conflicts: found.conflicts,
    slots: found.slots.map((slot) => ({
      ...slot,
      items: slot.items.map((item) => ({ ...item, worth: -item.massG })),
    })),
    ...(leftCents === null ? {} : { budgetCents: leftCents }),
  };
  const answer = searchPackages(light);
  const lightest = answer.status === 'proven' ? answer.packages[0] : undefined;
  if (!lightest || lightest.massG <= limit) return null;
  return { grams: Math.ceil(lightest.massG - limit), priceCents: lightest.priceCents };
}
