import { chooseKit, type ChooserInput, type Package, type Solve } from '../chooser';
import { kitMassG } from '../kit-mass';
import type { KitContext } from '../types';
import type { Candidates } from './candidates';

/** What bow and kit may still weigh is what the new parts may weigh. */
export function baseOf(
  { slots, conflicts }: Candidates,
  { bow, kit, massLimitG }: KitContext,
): ChooserInput {
  const base: ChooserInput = { slots, conflicts };
  if (massLimitG === null || !bow) return base;
  return { ...base, massLimitG: massLimitG - bow.massG - kitMassG(kit).massG };
}

/** The same without a place, and without the quarrels of its parts. */
export function withoutPlace(
  { slots, conflicts, ...base }: ChooserInput,
  name: string,
): ChooserInput {
  const gone = new Set(slots.find((slot) => slot.name === name)?.items.map(({ id }) => id));
  return {
    ...base,
    slots: slots.filter((slot) => slot.name !== name),
    conflicts: conflicts.filter(([a, b]) => !gone.has(a) && !gone.has(b)),
  };
}

/** The best package for this much money; null when nothing fits. */
export async function bestWithin(
  base: ChooserInput,
  solve: Solve,
  budgetCents?: number,
): Promise<Package | null> {
  const limit = budgetCents === undefined ? {} : { budgetCents };
  const answer = await chooseKit({ ...base, ...limit }, solve);
  return answer.ok && answer.status === 'optimal' ? answer : null;
}

/** What the cheapest package that works costs, cents. */
export async function leastPrice(base: ChooserInput, solve: Solve): Promise<number | null> {
  const answer = await chooseKit({ ...cheapestOf(base), anyOfEqual: true }, solve);
  return answer.ok && answer.status === 'optimal' ? answer.priceCents : null;
}

/** The same places, wanted for their price alone. */
const cheapestOf = ({ slots, ...base }: ChooserInput): ChooserInput => ({
  ...base,
  slots: slots.map((slot) => ({
    ...slot,
    items: slot.items.map((item) => ({ ...item, worth: -item.priceCents / 100 })),
  })),
});
