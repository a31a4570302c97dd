import { answered, refused, type Outcome } from '../outcome';

export interface RouteStep {
  readonly id: string;
  readonly station: string;
  readonly archer: boolean;
  readonly needs: readonly string[];
}

export interface RouteInput {
  readonly steps: readonly RouteStep[];
  /** Station one stands at to begin with; nowhere when absent. */
  readonly start?: string;
  /** The archer is there to begin with. */
  readonly startArcher?: boolean;
  /** Paid on entering a station. */
  readonly changeCost: Readonly<Record<string, number>>;
  /** Paid when the archer is called to a step while not there. */
  readonly archerCallCost: number;
}

export interface Visit {
  readonly station: string;
  readonly archer: boolean;
  readonly steps: readonly string[];
}

interface RouteResult {
  readonly order: readonly string[];
  readonly cost: number;
  readonly visits: readonly Visit[];
}

interface Node {
  readonly mask: bigint;
  readonly station: string;
  readonly archer: boolean;
  readonly cost: number;
  /** Cost so far plus a lower bound for the rest. */
  readonly bound: number;
  readonly from: Node | null;
}

/**
 * The cheapest workable order of steps over stations and calls of the archer: exact, by A* over
 * the sets of finished steps (docs/models.md section 12). Doing every step that is possible where one
 * stands is never worse, so a move is always to another station or to or from the archer.
 *
 * @returns a refusal for unknown needs, unknown stations or a cycle.
 */
export function bestRoute(input: RouteInput): Outcome<RouteResult> {
  const { steps } = input;
  const index = new Map(steps.map((step, i) => [step.id, i]));
  const wrong = misuse(input, index);
  if (wrong) return wrong;
  const needs = steps.map((step) => step.needs.reduce((m, id) => m | bit(index.get(id)!), 0n));
  const full = (1n << BigInt(steps.length)) - 1n;
  const open = (i: number, mask: bigint) => !(mask & bit(i)) && !(needs[i]! & ~mask);
  // What can be done where one stands costs nothing and is never worse: it is done first.
  const first: Node = {
    mask: closure(0n, input.start ?? '', input.startArcher ?? false, steps, needs),
    station: input.start ?? '',
    archer: input.startArcher ?? false,
    cost: 0,
    bound: 0,
    from: null,
  };
  const queue: Node[] = [first];
  const best = new Map<string, number>();
  while (queue.length > 0) {
    const node = pop(queue);
    if (node.mask === full) return answered(unwind(node, input, needs));
    const key = `${node.mask.toString(36)}|${node.station}|${node.archer}`;
    if ((best.get(key) ?? Infinity) <= node.cost) continue;
    best.set(key, node.cost);
    const modes = new Map<string, RouteStep>();
    steps.forEach((step, i) => {
      if (open(i, node.mask)) modes.set(`${step.station}|${step.archer}`, step);
    });
    for (const { station, archer } of modes.values()) {
      const mask = closure(node.mask, station, archer, steps, needs);
      const cost =
        node.cost +
        (station === node.station ? 0 : input.changeCost[station]!) +
        (archer && !node.archer ? input.archerCallCost : 0);
      const bound = cost + rest(mask, station, archer, input);
      push(queue, { mask, station, archer, cost, bound, from: node });
    }
  }
  const stuck = steps.find((step) => step.needs.length > 0)!;
  return refused(
    'cycle',
    'Some steps need each other in a circle; none of them can be first.',
    `steps/${index.get(stuck.id)}/needs`,
  );
}

const bit = (i: number) => 1n << BigInt(i);

function misuse(input: RouteInput, index: Map<string, number>) {
  for (const [i, step] of input.steps.entries()) {
    if (index.get(step.id) !== i)
      return refused('duplicate-step', `Two steps are called ${step.id}.`, `steps/${i}/id`);
    if (input.changeCost[step.station] === undefined) {
      return refused(
        'unknown-station',
        `No cost is given for the station ${step.station}.`,
        `steps/${i}/station`,
      );
    }
    const unknown = step.needs.find((id) => !index.has(id));
    if (unknown)
      return refused(
        'unknown-need',
        `${step.id} needs ${unknown}, which is not among the steps.`,
        `steps/${i}/needs`,
      );
  }
  return null;
}

/** Everything that can be done without leaving: repeated, as a step may open the next. */
function closure(
  mask: bigint,
  station: string,
  archer: boolean,
  steps: readonly RouteStep[],
  needs: readonly bigint[],
  done: (i: number) => void = () => {},
): bigint {
  let now = mask;
  for (let grew = true; grew;) {
    grew = false;
    for (let i = 0; i < steps.length; i++) {
      const step = steps[i]!;
      if (now & bit(i) || needs[i]! & ~now) continue;
      if (step.station !== station || step.archer !== archer) continue;
      now |= bit(i);
      done(i);
      grew = true;
    }
  }
  return now;
}

/** Lower bound: every other station still needed is entered once; the archer called once. */
function rest(mask: bigint, station: string, archer: boolean, input: RouteInput): number {
  const left = input.steps.filter((_, i) => !(mask & bit(i)));
  const stations = new Set(left.map((step) => step.station));
  stations.delete(station);
  const travel = [...stations].reduce((sum, name) => sum + input.changeCost[name]!, 0);
  return travel + (!archer && left.some((step) => step.archer) ? input.archerCallCost : 0);
}

function unwind(end: Node, input: RouteInput, needs: readonly bigint[]): RouteResult {
  const path: Node[] = [];
  for (let node: Node | null = end; node; node = node.from) path.unshift(node);
  const visits = path.flatMap((node): Visit[] => {
    const ids: string[] = [];
    const note = (i: number) => ids.push(input.steps[i]!.id);
    closure(node.from?.mask ?? 0n, node.station, node.archer, input.steps, needs, note);
    return ids.length > 0 ? [{ station: node.station, archer: node.archer, steps: ids }] : [];
  });
  return { order: visits.flatMap((visit) => visit.steps), cost: end.cost, visits };
}

/** Binary heap on the bound. */
function push(heap: Node[], node: Node): void {
  heap.push(node);
  let i = heap.length - 1;
  while (i > 0) {
    const parent = (i - 1) >> 1;
    if (heap[parent]!.bound <= heap[i]!.bound) return;
    [heap[parent], heap[i]] = [heap[i]!, heap[parent]!];
    i = parent;
  }
}

function pop(heap: Node[]): Node {
  const top = heap[0]!;
  const last = heap.pop()!;
  if (heap.length === 0) return top;
  heap[0] = last;
  for (let i = 0; ;) {
    const [left, right] = [2 * i + 1, 2 * i + 2];
    let least = i;
    if (left < heap.length && heap[left]!.bound < heap[least]!.bound) least = left;
    if (right < heap.length && heap[right]!.bound < heap[least]!.bound) least = right;
    if (least === i) return top;
    [heap[i], heap[least]] = [heap[least]!, heap[i]!];
    i = least;
  }
}
