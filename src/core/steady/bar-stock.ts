import {
  notchesOf,
  type BarMountPiece,
  type BarPiece,
  type Bars,
  type BarSet,
  type BarSide,
} from '../balance';
import type { BarThread, BowRecord } from '../bow';
import { partName, sellCents, type CatalogueItem, type CatalogueItemOf, type Kit } from '../kit';
import { degree, gram, mm, type Gram } from '../units';
import { threadsOf } from './places';

/** A bar the archer owns and no catalogue knows. */
export interface OwnBar {
  readonly side: BarSide;
  readonly name: string;
  readonly lengthMm: number;
  readonly massG: number;
}

/** Discs of one kind: how many there are, what one weighs, what a set of them costs. */
interface DiscStock {
  readonly id: string;
  readonly name: string;
  readonly massG: Gram;
  readonly count: number;
  readonly thread: string;
  readonly perSet: number;
  readonly setCents: number;
  /** Of the job already: they cost nothing more. */
  readonly had: number;
}

export interface StockBar extends BarPiece {
  readonly id: string;
  readonly thread: string | null;
  readonly weightThread: string | null;
  readonly priceCents: number;
}

export interface StockMount extends BarMountPiece {
  readonly id: string;
  readonly thread: string;
  readonly kind: 'offset' | 'vBar' | 'slide';
  readonly priceCents: number;
}

/** What bars can be chosen from. */
export interface BarsInStock {
  readonly front: readonly StockBar[];
  readonly rear: readonly StockBar[];
  readonly mounts: readonly StockMount[];
  readonly discs: readonly DiscStock[];
  /** Parts whose own figures were not known and are taken as usual. */
  readonly assumed: readonly string[];
}

/** Shop rules, where a part does not say. */
const USUAL_MOST_DISCS = 6;
const USUAL_OUT_MM = 30;
const USUAL_NOTCHES = { side: { most: 60, step: 10 }, down: { most: 40, step: 10 } } as const;
const SLIDE_STEP_MM = 20;
/** Of a kind of part at most so many are looked at: what lies there first, then the cheapest. */
const MOST_OF_A_KIND = 40;

type BarItem = CatalogueItemOf<'stabiliser'> | CatalogueItemOf<'rearBar'>;

/** Free pieces of a part, those of the job among them; what is the archer’s costs nothing. */
function freeOf(item: CatalogueItem, kit: Kit) {
  const mine = kit[item.slot]?.item?.id === item.id ? kit[item.slot]! : null;
  return {
    count: item.stock + (mine ? 1 : 0),
    cents: mine?.owned ? 0 : sellCents(item),
    mine: mine !== null,
  };
}

/** Everything in the shop, and of the archer, that bars can be made of. */
export function barsInStock(
  items: readonly CatalogueItem[],
  kit: Kit,
  own: readonly OwnBar[] = [],
): BarsInStock {
  const assumed: string[] = [];
  const ofSlot = <S extends CatalogueItem['slot']>(slot: S) =>
    items
      .filter((item): item is CatalogueItem & CatalogueItemOf<S> => item.slot === slot)
      .filter((item) => freeOf(item, kit).count > 0)
      .slice(0, MOST_OF_A_KIND);
  const bar = (item: BarItem): StockBar => {
    const name = partName(item);
    if (item.attrs.mostDiscs === null) assumed.push(name);
    return {
      id: item.id,
      name,
      lengthMm: item.attrs.lengthMm,
      massG: item.massG,
      mostDiscs: item.attrs.mostDiscs ?? USUAL_MOST_DISCS,
      thread: item.attrs.thread,
      weightThread: item.attrs.weightThread,
      priceCents: freeOf(item, kit).cents,
    };
  };
  const ownOf = (side: BarSide): StockBar[] =>
    own
      .filter((one) => one.side === side)
      .map(({ name, lengthMm, massG }) => ({
        id: `own:${name}`,
        name,
        lengthMm: mm(lengthMm),
        massG: gram(massG),
        mostDiscs: USUAL_MOST_DISCS,
        thread: null,
        weightThread: null,
        priceCents: 0,
      }));
  const mounts = ofSlot('barMount').map((item): StockMount => {
    const { attrs } = item;
    const name = partName(item);
    if (attrs.sideMostDeg === null || attrs.downMostDeg === null || attrs.outMm === null)
      assumed.push(name);
    const notches = (
      most: number | null,
      step: number | null,
      usual: { most: number; step: number },
    ) => (most === null ? usual : { most, step: step ?? 0 });
    return {
      id: item.id,
      name,
      massG: item.massG,
      kind: attrs.kind,
      thread: attrs.thread,
      outMm: attrs.outMm ?? mm(USUAL_OUT_MM),
      side: notches(attrs.sideMostDeg, attrs.sideNotchDeg, USUAL_NOTCHES.side),
      down: notches(attrs.downMostDeg, attrs.downNotchDeg, USUAL_NOTCHES.down),
      slide: { most: attrs.slideMm ?? 0, step: SLIDE_STEP_MM },
      priceCents: freeOf(item, kit).cents,
    };
  });
  const discs = ofSlot('weights').map((item): DiscStock => {
    const { count, cents, mine } = freeOf(item, kit);
    const perSet = item.attrs.count;
    return {
      id: item.id,
      name: `disc of ${Math.round(item.massG / perSet)} g`,
      massG: gram(item.massG / perSet),
      count: count * perSet,
      thread: item.attrs.thread,
      perSet,
      setCents: cents,
      had: mine ? perSet : 0,
    };
  });
  return {
    front: [...ofSlot('stabiliser').map(bar), ...ownOf('front')],
    rear: [...ofSlot('rearBar').map(bar), ...ownOf('rear')],
    mounts,
    discs,
    assumed,
  };
}

