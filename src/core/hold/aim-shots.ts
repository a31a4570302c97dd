import { mean, studentTwoSided } from '../numerics';
import type { HoldTrace } from './types';

/** A point of a shot's path as it is drawn: time, right, up; ms and µrad, whole. */
export type PathPoint = readonly [ms: number, right: number, up: number];

/** A shot that was aimed with a sensor, as it is kept. */
export interface AimShot {
  readonly id: number;
  readonly at: string;
  readonly who: string;
  /** What is held against each other, and which of its two ways this shot was. */
  readonly topic: string;
  readonly way: string;
  /** Name of the sensor; null where it came from a file. */
  readonly device: string | null;
  /** Why it does not count; empty where it does. */
  readonly leftOut: string;
  /** Null where no hold could be read. */
  readonly result: HoldTrace | null;
  /** Why there is no result. */
  readonly refused: string | null;
  readonly path: readonly PathPoint[];
}

/** What archers ask of their aim, each with two ways to hold against each other. */
export const AIM_TOPICS = [
  { id: 'shots', name: 'just shots', ways: [['shot', 'a shot']] },
  {
    id: 'setUps',
    name: 'two set-ups of the bow',
    ways: [
      ['a', 'set-up A'],
      ['b', 'set-up B'],
    ],
  },
  {
    id: 'open',
    name: 'feet square or open',
    ways: [
      ['square', 'feet square'],
      ['open', 'feet open'],
    ],
  },
  {
    id: 'closed',
    name: 'feet square or closed',
    ways: [
      ['square', 'feet square'],
      ['closed', 'feet closed'],
    ],
  },
  {
    id: 'trunk',
    name: 'trunk turned in or out',
    ways: [
      ['in', 'trunk turned in'],
      ['out', 'trunk turned out'],
    ],
  },
  {
    id: 'kneeling',
    name: 'standing or kneeling',
    ways: [
      ['standing', 'standing'],
      ['kneeling', 'kneeling'],
    ],
  },
  {
    id: 'seated',
    name: 'standing or seated',
    ways: [
      ['standing', 'standing'],
      ['seated', 'seated'],
    ],
  },
  {
    id: 'slope',
    name: 'level or steep',
    ways: [
      ['level', 'on the level'],
      ['steep', 'steeply up or down'],
    ],
  },
] as const;
type Topic = (typeof AIM_TOPICS)[number];
export type AimTopicId = Topic['id'];

export const aimTopic = (id: string): Topic | null =>
  AIM_TOPICS.find((topic) => topic.id === id) ?? null;

/** The way of the next shot, A B B A: who tires, tires with both. */
export function nextWay(topic: Topic, shot: number): string {
  const [first, second = first] = topic.ways;
  return shot % 4 === 0 || shot % 4 === 3 ? first[0] : second[0];
}

const counts = (shot: AimShot): shot is AimShot & { readonly result: HoldTrace } =>
  shot.leftOut === '' && shot.result !== null;

/** Shots of a topic that count, oldest first. */
export const countedShots = (shots: readonly AimShot[], topic: string) =>
  shots.filter((shot) => shot.topic === topic).filter(counts);

/** What repeats from shot to shot, and how sure: only what chance seldom makes. */
interface AimFinding {
  readonly id:
    | 'comesOn'
    | 'comesOnMixed'
    | 'sideways'
    | 'upright'
    | 'sinks'
    | 'climbs'
    | 'longer'
    | 'trembles';
  readonly count: number;
  readonly of: number;
  /** How often chance alone would show as much; null where nothing was tested. */
  readonly pValue: number | null;
  /** Degrees from right, anticlockwise, or seconds. */
  readonly value: number | null;
}

/** Fewer shots say nothing of what repeats. Shop rule. */
const LEAST_SHOTS = 5;
const SURE = 0.05;
/** Of 100 directions a quarter lie within this of any one, degrees. */
const SAME_SIDE_DEG = 45;
/** Share of the variance from which on a hold wanders more to one axis. Shop rule. */
const MOSTLY = 0.62;
const TREMBLE_HZ = 4;

/** Chance of so many or more of n where each has the chance p: exact binomial tail. */
function binomialTail(count: number, n: number, p: number): number {
  let [term, sum] = [(1 - p) ** n, 0];
  for (let k = 0; k <= n; k++) {
    if (k >= count) sum += term;
    term *= ((n - k) / (k + 1)) * (p / (1 - p));
  }
  return Math.min(1, sum);
}

/** Two-sided p of a mean against nothing; 1 where there is no scatter to judge by. */
function meanP(values: readonly number[]): number {
  const middle = mean(values);
  const variance =
    values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1);
  return variance === 0
    ? 1
    : studentTwoSided(middle / Math.sqrt(variance / values.length), values.length - 1);
}

