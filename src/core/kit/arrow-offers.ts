import { arrowOf, neededSpineIn, spineVerdict, type SpineVerdict } from '../arrow';
import { gram, mm } from '../units';
import { safeLengthMm } from './safe-length';
import type { AnyPart, ArrowPart, CatalogueItemOf, PartOf } from './types';
import {
  type ArrowChoice,
  type ArrowParts,
  BUILT_ID,
  type ArrowGround,
  fitsBore,
  buildOf,
  eachCents,
} from './built-arrows';

export interface ShaftOffer {
  readonly shaft: PartOf<'shaft'>;
  /** Null without a bow or a weight. */
  readonly verdict: SpineVerdict | null;
  /** Whether nock and insert of the choice go into it. */
  readonly goesIn: boolean;
}

/** Every shaft beside what this build needs, at its length and point: weak, good or stiff. */
export function shaftOffers(
  shafts: readonly PartOf<'shaft'>[],
  choice: ArrowChoice,
  { nock, insert, point }: ArrowParts,
  { bow, peakN }: ArrowGround,
): ShaftOffer[] {
  const needed =
    bow && peakN !== null
      ? neededSpineIn({
          peakN,
          character: bow.character,
          shaftLengthMm: choice.lengthMm,
          pointAndInsertG: gram(point.massG + insert.massG),
        })
      : null;
  return [...shafts]
    .sort((a, b) => b.attrs.staticSpineIn - a.attrs.staticSpineIn || a.priceCents - b.priceCents)
    .map((shaft) => ({
      shaft,
      verdict: needed === null ? null : spineVerdict(shaft.attrs.staticSpineIn, needed),
      goesIn: fitsBore(shaft, nock) && fitsBore(shaft, insert),
    }));
}

/** A built set as the kit sees it: like a ready set, so that every rule speaks of it. */
export function arrowsItem(
  choice: ArrowChoice,
  parts: ArrowParts,
): CatalogueItemOf<'arrows'> | null {
  const { shaft, vane, insert, point } = parts;
  const arrow = arrowOf(
    buildOf(choice, parts, {
      bow: null,
      drawLengthMm: null,
      peakN: null,
      overhangMm: mm(0),
      restAheadMm: mm(0),
    }),
  );
  if (!arrow.ok) return null;
  const all: readonly {
    readonly stock: number;
    readonly deliveryDays: number;
    readonly of: number;
  }[] = [
    ...(['shaft', 'nock', 'insert', 'point'] as const).map((kind) => ({
      ...parts[kind],
      of: choice.count,
    })),
    { ...vane, of: choice.count * choice.vaneCount },
  ];
  const missing = all.filter(({ stock, of }) => stock < of);
  return {
    id: BUILT_ID,
    slot: 'arrows',
    maker: shaft.maker,
    model: `${shaft.model} built, ${point.model}`,
    hand: 'both',
    massG: arrow.massG,
    priceCents: choice.count * eachCents(choice, parts),
    closeOutCents: null,
    stock: missing.length === 0 ? 1 : 0,
    deliveryDays: Math.max(0, ...missing.map(({ deliveryDays }) => deliveryDays)),
    supplier: shaft.supplier,
    attrs: {
      count: choice.count,
      shaftOuterMm: shaft.attrs.outerMm,
      shaftLengthMm: choice.lengthMm,
      staticSpineIn: shaft.attrs.staticSpineIn,
      pointAndInsertG: gram(point.massG + insert.massG),
      vaneHeightMm: vane.attrs.heightMm,
      bladeMm: point.attrs.bladeMm,
    },
  };
}

/** A first build to begin with: the good shaft in stock, plain parts that go into it. */
export function firstChoice(
  components: readonly AnyPart[],
  ground: ArrowGround,
  name: string,
): ArrowChoice | null {
  const of = <K extends ArrowPart>(kind: K) =>
    components.filter((part) => part.slot === kind) as unknown as PartOf<K>[];
  const point = of('point').find(({ attrs }) => attrs.head === 'field') ?? of('point')[0];
  const [vane] = of('vane');
  if (!point || !vane) return null;
  const safe = safeLengthMm(ground);
  for (const shaft of of('shaft')) {
    const nock = of('nock').find((part) => fitsBore(shaft, part));
    const insert = of('insert').find((part) => fitsBore(shaft, part));
    if (!nock || !insert) continue;
    const lengthMm = mm(Math.min(shaft.attrs.stockLengthMm, Math.ceil(safe ?? 720)));
    const choice: ArrowChoice = {
      name,
      shaftId: shaft.id,
      nockId: nock.id,
      vaneId: vane.id,
      vaneCount: 3,
      insertId: insert.id,
      pointId: point.id,
      lengthMm,
      count: 12,
    };
    const offers = shaftOffers(of('shaft'), choice, { shaft, nock, vane, insert, point }, ground);
    const good = offers.find(
      ({ verdict, goesIn, shaft: s }) => verdict === 'good' && goesIn && s.stock > 0,
    );
    return { ...choice, shaftId: good?.shaft.id ?? shaft.id };
  }
  return null;
}
