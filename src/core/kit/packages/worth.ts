import type { Finding } from '../check';
import { plain } from '../parts/part';
import {
  placeOf,
  type CatalogueItem,
  type KitContext,
  type ShootingPurpose,
  type Slot,
} from '../types';

export type SlotWeights = Partial<Record<Slot, number>>;

export const MOST_WEIGHT = 20;

/** How much a place counts for somebody who shoots for this; the shop's own word goes first. */
export const slotWeight = (slot: Slot, purpose: ShootingPurpose, shop: SlotWeights = {}): number =>
  shop[slot] ?? placeOf(slot).weightFor?.[purpose] ?? placeOf(slot).weight;

/** Each warning a part draws takes this much of its worth. Shop rule. */
const PER_WARNING = 0.3;
/** A part's worth is never less than this part of its slot's: the worst that fits still serves. */
const LEAST = 0.35;

/** Whoever learns gains nothing by what is dearer than the middle of what fits. Shop rule. */
const ENOUGH_TO_LEARN = 0.5;

export interface WorthNote {
  readonly item: CatalogueItem;
  readonly worth: number;
  /** What speaks for it and against it, said of this archer. */
  readonly reasons: readonly string[];
}

interface WorthGround {
  /** What everything costs that can be mounted in the place, the part among them. */
  readonly prices: readonly number[];
  /** How much the place counts. */
  readonly weight: number;
  /** Warnings against the part. */
  readonly against: readonly Finding[];
}

/**
 * Worth of a part for this archer: its place's weight, times how well it is made, times what it does
 * for them. How well it is made is read from where its usual price stands among those that fit: a
 * shop rule, and a poor one; what a part does for the archer comes from its attributes.
 */
export function worthOf(
  item: CatalogueItem,
  { prices, weight, against }: WorthGround,
  context: KitContext,
): WorthNote {
  const does = placeOf(item.slot).does?.(item, context) ?? plain;
  const rank = priceRank(item.priceCents, prices);
  const made = LEAST + (1 - LEAST) * (context.learner ? Math.min(1, rank / ENOUGH_TO_LEARN) : rank);
  const factor = made * does.factor * Math.max(0.1, 1 - PER_WARNING * against.length);
  return {
    item,
    worth: Math.round(1000 * weight * factor) / 100,
    reasons: [
      ...does.reasons,
      ...(item.closeOutCents === null ? [] : ['cleared out']),
      ...against.map(({ reason }) => reason),
    ],
  };
}

/** 0 for the cheapest that fits to 1 for the dearest, by rank so that one dear part skews nothing. */
function priceRank(priceCents: number, prices: readonly number[]): number {
  const cheaper = new Set(prices.filter((price) => price < priceCents)).size;
  const all = new Set([...prices, priceCents]).size;
  return all < 2 ? 0.5 : cheaper / (all - 1);
}
