import { fails, looksAt, objections, partOf, type Finding } from '../check';
import type { CandidateSlot } from '../chooser';
import { onTheBow } from '../parts';
import { KIT_RULES } from '../rules';
import {
  partName,
  sellCents,
  SLOTS,
  type CatalogueItem,
  type Kit,
  type KitContext,
  type KitRule,
  type Slot,
} from '../types';
import { slotWeight, worthOf, type SlotWeights, type WorthNote } from './worth';

export interface PackageWishes {
  /** Parts that are not to be taken. */
  readonly without: readonly string[];
  /** Places to fill besides the usual ones. */
  readonly extra: readonly Slot[];
  /** Whether a part that is not in stock comes in time. */
  readonly inTime: (item: CatalogueItem) => boolean;
  /** How much a place counts where the shop sees it otherwise. */
  readonly weights: SlotWeights;
  /** What nobody takes unasked is kept between parts too; false where nothing goes together so. */
  readonly strict?: boolean;
}

export interface Candidates {
  readonly slots: readonly CandidateSlot[];
  readonly conflicts: readonly (readonly [string, string])[];
  readonly notes: ReadonlyMap<string, WorthNote>;
  /** Slots the job has filled already: they stay as they are. */
  readonly kept: readonly Slot[];
  /** Places no part of the shop suits: better open than filled wrongly. */
  readonly leftOpen: readonly LeftOpen[];
}

/** A place left open, and what stands against the part that comes nearest. */
export interface LeftOpen {
  readonly slot: Slot;
  readonly rule: string;
  readonly name: string;
  readonly reason: string;
}

/** A place left empty is a choice too: some parts need another beside them. */
const nothing = (slot: Slot) => `nothing:${slot}`;
export const isNothing = (id: string) => id.startsWith('nothing:');

/** A whole package keeps the hard rules, and those that stand for a wish of the archer. */
const binding = ({ hard, wish }: KitRule) => hard || wish === 'distance';
const bindsPairs = (rule: KitRule, strict: boolean) =>
  binding(rule) || (strict && rule.inPackages !== undefined);
/** The limit of mass is the chooser's own; no pair of parts passes it alone. */
const warns = ({ rule }: Finding) => !binding(rule) && rule.wish !== 'mass' && !rule.passing;

/**
 * What may go into the places still empty: parts nothing binding stands against, with the parts
 * already chosen kept, and every pair of them that quarrels.
 */
export function candidates(
  catalogue: readonly CatalogueItem[],
  context: KitContext,
  { without, extra, inTime, weights, strict = true }: PackageWishes,
): Candidates {
  const kept = SLOTS.filter(({ id }) => context.kit[id]).map(({ id }) => id);
  const wanted = SLOTS.filter(
    ({ id, usual }) => !kept.includes(id) && (usual || extra.includes(id)),
  );
  const notes = new Map<string, WorthNote>();
  const openIds = wanted.map(({ id }) => id);
  const leftOpen: LeftOpen[] = [];
  const offered = wanted.map(({ id }) => {
    const mountable = catalogue.flatMap((item) => {
      if (item.slot !== id) return [];
      const against = objections(item, context);
      return against.some(({ rule }) => binding(rule) && !hangsOn(rule, id, openIds))
        ? []
        : [{ item, against: against.filter(warns) }];
    });
    // A part not wanted or too late is no candidate, but it still tells what the others are worth.
    const prices = mountable.map(({ item }) => item.priceCents);
    const weight = slotWeight(id, context.purpose, weights);
    const there = mountable.filter(({ item }) => !without.includes(item.id) && inTime(item));
    const { fitting, left } = suiting(id, there);
    if (left) leftOpen.push(left);
    for (const { item, against } of fitting)
      notes.set(item.id, worthOf(item, { prices, weight, against }, context));
    return fitting.map(({ item }) => item);
  });
  const isOpen = ({ id }: { id: Slot }) => !leftOpen.some(({ slot }) => slot === id);
  const open = wanted.filter(isOpen);
  const offers = offered.filter((_, at) => isOpen(wanted[at]!));
  return {
    kept,
    leftOpen,
    notes,
    slots: open.map(({ id, required }, at) => ({
      name: id,
      required: true,
      items: [
        ...offers[at]!.map((item) => ({
          id: item.id,
          priceCents: sellCents(item),
          massG: onTheBow(id) ? item.massG : 0,
          worth: notes.get(item.id)!.worth,
        })),
        ...(required ? [] : [{ id: nothing(id), priceCents: 0, massG: 0, worth: 0 }]),
      ],
    })),
    conflicts: quarrels(open, offers, context, strict),
  };
}

interface Mountable {
  readonly item: CatalogueItem;
  readonly against: readonly Finding[];
}

/**
 * Of the parts that can be mounted those nobody would leave out: the ones that keep every rule of
 * packages, where there are any. Where none does, the place is left open, or they come with the caution.
 */
function suiting(slot: Slot, there: readonly Mountable[]) {
  const breaks = ({ against }: Mountable, mode?: KitRule['inPackages']) =>
    against.find(({ rule }) => rule.inPackages && (!mode || rule.inPackages === mode));
  const good = there.filter((part) => !breaks(part));
  if (good.length > 0 || there.length === 0) return { fitting: good, left: null };
  const passable = there.filter((part) => !breaks(part, 'orLeftOpen'));
  if (passable.length > 0) return { fitting: passable, left: null };
  const off = (part: Mountable) => breaks(part, 'orLeftOpen')!.by ?? 0;
  const [nearest] = [...there].sort((a, b) => off(a) - off(b));
  const { rule, reason } = breaks(nearest!, 'orLeftOpen')!;
  const left: LeftOpen = { slot, rule: rule.id, name: partName(nearest!.item), reason };
  return { fitting: [], left };
}

/** Whether a rule's answer may change with what goes into another place still open. */
const hangsOn = (rule: KitRule, own: Slot, open: readonly Slot[]) =>
  [...rule.slots, ...(rule.sees ?? [])].some((slot) => slot !== own && open.includes(slot));

type Open = readonly { readonly id: Slot; readonly required: boolean }[];

/** Pairs of parts of different places that a binding rule does not let stand together. */
function quarrels(
  open: Open,
  offers: readonly (readonly CatalogueItem[])[],
  context: KitContext,
  strict: boolean,
): [string, string][] {
  const rules = KIT_RULES.filter((rule) => bindsPairs(rule, strict) && rule.slots.length > 0);
  return open.flatMap((first, i) =>
    open.slice(i + 1).flatMap((second, j) => {
      const both = rules.filter((rule) => looksAt(rule, first.id) && looksAt(rule, second.id));
      if (both.length === 0) return [];
      const choices = (place: Open[number], items: readonly CatalogueItem[]) => [
        ...items,
        ...(place.required ? [] : [null]),
      ];
      return choices(first, offers[i]!).flatMap((a) =>
        choices(second, offers[i + 1 + j]!).flatMap((b): [string, string][] => {
          const kit: Kit = {
            ...context.kit,
            ...(a ? { [a.slot]: partOf(a) } : {}),
            ...(b ? { [b.slot]: partOf(b) } : {}),
          };
          const speaking = both.filter(({ slots }) => slots.every((slot) => kit[slot]));
          return speaking.some((rule) => fails(rule, { ...context, kit }))
            ? [[a?.id ?? nothing(first.id), b?.id ?? nothing(second.id)]]
            : [];
        }),
      );
    }),
  );
}