/** A thread at the back of the bow, or beside it. */
export const isRear = ({ spot }: BarThread) => spot === 'rear' || spot === 'side';

export const pieceOf = ({ id, name, lengthMm, massG, mostDiscs }: BarPiece): BarPiece => ({
  id,
  name,
  lengthMm,
  massG,
  mostDiscs,
});

export const mountOf = ({
  id,
  name,
  massG,
  outMm,
  side,
  down,
  slide,
}: BarMountPiece): BarMountPiece => ({
  id,
  name,
  massG,
  outMm,
  side,
  down,
  slide,
});

/** What bars cost beyond what the job has already, cents; discs are sold by the set. */
export function barsCents({ front, rear }: Bars, stock: BarsInStock): number {
  const priceOf = (
    list: readonly { readonly id: string; readonly priceCents: number }[],
    id?: string | null,
  ) => list.find((one) => one.id === id)?.priceCents ?? 0;
  const counts = new Map<string, number>();
  for (const set of [front, rear])
    if (set?.discs) counts.set(set.discs.id, (counts.get(set.discs.id) ?? 0) + set.discs.count);
  const discs = stock.discs.reduce((sum, { id, perSet, setCents, had }) => {
    const missing = Math.max(0, (counts.get(id) ?? 0) - had);
    return sum + Math.ceil(missing / perSet) * setCents;
  }, 0);
  return (
    priceOf(stock.front, front?.bar.id) +
    priceOf(stock.rear, rear?.bar.id) +
    priceOf(stock.mounts, rear?.mount?.id) +
    discs
  );
}

/** Bars of the kit as they would first be mounted: straight, without discs; a rear bar half way out. */
export function barsOfKit(stock: BarsInStock, kit: Kit, bow: BowRecord): Bars {
  const { threads } = threadsOf(bow);
  const set = (bar: StockBar, thread: BarThread, mount: StockMount | null): BarSet => ({
    spot: thread.spot,
    at: thread.at,
    bar: pieceOf(bar),
    mount: mount && mountOf(mount),
    downDeg: degree(0),
    sideDeg: degree(mount ? middleOf(notchesOf(mount.side)) : 0),
    slideMm: mm(0),
    discs: null,
  });
  const front = stock.front.find(({ id }) => id === kit.stabiliser?.item?.id);
  const rear = stock.rear.find(({ id }) => id === kit.rearBar?.item?.id);
  const mount = stock.mounts.find(({ id }) => id === kit.barMount?.item?.id) ?? null;
  const ahead = threads.find((thread) => !isRear(thread));
  const back = threads.find(isRear) ?? (mount ? ahead : undefined);
  return {
    front: front && ahead ? set(front, ahead, null) : null,
    rear: rear && back ? set(rear, back, mount) : null,
  };
}

const middleOf = (places: readonly number[]) => places[Math.floor(places.length / 2)] ?? 0;