/** Slope of y over x, and its two-sided p. */
function slopeP(x: readonly number[], y: readonly number[]) {
  const [mx, my] = [mean(x), mean(y)];
  const sxx = x.reduce((sum, value) => sum + (value - mx) ** 2, 0);
  const sxy = x.reduce((sum, value, i) => sum + (value - mx) * (y[i]! - my), 0);
  if (sxx === 0 || x.length < 3) return { slope: 0, p: 1 };
  const slope = sxy / sxx;
  const rest = y.reduce((sum, value, i) => sum + (value - my - slope * (x[i]! - mx)) ** 2, 0);
  const error = Math.sqrt(rest / (x.length - 2) / sxx);
  return { slope, p: error === 0 ? 1 : studentTwoSided(slope / error, x.length - 2) };
}

/**
 * What repeats in a set of shots: from which side the aim comes on, which way it wanders, whether it sinks,
 * whether long holds are wilder, whether it trembles. Each is told only where chance alone would seldom
 * show it (binomial and Student tests at 5 %; docs/models.md section 10).
 *
 * @returns nothing under five shots.
 */
export function aimFindings(shots: readonly HoldTrace[]): AimFinding[] {
  const n = shots.length;
  if (n < LEAST_SHOTS) return [];
  const found: AimFinding[] = [];
  const radians = shots.map(({ approach }) => (approach.fromDeg * Math.PI) / 180);
  const from =
    (Math.atan2(mean(radians.map(Math.sin)), mean(radians.map(Math.cos))) * 180) / Math.PI;
  const same = shots.filter(({ approach }) => {
    const apart = Math.abs(approach.fromDeg - from) % 360;
    return Math.min(apart, 360 - apart) <= SAME_SIDE_DEG;
  }).length;
  const sideP = binomialTail(same, n, (2 * SAME_SIDE_DEG) / 360);
  found.push(
    sideP < SURE && same >= 0.7 * n
      ? { id: 'comesOn', count: same, of: n, pValue: sideP, value: from }
      : { id: 'comesOnMixed', count: same, of: n, pValue: null, value: null },
  );
  for (const [id, isMore] of [
    ['sideways', (share: number) => share > MOSTLY],
    ['upright', (share: number) => share < 1 - MOSTLY],
  ] as const) {
    const count = shots.filter(({ hold }) => isMore(hold.sidewaysShare)).length;
    const pValue = binomialTail(count, n, 0.5);
    if (pValue < SURE) found.push({ id, count, of: n, pValue, value: null });
  }
  const sinks = shots.map(({ hold }) => hold.driftMradS.up);
  const driftP = meanP(sinks);
  if (driftP < SURE) {
    const isDown = mean(sinks) < 0;
    found.push({
      id: isDown ? 'sinks' : 'climbs',
      count: sinks.filter((drift) => drift < 0 === isDown).length,
      of: n,
      pValue: driftP,
      value: Math.abs(mean(sinks)),
    });
  }
  const { slope, p } = slopeP(
    shots.map(({ hold }) => hold.durationS),
    shots.map(({ hold }) => hold.rmsMrad),
  );
  if (slope > 0 && p < SURE)
    found.push({
      id: 'longer',
      count: n,
      of: n,
      pValue: p,
      value: mean(shots.map(({ hold }) => hold.durationS)),
    });
  const quick = shots.filter(({ hold }) => hold.dominantHz >= TREMBLE_HZ).length;
  const quickP = binomialTail(quick, n, 0.5);
  if (quickP < SURE)
    found.push({
      id: 'trembles',
      count: quick,
      of: n,
      pValue: quickP,
      value: mean(shots.map(({ hold }) => hold.dominantHz)),
    });
  return found;
}

/** Points of a path at most: enough for a drawing of a few hundred pixels. */
const MOST_POINTS = 140;

/** Thousandths; never −0. */
const whole = (value: number) => Math.round(1000 * value) || 0;

/** A trace made small for drawing: evenly through time, ends kept. */
export function pathOf(
  samples: readonly { readonly tS: number; readonly rightMrad: number; readonly upMrad: number }[],
): PathPoint[] {
  const count = Math.min(samples.length, MOST_POINTS);
  const step = (samples.length - 1) / Math.max(1, count - 1);
  return Array.from({ length: count }, (_, i) => {
    const { tS, rightMrad, upMrad } = samples[Math.round(i * step)]!;
    return [whole(tS), whole(rightMrad), whole(upMrad)];
  });
}
