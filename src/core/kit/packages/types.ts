import type { Infeasible } from '../chooser';
import type { CatalogueItem, KitContext, Slot } from '../types';
import type { LeftOpen, PackageWishes } from './candidates';

export type PackageKind = 'thrifty' | 'balanced' | 'noCompromise';

export interface PackagePart {
  readonly slot: Slot;
  readonly item: CatalogueItem;
  readonly worth: number;
  readonly reasons: readonly string[];
  readonly runnerUp: RunnerUp | null;
}

/** What would be taken if this part were not there, and what turns the choice. */
export interface RunnerUp {
  /** Null where the place would rather be left empty. */
  readonly item: CatalogueItem | null;
  /** Of the whole package against this one; negative is cheaper. */
  readonly priceCents: number;
  /** Worth the whole package loses, 0 or more. */
  readonly lost: number;
  /** The part stays until it costs more than this besides; null where no money is set. */
  readonly tipCents: number | null;
}

export interface KitPackage {
  readonly kind: PackageKind;
  readonly parts: readonly PackagePart[];
  /** Of the parts it adds; what is chosen already is counted in `keptCents`. */
  readonly priceCents: number;
  /** On the bow, without arrows. */
  readonly massG: number;
  readonly worth: number;
  /** What the rules say against bow, kit and these parts together, as they would part by part. */
  readonly cautions: readonly string[];
  /** What the rules cannot tell of bow, kit and these parts together; never taken for yes. */
  readonly unsure: readonly string[];
  /** Whether it keeps within the money there is; null where no budget was named. */
  readonly withinBudget: boolean | null;
}

export interface PackagePoint {
  readonly priceCents: number;
  readonly worth: number;
  readonly itemIds: readonly string[];
}

/** One thing to give up that makes it work, with what the cheapest package costs then. */
export type WayOut = { readonly priceCents: number } & (
  | { readonly kind: 'money'; readonly cents: number }
  | { readonly kind: 'distance'; readonly distanceM: number }
  | { readonly kind: 'days'; readonly days: number }
  | { readonly kind: 'mass'; readonly grams: number }
  | { readonly kind: 'bring'; readonly slot: Slot; readonly savesCents: number }
  | { readonly kind: 'allow'; readonly itemId: string }
  | { readonly kind: 'putBack'; readonly slot: Slot; readonly label: string }
);

export interface PackagesAnswer {
  readonly packages: readonly KitPackage[];
  /** What has to be given up when nothing fits; null when something does. */
  readonly give: Infeasible['relax'] | null;
  /** Single things that would do, the smallest first; empty when nothing has to be given up. */
  readonly ways: readonly WayOut[];
  /** Places no part of the shop suits: the packages are without them. */
  readonly leftOpen: readonly LeftOpen[];
  /** What is left for the parts still wanted; null where no budget was named. */
  readonly leftCents: number | null;
  readonly keptCents: number;
}

export interface PackagesInput extends PackageWishes {
  readonly catalogue: readonly CatalogueItem[];
  readonly context: KitContext;
  /** For bow and kit together, cents; null where none was named. */
  readonly budgetCents: number | null;
  /** Of the budget, what setting up a whole package takes at most, cents. */
  readonly workCents: number;
  /** Days until a part that is not in stock may come; null where no date was named. */
  readonly daysLeft: number | null;
}
