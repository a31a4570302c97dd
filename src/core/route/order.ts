import type { RouteInput, RouteResult } from './types';
import { answered, refused, type Outcome } from '../outcome';
import { RouteGround, type Node } from './ground';
import { Heap } from './heap';

/** Sets of finished steps looked at before the cheapest order is given up. */
const MOST_LOOKS = 100_000;
/** A plan has to stand in a moment: after so many, a good order will do. */
const PLAN_LOOKS = 4_000;
/** Orders followed side by side where the cheapest is not found. */
const SIDE_BY_SIDE = 200;

/**
 * The cheapest workable order of steps over stations and calls of the archer: exact, by A* over
 * the sets of finished steps (docs/models.md section 12). Doing every step that is possible where one
 * stands is never worse, so a move is always to another station or to or from the archer.
 *
 * @returns a refusal for unknown needs, unknown stations, a cycle, or where there are too many orders to
 *   find the cheapest within two seconds or so.
 */
export function bestRoute(input: RouteInput): Outcome<RouteResult> {
  const wrong = misuse(input);
  if (wrong) return wrong;
  const ground = new RouteGround(input);
  const found = cheapest(ground, MOST_LOOKS);
  if (found === 'tooMany')
    return refused(
      'too-many-orders',
      `These ${input.steps.length} steps can be done in too many orders to find the cheapest: say what needs what, or leave steps out.`,
      'steps',
    );
  return found ? answered(ground.unwind(found)) : cycle(input);
}

/**
 * A workable order that is cheap: the cheapest where it is soon found, else the best of many followed
 * side by side.
 *
 * @returns the refusals of `bestRoute`, but never that there are too many orders.
 */
export function workableRoute(input: RouteInput): Outcome<RouteResult> {
  const wrong = misuse(input);
  if (wrong) return wrong;
  const ground = new RouteGround(input);
  const found = cheapest(ground, PLAN_LOOKS);
  const end = found === 'tooMany' ? sideBySide(ground) : found;
  return end ? answered(ground.unwind(end)) : cycle(input);
}

function cheapest(ground: RouteGround, most: number): Node | null | 'tooMany' {
  const queue = new Heap<Node>((node) => node.bound);
  const best = new Map<string, number>();
  queue.push(ground.first);
  let looked = 0;
  for (let node = queue.pop(); node; node = queue.pop()) {
    if (ground.isDone(node)) return node;
    if (++looked > most) return 'tooMany';
    const key = ground.key(node);
    if ((best.get(key) ?? Infinity) <= node.cost) continue;
    best.set(key, node.cost);
    for (const next of ground.moves(node)) queue.push(next);
  }
  return null;
}

/** Beam search: of all orders equally long the most promising go on. */
function sideBySide(ground: RouteGround): Node | null {
  let best: Node | null = null;
  let beam: Node[] = [ground.first];
  while (beam.length > 0) {
    const next = new Map<string, Node>();
    for (const node of beam.flatMap((one) => ground.moves(one))) {
      if (best && node.bound >= best.cost) continue;
      if (ground.isDone(node)) best = node;
      else {
        const key = ground.key(node);
        if ((next.get(key)?.cost ?? Infinity) > node.cost) next.set(key, node);
      }
    }
    beam = [...next.values()].sort((a, b) => a.bound - b.bound).slice(0, SIDE_BY_SIDE);
  }
  return best;
}

function cycle({ steps }: RouteInput) {
  const stuck = steps.findIndex((step) => step.needs.length > 0);
  return refused(
    'cycle',
    'Some steps need each other in a circle; none of them can be first.',
    `steps/${stuck}/needs`,
  );
}

function misuse(input: RouteInput) {
  const index = new Map(input.steps.map((step, i) => [step.id, i]));
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
