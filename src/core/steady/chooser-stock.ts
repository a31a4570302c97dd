import {
  footOf,
  notchesOf,
  type BarPlace,
  type Bars,
  type BarSet,
  type MountedBar,
  type SideStock,
} from '../balance';
import type { BarThread, BowRecord } from '../bow';
import { degree, mm } from '../units';
import {
  isRear,
  mountOf,
  pieceOf,
  type BarsInStock,
  type StockBar,
  type StockMount,
} from './bar-stock';
import { threadsOf } from './places';

/** A place of the bow a bar can be put in, as the chooser names it: thread, mount, slid back. */
interface NamedPlace {
  readonly place: BarPlace;
  readonly thread: BarThread;
  readonly mount: StockMount | null;
  readonly slideMm: number;
}

/** What the chooser chooses from, and how its answer is read back into bars. */
export interface ChooserStock {
  readonly front: SideStock;
  readonly rear: Omit<SideStock, 'mounts'> & {
    readonly mounts: readonly (BarPlace & {
      readonly sideDeg: readonly ReturnType<typeof degree>[];
    })[];
  };
  readonly weightStock: Readonly<Record<string, number>>;
  readonly barsOf: (pair: {
    readonly front: MountedBar | null;
    readonly rear: MountedBar | null;
  }) => Bars;
}

const idOf = (thread: BarThread, at: number, mount: StockMount | null, slideMm: number) =>
  [thread.spot, at, mount?.id ?? '', slideMm].join('|');

/** Which thread the mount of a rear bar goes to: one at the back where there is one, else the front. */
function rearPlaces(threads: readonly BarThread[], mounts: readonly StockMount[], bow: BowRecord) {
  const back = threads.filter(isRear);
  const places: NamedPlace[] = back.map((thread, i) => ({
    place: {
      id: idOf(thread, i, null, 0),
      at: thread.at,
      downDeg: [degree(0)],
      sideDeg: [degree(0)],
    },
    thread,
    mount: null,
    slideMm: 0,
  }));
  const thread = back[0] ?? threads[0];
  if (!thread) return places;
  for (const mount of mounts)
    for (const slideMm of notchesOf(mount.slide))
      places.push({
        place: {
          id: idOf(thread, 0, mount, slideMm),
          at: footOf('rear', thread.at, mount, slideMm, bow.hand),
          massG: mount.massG,
          downDeg: notchesOf(mount.down).map(degree),
          sideDeg: notchesOf(mount.side).map(degree),
        },
        thread,
        mount,
        slideMm,
      });
  return places;
}

/** @param limitMm the longest bar the archer’s class allows; null without a limit. */
export function chooserStock(
  stock: BarsInStock,
  bow: BowRecord,
  limitMm: number | null,
): ChooserStock {
  const { threads } = threadsOf(bow);
  const allowed = (bars: readonly StockBar[]) =>
    bars.filter(({ lengthMm }) => limitMm === null || lengthMm <= limitMm);
  const withWeights = (bars: readonly StockBar[]) =>
    bars.map(({ id, lengthMm, massG, mostDiscs, weightThread }) => ({
      id,
      lengthMm,
      massG,
      weights: stock.discs
        .filter(({ thread }) => weightThread === null || weightThread === thread)
        .map((disc) => ({
          id: disc.id,
          massG: disc.massG,
          most: Math.min(mostDiscs, disc.count),
        })),
    }));
  const frontBars = allowed(stock.front);
  const rearBars = allowed(stock.rear);
  const fronts = threads
    .filter((thread) => !isRear(thread))
    .map((thread, i): NamedPlace => ({
      place: { id: idOf(thread, i, null, 0), at: thread.at, downDeg: [degree(0)] },
      thread,
      mount: null,
      slideMm: 0,
    }));
  const rears = rearPlaces(threads, stock.mounts, bow);
  const takes = ({ mount }: NamedPlace) =>
    mount
      ? {
          takes: rearBars
            .filter(({ thread }) => thread === null || thread === mount.thread)
            .map(({ id }) => id),
        }
      : {};
  const set = (
    found: MountedBar | null,
    places: readonly NamedPlace[],
    bars: readonly StockBar[],
  ): BarSet | null => {
    const where = places.find(({ place }) => place.id === found?.mount);
    const bar = bars.find(({ id }) => id === found?.bar);
    if (!found || !where || !bar) return null;
    const disc = stock.discs.find(({ id }) => id === found.weight);
    return {
      spot: where.thread.spot,
      at: where.thread.at,
      bar: pieceOf(bar),
      mount: where.mount && mountOf(where.mount),
      downDeg: found.downDeg,
      sideDeg: found.sideDeg ?? degree(0),
      slideMm: mm(where.slideMm),
      discs: disc ? { id: disc.id, name: disc.name, massG: disc.massG, count: found.count } : null,
    };
  };
  return {
    front: { mounts: fronts.map(({ place }) => place), bars: withWeights(frontBars), weights: [] },
    rear: {
      mounts: rears.map((named) => ({
        ...named.place,
        ...takes(named),
        sideDeg: named.place.sideDeg ?? [degree(0)],
      })),
      bars: withWeights(rearBars),
      weights: [],
    },
    weightStock: Object.fromEntries(stock.discs.map(({ id, count }) => [id, count])),
    barsOf: ({ front, rear }) => ({
      front: set(front, fronts, frontBars),
      rear: set(rear, rears, rearBars),
    }),
  };
}
