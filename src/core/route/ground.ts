import type { RouteInput, RouteResult, Visit } from './types';

/** Finished steps, a bit each, 30 to a number. */
type Mask = readonly number[];
const BITS = 30;

/** Where one stands, and whether the archer is there. */
interface Mode {
  readonly station: string;
  readonly archer: boolean;
  readonly steps: readonly number[];
  readonly mask: Mask;
}

interface StationWork {
  readonly name: string;
  readonly withArcher: Mode | undefined;
  readonly alone: Mode | undefined;
  readonly cost: number;
}

export interface Node {
  readonly mask: Mask;
  readonly station: string;
  readonly archer: boolean;
  readonly cost: number;
  /** Cost so far plus a lower bound for the rest. */
  readonly bound: number;
  readonly from: Node | null;
}

/** Steps, stations and costs as the search needs them: what can follow what, and what is left at least. */
export class RouteGround {
  readonly first: Node;
  private readonly needs: readonly Mask[];
  private readonly full: Mask;
  private readonly modes: readonly Mode[];
  /** The cheapest to enter first. */
  private readonly stations: readonly StationWork[];

  constructor(private readonly input: RouteInput) {
    const { steps, changeCost } = input;
    const index = new Map(steps.map((step, i) => [step.id, i]));
    this.needs = steps.map((step) => this.maskOf(step.needs.map((id) => index.get(id)!)));
    this.full = this.maskOf(steps.map((_, i) => i));
    const names = [...new Set(steps.map(({ station }) => station))];
    this.modes = names.flatMap((station) =>
      [false, true].flatMap((archer): Mode[] => {
        const own = steps.flatMap((step, i) =>
          step.station === station && step.archer === archer ? [i] : [],
        );
        return own.length > 0 ? [{ station, archer, steps: own, mask: this.maskOf(own) }] : [];
      }),
    );
    const mode = (station: string, archer: boolean) =>
      this.modes.find((one) => one.station === station && one.archer === archer);
    this.stations = names
      .map((name) => ({
        name,
        withArcher: mode(name, true),
        alone: mode(name, false),
        cost: changeCost[name]!,
      }))
      .sort((a, b) => a.cost - b.cost);
    const station = input.start ?? '';
    const archer = input.startArcher ?? false;
    // What can be done where one stands costs nothing and is never worse: it is done first.
    const mask = this.closure(this.maskOf([]), mode(station, archer));
    this.first = { mask, station, archer, cost: 0, bound: 0, from: null };
  }

  isDone = ({ mask }: Node) => mask.every((word, i) => word === this.full[i]);

  key = ({ mask, station, archer }: Node) => `${mask.join()}|${station}|${archer}`;

  /** Every other place where something can be done now, with all of it done. */
  moves(node: Node): Node[] {
    const { changeCost, archerCallCost } = this.input;
    const { mask } = node;
    return this.modes.flatMap(({ station, archer, steps }, m): Node[] => {
      if (!steps.some((i) => this.isOpen(i, mask))) return [];
      const next = this.closure(mask, this.modes[m]);
      const cost =
        node.cost +
        (station === node.station ? 0 : changeCost[station]!) +
        (archer && !node.archer ? archerCallCost : 0);
      const bound = cost + this.rest(next, station, archer);
      return [{ mask: next, station, archer, cost, bound, from: node }];
    });
  }

  /** The order that leads to a node. */
  unwind(end: Node): RouteResult {
    const path: Node[] = [];
    for (let node: Node | null = end; node; node = node.from) path.unshift(node);
    const visits = path.flatMap(({ station, archer, from }): Visit[] => {
      const done: number[] = [];
      const mode = this.modes.find((one) => one.station === station && one.archer === archer);
      this.closure(from?.mask ?? this.maskOf([]), mode, done);
      const steps = done.map((i) => this.input.steps[i]!.id);
      return steps.length > 0 ? [{ station, archer, steps }] : [];
    });
    return { order: visits.flatMap((visit) => visit.steps), cost: end.cost, visits };
  }

  private maskOf(steps: readonly number[]): Mask {
    const words = Array<number>(Math.ceil(this.input.steps.length / BITS)).fill(0);
    for (const i of steps) words[Math.floor(i / BITS)]! |= 1 << (i % BITS);
    return words;
  }

  private isIn = (i: number, mask: Mask) => ((mask[Math.floor(i / BITS)]! >> (i % BITS)) & 1) === 1;

  private isOpen = (i: number, mask: Mask) =>
    !this.isIn(i, mask) && this.needs[i]!.every((word, w) => (word & ~mask[w]!) === 0);

  /** Everything that can be done without leaving: repeated, as a step may open the next. */
  private closure(mask: Mask, mode: Mode | undefined, done: number[] = []): Mask {
    const now = [...mask];
    for (let grew = mode !== undefined; grew;) {
      grew = false;
      for (const i of mode!.steps) {
        if (!this.isOpen(i, now)) continue;
        now[Math.floor(i / BITS)]! |= 1 << (i % BITS);
        done.push(i);
        grew = true;
      }
    }
    return now;
  }

  /**
   * Lower bound of what is left: every other station with work is entered once. One with work of both
   * kinds is entered twice, or the archer comes or goes while one is there: of `calls` more calls no
   * more than 2 · calls stations are spared so, and one more where the archer is here now.
   */
  private rest(mask: Mask, station: string, archer: boolean): number {
    const isLeft = (mode: Mode | undefined) =>
      mode !== undefined && mode.mask.some((word, w) => (word & ~mask[w]!) !== 0);
    let travel = 0;
    let calls = 0;
    const both: number[] = [];
    for (const { name, withArcher, alone, cost } of this.stations) {
      const [together, apart] = [isLeft(withArcher), isLeft(alone)];
      if (together && !archer) calls = 1;
      if (name === station || !(together || apart)) continue;
      travel += cost;
      if (together && apart) both.push(cost);
    }
    let least = Infinity;
    for (let m = calls; ; m++) {
      const twice = Math.max(0, both.length - 2 * m - (archer ? 1 : 0));
      // The cheapest stand first.
      const again = both.slice(0, twice).reduce((sum, cost) => sum + cost, 0);
      least = Math.min(least, m * this.input.archerCallCost + again);
      if (twice === 0) return travel + least;
    }
  }
}
