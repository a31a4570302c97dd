import type { BowRecord, Hand } from '../bow';
import { metre, mm, type Gram, type Metre, type Mm, type Newton, type ShopUnits } from '../units';
import {
  ARROW_PARTS,
  type ArcherFacts,
  type ArrowPart,
  type AttrsOf,
  type PartKind,
  type ShootingPurpose,
  type Slot,
} from './parts';

export * from './parts';

export interface PartOf<K extends PartKind> {
  readonly id: string;
  readonly slot: K;
  readonly maker: string;
  readonly model: string;
  readonly hand: Hand | 'both';
  /** Of one; of arrows and their parts each. */
  readonly massG: Gram;
  readonly priceCents: number;
  /** What it is sold for while it is being cleared out; null at the usual price. */
  readonly closeOutCents: number | null;
  readonly stock: number;
  readonly deliveryDays: number;
  readonly supplier: string;
  readonly attrs: AttrsOf[K];
}
export type CatalogueItemOf<S extends Slot> = PartOf<S>;
export type CatalogueItem = { [S in Slot]: PartOf<S> }[Slot];
export type ArrowComponent = { [K in ArrowPart]: PartOf<K> }[ArrowPart];
/** Any part of the catalogue. */
export type AnyPart = CatalogueItem | ArrowComponent;

export const isArrowComponent = (part: AnyPart): part is ArrowComponent =>
  ARROW_PARTS.some(({ id }) => id === part.slot);

/** What a part is sold for, cents. */
export const sellCents = (part: Pick<AnyPart, 'priceCents' | 'closeOutCents'>): number =>
  part.closeOutCents ?? part.priceCents;

export const partName = ({ maker, model }: Pick<AnyPart, 'maker' | 'model'>) => `${maker} ${model}`;

/** A part of this job: from the catalogue, or the archer's own (costs nothing). */
/** Where a set of arrows is put together here. */
export interface BuiltHere {
  readonly built?: boolean;
}

export interface ChosenPart {
  readonly slot: Slot;
  /** Null for an own part the catalogue does not know. */
  readonly item: CatalogueItem | null;
  readonly owned: boolean;
  readonly label: string;
  readonly priceCents: number;
}

export type Kit = Partial<Record<Slot, ChosenPart & BuiltHere>>;

export const itemOf = <S extends Slot>(kit: Kit, slot: S): CatalogueItemOf<S> | null =>
  (kit[slot]?.item ?? null) as CatalogueItemOf<S> | null;

/** What a rule may look at. */
export interface KitContext extends ArcherFacts {
  readonly bow: BowRecord | null;
  readonly kit: Kit;
  readonly drawLengthMm: Mm | null;
  /** Rest ahead of the plunger hole, mm; negative behind it. */
  readonly restAheadMm: Mm;
  /** The weight the bow is to have, or where nobody named one what it was weighed at. */
  readonly peakN: Newton | null;
  /** What it was weighed at, until that is the weight it is to have; null otherwise. */
  readonly weighedN: Newton | null;
  readonly electronicsForbidden: boolean;
  readonly purpose: ShootingPurpose;
  /** Bow and kit together, ready to shoot; null where the archer named no limit. */
  readonly massLimitG: Gram | null;
  /** Where the shop draws its lines; see KIT_LINES. */
  readonly lines: KitLines;
  readonly shop: ShopUnits;
}

/** Lines of the shop's own, changeable in its settings. */
export interface KitLines {
  /** Past this all three axes of a sight should be adjustable. */
  readonly thirdAxisPastM: Metre;
  /** Shaft past the rest at full draw; a shorter one can fall off it. */
  readonly overhangMm: Mm;
  /** About how long the bars are that it mounts unless something speaks against them. */
  readonly usualFrontBarMm: Mm;
  readonly usualRearBarMm: Mm;
}

/** As a new shop has them. Shop rules. */
export const KIT_LINES: KitLines = {
  thirdAxisPastM: metre(45),
  overhangMm: mm(25),
  usualFrontBarMm: mm(254),
  usualRearBarMm: mm(203),
};

export type Verdict = 'fits' | 'doesNotFit' | 'cannotTell';

export interface RuleAnswer {
  readonly verdict: Verdict;
  /** Why not, or what is missing; empty where it fits. */
  readonly reason: string;
  /** How far off it is, by the rule's own measure, where it has one. */
  readonly by?: number;
}

/** One compatibility rule: it speaks when every slot it names is filled. */
export interface KitRule {
  readonly id: string;
  readonly name: string;
  /** Empty for a rule on the kit as a whole: it speaks as soon as there is any part. */
  readonly slots: readonly Slot[];
  /** Other slots whose part it looks at where there is one. */
  readonly sees?: readonly Slot[];
  /** The wish it stands for, where it is one: whole packages keep it, part by part it only warns. */
  readonly wish?: 'distance' | 'mass';
  /**
   * What nobody puts into a whole package unasked: it is kept wherever it can be. Where no part of the
   * place keeps it the place is left open, or the part comes with its caution.
   */
  readonly inPackages?: 'orLeftOpen' | 'orCaution';
  /** It goes by itself as the work goes on: a caution, but no word against the part. */
  readonly passing?: true;
  /** A hard rule refuses the part; the others warn and can be overruled. */
  readonly hard: boolean;
  check(context: KitContext): RuleAnswer;
}

export const fits: RuleAnswer = { verdict: 'fits', reason: '' };
export const doesNotFit = (reason: string, by?: number): RuleAnswer => ({
  verdict: 'doesNotFit',
  reason,
  ...(by === undefined ? {} : { by }),
});
export const cannotTell = (missing: string): RuleAnswer => ({
  verdict: 'cannotTell',
  reason: `cannot tell: ${missing}`,
});
