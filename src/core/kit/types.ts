import type { BowRecord, Hand, QuiverMount, RestMount, SightMount } from '../bow';
import type { Gram, Metre, Mm, Newton, ShopUnits } from '../units';

export type Slot =
  'rest' | 'sight' | 'peep' | 'loop' | 'arrows' | 'release' | 'quiver' | 'stabiliser';

export const SLOTS: readonly {
  readonly id: Slot;
  readonly name: string;
  readonly required: boolean;
}[] = [
  { id: 'rest', name: 'Rest', required: true },
  { id: 'sight', name: 'Sight', required: true },
  { id: 'peep', name: 'Peep', required: true },
  { id: 'loop', name: 'Loop', required: true },
  { id: 'arrows', name: 'Arrows', required: true },
  { id: 'release', name: 'Release', required: true },
  { id: 'quiver', name: 'Quiver', required: false },
  { id: 'stabiliser', name: 'Stabiliser', required: false },
];

export type RestDrive = 'limbDriven' | 'cableDriven' | 'containment';

export interface RestAttrs {
  readonly drive: RestDrive;
  readonly mount: RestMount;
  readonly minDrawMm: Mm;
  readonly maxDrawMm: Mm;
  readonly maxShaftMm: Mm;
}
export interface SightAttrs {
  readonly mount: SightMount;
  readonly pins: number;
  readonly slides: boolean;
  readonly travelMm: Mm;
  readonly thirdAxis: boolean;
  readonly electronics: boolean;
  readonly housingRadiusMm: Mm;
  readonly carriesQuiver: boolean;
}
export interface PeepAttrs {
  readonly apertureMm: Mm;
}
export interface LoopAttrs {
  readonly lengthMm: Mm;
}
export interface ArrowsAttrs {
  readonly count: number;
  readonly shaftOuterMm: Mm;
  readonly shaftLengthMm: Mm;
  readonly staticSpineIn: number;
  /** One finished arrow; `massG` of the item is the same. */
  readonly pointAndInsertG: Gram;
  readonly vaneHeightMm: Mm;
}
export interface ReleaseAttrs {
  readonly type: 'thumb' | 'index' | 'backTension';
}
export interface QuiverAttrs {
  readonly mount: QuiverMount;
  readonly arrows: number;
  readonly minShaftMm: Mm;
  readonly maxShaftMm: Mm;
}
export interface StabiliserAttrs {
  readonly lengthMm: Mm;
}

export interface SlotAttrs {
  rest: RestAttrs;
  sight: SightAttrs;
  peep: PeepAttrs;
  loop: LoopAttrs;
  arrows: ArrowsAttrs;
  release: ReleaseAttrs;
  quiver: QuiverAttrs;
  stabiliser: StabiliserAttrs;
}

export interface CatalogueItemOf<S extends Slot> {
  readonly id: string;
  readonly slot: S;
  readonly maker: string;
  readonly model: string;
  readonly hand: Hand | 'both';
  readonly massG: Gram;
  readonly priceCents: number;
  readonly stock: number;
  readonly deliveryDays: number;
  readonly attrs: SlotAttrs[S];
}
export type CatalogueItem = { [S in Slot]: CatalogueItemOf<S> }[Slot];

/** A part of this job: from the catalogue, or the archer's own (costs nothing). */
export interface ChosenPart {
  readonly slot: Slot;
  /** Null for an own part the catalogue does not know. */
  readonly item: CatalogueItem | null;
  readonly owned: boolean;
  readonly label: string;
  readonly priceCents: number;
}

export type Kit = Partial<Record<Slot, ChosenPart>>;

export const itemOf = <S extends Slot>(kit: Kit, slot: S): CatalogueItemOf<S> | null =>
  (kit[slot]?.item ?? null) as CatalogueItemOf<S> | null;

/** What a rule may look at. */
export interface KitContext {
  readonly bow: BowRecord | null;
  readonly kit: Kit;
  readonly drawLengthMm: Mm | null;
  readonly peakN: Newton | null;
  readonly furthestM: Metre | null;
  readonly electronicsForbidden: boolean;
  readonly shop: ShopUnits;
}

export type Verdict = 'fits' | 'doesNotFit' | 'cannotTell';

export interface RuleAnswer {
  readonly verdict: Verdict;
  /** Why not, or what is missing; empty where it fits. */
  readonly reason: string;
}

/** One compatibility rule: it speaks when every slot it names is filled. */
export interface KitRule {
  readonly id: string;
  readonly name: string;
  readonly slots: readonly Slot[];
  /** A hard rule refuses the part; the others warn and can be overruled. */
  readonly hard: boolean;
  check(context: KitContext): RuleAnswer;
}

export const fits: RuleAnswer = { verdict: 'fits', reason: '' };
export const doesNotFit = (reason: string): RuleAnswer => ({ verdict: 'doesNotFit', reason });
export const cannotTell = (missing: string): RuleAnswer => ({
  verdict: 'cannotTell',
  reason: `cannot tell: ${missing}`,
});
