import { KIT_RULES } from './rules';
import {
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

/** What stands against taking `item` into the kit as it is now: hard refusals first. */
export function objections(item: CatalogueItem, context: KitContext): Finding[] {
  const part: ChosenPart = {
    slot: item.slot,
    item,
    owned: false,
    label: `${item.maker} ${item.model}`,
    priceCents: item.priceCents,
  };
  const without: Kit = { ...context.kit, [item.slot]: undefined };
  const before = new Set(
    checkKit({ ...context, kit: without })
      .filter((finding) => finding.verdict === 'doesNotFit')
      .map((finding) => finding.rule.id),
  );
  return (
    checkKit({ ...context, kit: { ...context.kit, [item.slot]: part } })
      .filter((finding) => finding.verdict === 'doesNotFit')
      // A quarrel between two other parts is not this one's fault.
      .filter((finding) => !before.has(finding.rule.id))
      .sort((a, b) => Number(b.rule.hard) - Number(a.rule.hard))
  );
}

/** Required slots that are still empty, in order. */
export const missingSlots = (kit: Kit): Slot[] =>
  SLOTS.filter((slot) => slot.required && !kit[slot.id]).map((slot) => slot.id);

/** Price of the parts, cents; own parts cost nothing. */
export const kitPriceCents = (kit: Kit): number =>
  Object.values(kit).reduce((sum, part) => sum + (part && !part.owned ? part.priceCents : 0), 0);
