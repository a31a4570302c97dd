import type { Finding } from '../check';
import { type CatalogueItem, type KitContext, type ShootingPurpose, type Slot } from '../types';

export type SlotWeights = Partial<Record<Slot, number>>;

/** How much a place counts. Shop rule: money goes to rest and sight first, then to the arrows. */
export const SLOT_WEIGHT: Record<Slot, number> = {
  rest: 10,
  sight: 9,
  arrows: 8,
  release: 6,
  stabiliser: 4,
  quiver: 3,
  peep: 3,
  loop: 2,
  rearBar: 2,
  barMount: 1,
  weights: 1,
  nockingPoint: 1,
  sling: 2,
  dampeners: 2,
  stringStop: 2,
  light: 2,
  case: 2,
  armGuard: 2,
  consumables: 1,
};
export const MOST_WEIGHT = 20;

/** What a purpose asks more or less of. Shop rule. */
const BY_PURPOSE: Record<ShootingPurpose, SlotWeights> = {
  target: { stabiliser: 6, quiver: 1 },
  field: { sight: 10 },
  threeD: {},
  hunting: { quiver: 6, stabiliser: 3 },
};

/** How much a place counts for somebody who shoots for this; the shop's own word goes first. */
export const slotWeight = (slot: Slot, purpose: ShootingPurpose, shop: SlotWeights = {}): number =>
  shop[slot] ?? BY_PURPOSE[purpose][slot] ?? SLOT_WEIGHT[slot];

/** Each warning a part draws takes this much of its worth. Shop rule. */
const PER_WARNING = 0.3;
/** A part's worth is never less than this part of its slot's: the worst that fits still serves. */
const LEAST = 0.35;

/** Whoever learns gains nothing by what is dearer than the middle of what fits. Shop rule. */
const ENOUGH_TO_LEARN = 0.5;
/** Mass past the grip that takes half its worth from a bar a learner holds at arm's length, g. Shop rule. */
const HEAVY_TO_LEARN_G = 400;

export interface WorthNote {
  readonly item: CatalogueItem;
  readonly worth: number;
  /** What speaks for it and against it, said of this archer. */
  readonly reasons: readonly string[];
}

export interface WorthGround {
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
  const does = doesFor(item, context);
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

interface Does {
  readonly factor: number;
  readonly reasons: readonly string[];
}

const plain: Does = { factor: 1, reasons: [] };
const good = (reason: string): Does => ({ factor: 1.15, reasons: [reason] });

/** What is told of eyes that a lens in the peep may help. */
const GLASSES = /glass|lens|blur|near|far|sight/i;

function doesFor(
  item: CatalogueItem,
  { furthestM, lowLight, release, eyesight, learner }: KitContext,
): Does {
  switch (item.slot) {
    case 'sight': {
      const { slides, pins, pinMm } = item.attrs;
      if (lowLight && pins <= 3 && pinMm >= 0.6) return good('few, large pins for dim light');
      return slides && furthestM !== null && furthestM > 40
        ? good('slides, for every distance out to the furthest')
        : plain;
    }
    case 'rest':
      return item.attrs.drive === 'containment'
        ? { factor: 0.95, reasons: ['simple, nothing to time'] }
        : good('falls away, no vane touches it');
    case 'stabiliser':
    case 'weights':
    case 'rearBar':
      return learner && item.massG > 0.5 * HEAVY_TO_LEARN_G
        ? {
            factor: 1 / (1 + item.massG / HEAVY_TO_LEARN_G),
            reasons: ['heavy to hold while learning'],
          }
        : plain;
    case 'peep':
      if (item.attrs.lens && GLASSES.test(eyesight)) return good('takes a lens for their eyes');
      return lowLight && item.attrs.apertureMm >= 6 ? good('a wide hole for dim light') : plain;
    case 'release':
      return release !== 'unknown' && item.attrs.type === release
        ? good('the kind they shoot')
        : plain;
    default:
      return plain;
  }
}
