import {
  barParts,
  notchesOf,
  withDiscs,
  type Bars,
  type BarSet,
  type BarSide,
  type Discs,
  type MassPart,
} from '../balance';
import type { Hand } from '../bow';
import { degree, mm } from '../units';
import { withParts, type BareBow } from './bare-bow';
import { pieceOf, type BarsInStock } from './bar-stock';
import type { Learned } from './learned';
import { awayOf } from './offers';

/** One thing a hand can do to what is mounted, and what it does. */
interface BarMove {
  readonly id: string;
  readonly say: string;
  readonly bars: Bars;
  /** What it adds: to the tip, to the roll forward, to the mass. */
  readonly rollNmm: number;
  readonly pitchNmm: number;
  readonly massG: number;
  /** By how much it comes nearer to quiet, N·mm; less than nothing goes away from it. */
  readonly helpsNmm: number;
  /** Teeth stand in between: they are disengaged before it is turned. */
  readonly teeth: boolean;
}

interface MoveGround {
  readonly hand: Hand;
  readonly bare: BareBow;
  /** Everything on the bow but the bars. */
  readonly others: readonly MassPart[];
  readonly stock: BarsInStock;
  readonly neutral: Pick<Learned, 'neutralRollNmm' | 'neutralPitchNmm'>;
  /** A length as the shop says it. */
  readonly sayLength: (lengthMm: number) => string;
}

const SIDE_NAMES: Readonly<Record<BarSide, string>> = { front: 'front', rear: 'rear' };
const AT: Readonly<Record<BarSide, string>> = { front: 'in front', rear: 'at the back' };

type Step = Pick<BarMove, 'id' | 'say' | 'bars' | 'teeth'>;

/** Read by eye a bar may stand between two teeth: it counts as in the nearer one. */
const nearestPlace = (places: readonly number[], at: number): number =>
  places.reduce(
    (best, place, i) => (Math.abs(place - at) < Math.abs(places[best]! - at) ? i : best),
    0,
  );

/** One notch either way, where the teeth go on. */
function notchSteps(side: BarSide, set: BarSet, put: (set: BarSet) => Bars): Step[] {
  const { mount } = set;
  if (!mount) return [];
  const turns = [
    ['sideDeg', mount.side, 'out', 'in'],
    ['downDeg', mount.down, 'down', 'up'],
  ] as const;
  const turned = turns.flatMap(([key, notches, more, less]) => {
    const places = notchesOf(notches);
    const at = nearestPlace(places, set[key]);
    return ([1, -1] as const).flatMap((way) => {
      const to = places[at + way];
      if (to === undefined) return [];
      const word = way === 1 ? more : less;
      return {
        id: `${side}-${word}`,
        say: `${SIDE_NAMES[side]} bar one notch ${word}, to ${to}°`,
        bars: put({ ...set, [key]: degree(to) }),
        teeth: true,
      };
    });
  });
  const rail = notchesOf(mount.slide);
  const at = nearestPlace(rail, set.slideMm);
  const slid = ([1, -1] as const).flatMap((way) => {
    const to = rail[at + way];
    return to === undefined
      ? []
      : [
          {
            id: `${side}-slide-${way}`,
            say: `mount slid ${way === 1 ? 'back' : 'forward'}, to ${to} mm`,
            bars: put({ ...set, slideMm: mm(to) }),
            teeth: false,
          },
        ];
  });
  return [...turned, ...slid];
}

const kindOf = ({ id, name, massG }: Omit<Discs, 'count'>) => ({ id, name, massG });

/** The disc a bar would carry: its own kind, else the first its thread takes. */
function discKind(side: BarSide, set: BarSet, stock: BarsInStock) {
  if (set.discs) return kindOf(set.discs);
  const bar = stock[side].find(({ id }) => id === set.bar.id);
  const disc = stock.discs.find(
    ({ thread }) => !bar || bar.weightThread === null || thread === bar.weightThread,
  );
  return disc ? kindOf(disc) : null;
}

/** Discs of a kind that are mounted on neither side. */
function left(bars: Bars, kind: { readonly id: string }, stock: BarsInStock): number {
  const used = [bars.front, bars.rear].reduce(
    (sum, set) => sum + (set?.discs?.id === kind.id ? set.discs.count : 0),
    0,
  );
  return (stock.discs.find(({ id }) => id === kind.id)?.count ?? used) - used;
}

function discSteps(
  side: BarSide,
  bars: Bars,
  set: BarSet,
  stock: BarsInStock,
  put: (set: BarSet) => Bars,
): Step[] {
  const kind = discKind(side, set, stock);
  const count = set.discs?.count ?? 0;
  const steps: Step[] = [];
  if (kind && count < set.bar.mostDiscs && left(bars, kind, stock) > 0)
    steps.push({
      id: `${side}-disc-more`,
      say: `a disc more ${AT[side]}, ${count + 1} then`,
      bars: put(withDiscs(set, kind, count + 1)),
      teeth: false,
    });
  if (kind && count > 0)
    steps.push({
      id: `${side}-disc-less`,
      say: `a disc less ${AT[side]}, ${count - 1} then`,
      bars: put(withDiscs(set, kind, count - 1)),
      teeth: false,
    });
  return steps;
}

