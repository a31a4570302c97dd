import type { AnyPart } from '@/core/kit';
import { seeded } from '@/core/numerics';

/** How many of a hundred parts a new list changes. */
const DEARER = 0.12;
const CHEAPER = 0.05;
const SLOWER = 0.08;
const NEW_MODEL = 0.04;

/**
 * A supplier's newest price list, made up from what the shop has of them: some prices and delivery
 * times moved, a few models new. The same edition of a list is always the same.
 */
export function supplierList(
  parts: readonly AnyPart[],
  supplier: string,
  edition: number,
): AnyPart[] {
  const random = seeded([...supplier].reduce((sum, c) => sum + c.charCodeAt(0), edition * 7919));
  const known = new Set(parts.map(({ id }) => id));
  return parts
    .filter((part) => part.supplier === supplier)
    .flatMap((part) => {
      const dice = random();
      const by = 1 + (0.03 + 0.09 * random());
      const euro = (cents: number) => Math.max(100, Math.round(cents / 100) * 100);
      if (dice < DEARER) return [{ ...part, priceCents: euro(part.priceCents * by) }];
      if (dice < DEARER + CHEAPER) {
        const priceCents = euro(part.priceCents / by);
        const closeOutCents =
          part.closeOutCents === null ? null : Math.min(part.closeOutCents, priceCents);
        return [{ ...part, priceCents, closeOutCents }];
      }
      if (dice < DEARER + CHEAPER + SLOWER)
        return [{ ...part, deliveryDays: part.deliveryDays + 4 }];
      if (dice < DEARER + CHEAPER + SLOWER + NEW_MODEL) {
        const next = nextModel(part, by);
        // Who took the new model already finds it in the list as it is; offered twice it would be one
        // id in two lines.
        return known.has(next.id) ? [part] : [part, next];
      }
      return [part];
    });
}

/** The model after one the shop knows; nothing of it lies in the shop yet. */
const nextModel = (part: AnyPart, by: number): AnyPart => ({
  ...part,
  id: `${part.id}-neu`.slice(0, 60),
  model: `${part.model} Neu`.slice(0, 80),
  priceCents: Math.round((part.priceCents * by) / 100) * 100,
  closeOutCents: null,
  stock: 0,
});
