import { searchPackages, type ChooserInput, type Package } from '../chooser';
import type { Candidates } from './candidates';
import type { RunnerUp } from './types';

/**
 * The best package without this part for the same money, and how much dearer the part may get before
 * that one is worth as much. Null where there is no other, or the search sees no end.
 */
export function runnerUpOf(
  id: string,
  slot: string,
  { priceCents, worth }: Package,
  notes: Candidates['notes'],
  base: ChooserInput,
  limit: number | null,
): RunnerUp | null {
  const others = base.slots.map((place) =>
    place.name === slot ? { ...place, items: place.items.filter((item) => item.id !== id) } : place,
  );
  const money = limit === null ? {} : { budgetCents: limit };
  const second = searchPackages({ ...base, ...money, slots: others });
  const next = second.status === 'proven' ? second.packages[0] : undefined;
  if (!next) return null;
  const instead = next.chosen[slot];
  let tipCents: number | null = null;
  if (limit !== null) {
    const asGood = searchPackages(
      { ...base, ...money, anyOfEqual: true },
      {
        aim: 'price',
        leastWorth: next.worth,
        withId: id,
      },
    );
    const cheapest = asGood.status === 'proven' ? asGood.packages[0] : undefined;
    tipCents = cheapest ? limit - cheapest.priceCents : null;
  }
  return {
    item: instead ? (notes.get(instead)?.item ?? null) : null,
    priceCents: next.priceCents - priceCents,
    lost: Math.max(0, worth - next.worth),
    tipCents,
  };
}