/** A disc from one side to the other, where both take its kind. */
function acrossSteps({ front, rear }: Bars): Step[] {
  if (!front || !rear) return [];
  const across = (from: BarSet, to: BarSet) => {
    const kind = from.discs && kindOf(from.discs);
    const count = to.discs?.count ?? 0;
    if (!kind || (to.discs && to.discs.id !== kind.id) || count >= to.bar.mostDiscs) return null;
    return [withDiscs(from, kind, from.discs.count - 1), withDiscs(to, kind, count + 1)] as const;
  };
  const back = across(front, rear);
  const ahead = across(rear, front);
  return [
    ...(back
      ? [
          {
            id: 'disc-back',
            say: 'a disc from front to back',
            bars: { front: back[0], rear: back[1] },
            teeth: false,
          },
        ]
      : []),
    ...(ahead
      ? [
          {
            id: 'disc-front',
            say: 'a disc from back to front',
            bars: { front: ahead[1], rear: ahead[0] },
            teeth: false,
          },
        ]
      : []),
  ];
}

/** The next longer and the next shorter bar there is. */
function lengthSteps(
  side: BarSide,
  set: BarSet,
  { stock, sayLength }: MoveGround,
  put: (set: BarSet) => Bars,
): Step[] {
  const others = stock[side].filter(({ id }) => id !== set.bar.id);
  const longer = others
    .filter(({ lengthMm }) => lengthMm > set.bar.lengthMm)
    .sort((a, b) => a.lengthMm - b.lengthMm)[0];
  const shorter = others
    .filter(({ lengthMm }) => lengthMm < set.bar.lengthMm)
    .sort((a, b) => b.lengthMm - a.lengthMm)[0];
  return [longer, shorter].flatMap((bar) => {
    if (!bar) return [];
    const fits =
      !set.discs ||
      bar.weightThread === null ||
      stock.discs.find(({ id }) => id === set.discs!.id)?.thread === bar.weightThread;
    const discs =
      fits && set.discs ? { ...set.discs, count: Math.min(set.discs.count, bar.mostDiscs) } : null;
    return {
      id: `${side}-${bar.id}`,
      say: `${SIDE_NAMES[side]} bar of ${sayLength(bar.lengthMm)} instead of ${sayLength(set.bar.lengthMm)}`,
      bars: put({ ...set, bar: pieceOf(bar), discs }),
      teeth: false,
    };
  });
}

/** Everything one hand can do next to what is mounted, what helps most first. */
export function barMoves(bars: Bars, ground: MoveGround): BarMove[] {
  const { hand, bare, others, stock, neutral } = ground;
  const propsOf = ({ front, rear }: Bars) =>
    withParts(bare, [
      ...others,
      ...(front ? barParts('front', front, hand) : []),
      ...(rear ? barParts('rear', rear, hand) : []),
    ]);
  const now = propsOf(bars);
  const steps = (['front', 'rear'] as const).flatMap((side) => {
    const set = bars[side];
    if (!set) return [];
    const put = (next: BarSet): Bars => ({ ...bars, [side]: next });
    return [
      ...notchSteps(side, set, put),
      ...discSteps(side, bars, set, stock, put),
      ...lengthSteps(side, set, ground, put),
    ];
  });
  return [...steps, ...acrossSteps(bars)]
    .map((step) => {
      const then = propsOf(step.bars);
      return {
        ...step,
        rollNmm: then.rollTorqueNmm - now.rollTorqueNmm,
        pitchNmm: then.pitchTorqueNmm - now.pitchTorqueNmm,
        massG: then.massG - now.massG,
        helpsNmm: awayOf(now, neutral) - awayOf(then, neutral),
      };
    })
    .sort((a, b) => b.helpsNmm - a.helpsNmm);
}

const discWords = (side: BarSide, before: BarSet | null, after: BarSet): string[] => {
  const [was, is] = [before?.discs ?? null, after.discs];
  if (is && was && was.id !== is.id) return [`${is.count} × ${is.name} ${AT[side]} instead`];
  const change = (is?.count ?? 0) - (was?.count ?? 0);
  if (change === 0) return [];
  const many = Math.abs(change) === 1 ? 'a disc' : `${Math.abs(change)} discs`;
  return [`${many} ${change > 0 ? 'more' : 'less'} ${AT[side]}, ${is?.count ?? 0} then`];
};

const turnWords = (side: BarSide, before: BarSet | null, after: BarSet): string[] =>
  (
    [
      ['sideDeg', 'out'],
      ['downDeg', 'down'],
    ] as const
  ).flatMap(([key, word]) =>
    (before?.[key] ?? 0) === after[key]
      ? []
      : [`let the teeth go, turn the ${SIDE_NAMES[side]} bar ${word} to ${after[key]}°, tighten`],
  );

/** What hands do to come from one pair of bars to another, in order: teeth are let go before a turn. */
export function stepsBetween(from: Bars, to: Bars): string[] {
  return (['front', 'rear'] as const).flatMap((side) => {
    const [was, is] = [from[side], to[side]];
    if (!is) return was ? [`take the ${SIDE_NAMES[side]} bar off`] : [];
    const isSame =
      was !== null &&
      was.bar.id === is.bar.id &&
      was.spot === is.spot &&
      (was.mount?.id ?? null) === (is.mount?.id ?? null);
    const before = isSame ? was : null;
    return [
      ...(isSame
        ? []
        : [`put ${is.bar.name} ${AT[side]}${is.mount ? `, in ${is.mount.name}` : ''}`]),
      ...turnWords(side, before, is),
      ...((before?.slideMm ?? 0) === is.slideMm ? [] : [`slide the mount to ${is.slideMm} mm`]),
      ...discWords(side, before, is),
    ];
  });
}
