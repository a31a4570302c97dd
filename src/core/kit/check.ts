import { KIT_RULES } from './rules';
import {
  partName,
  sellCents,
  SLOTS,
  type CatalogueItem,
  type ChosenPart,
  type Kit,
  type KitContext,
  type KitRule,
  type RuleAnswer,
  type Slot,
} from './types';

export interface Finding extends RuleAnswer {
  readonly rule: KitRule;
}

/** Everything the rules have to say about the kit; rules whose slots are empty are silent. */
export function checkKit(context: KitContext): Finding[] {
  return KIT_RULES.filter((rule) => speaks(rule, context.kit)).map((rule) => ({
    rule,
    ...rule.check(context),
  }));
}

const speaks = (rule: KitRule, kit: Kit) =>
  rule.slots.length > 0
    ? rule.slots.every((slot) => kit[slot])
    : Object.values(kit).some((part) => part !== undefined);

/** Every slot a rule looks at; a rule on the whole kit looks at all. */
export const looksAt = ({ slots, sees = [] }: KitRule, slot: Slot): boolean =>
  slots.length === 0 || slots.includes(slot) || sees.includes(slot);

export const partOf = (item: CatalogueItem): ChosenPart => ({
  slot: item.slot,
  item,
  owned: false,
  label: partName(item),
  priceCents: sellCents(item),
});

/** What stands against taking `item` into the kit as it is now: hard refusals first. */
export function objections(item: CatalogueItem, context: KitContext): Finding[] {
  const without: Kit = { ...context.kit, [item.slot]: undefined };
  const withIt: Kit = { ...context.kit, [item.slot]: partOf(item) };
  return (
    KIT_RULES.filter((rule) => looksAt(rule, item.slot) && speaks(rule, withIt))
      .map((rule): Finding => ({ rule, ...rule.check({ ...context, kit: withIt }) }))
      .filter(({ verdict }) => verdict === 'doesNotFit')
      // A quarrel between two other parts is not this one's fault.
      .filter(({ rule }) => !(speaks(rule, without) && fails(rule, { ...context, kit: without })))
      .sort((a, b) => Number(b.rule.hard) - Number(a.rule.hard))
  );
}

export const fails = (rule: KitRule, context: KitContext): boolean =>
  rule.check(context).verdict === 'doesNotFit';

/** Required slots that are still empty, in order. */
export const missingSlots = (kit: Kit): Slot[] =>
  SLOTS.filter((slot) => slot.required && !kit[slot.id]).map((slot) => slot.id);

/** Price of the parts, cents; own parts cost nothing. */
export const kitPriceCents = (kit: Kit): number =>
  Object.values(kit).reduce((sum, part) => sum + (part && !part.owned ? part.priceCents : 0), 0);
