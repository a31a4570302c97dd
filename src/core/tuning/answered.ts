import type { Hand } from '../bow';
import { adjustmentRule } from './adjustments';
import { paperResponse, type PaperEvent } from './response';

/** An answer of less than this part of what was expected is none. Shop rule. */
const ANSWER_PART = 0.25;
/** Shots tell a move only when it was to change the tear by this many of its own σ. */
const TELLING = 1.5;

/**
 * Moves that were not answered: the tear went the other way or stayed, where the response as it was
 * known before the move let expect a change that the shots around it could have shown.
 */
export function unanswered(history: readonly PaperEvent[], hand: Hand): number {
  let count = 0;
  history.forEach((event, i) => {
    if (event.kind !== 'move') return;
    const after = shotsFrom(history, i + 1, 1);
    const before = shotsFrom(history, i - 1, -1);
    if (after.length === 0 || before.length === 0) return;
    const { axis } = adjustmentRule(event.adjustment, hand);
    const known = paperResponse(history.slice(0, i), hand);
    const expected = known[axis].per[event.adjustment]! * event.amount;
    const middle = (shots: typeof after) =>
      shots.reduce((sum, shot) => sum + (axis === 'right' ? shot.rightMm : shot.upMm), 0) /
      shots.length;
    const sigma = known.scatterMm * Math.sqrt(1 / after.length + 1 / before.length);
    const telling = Math.abs(expected) >= TELLING * sigma;
    if (telling && (middle(after) - middle(before)) / expected < ANSWER_PART) count++;
  });
  return count;
}

/** Paper shots on one side of a move, up to the next move. */
function shotsFrom(history: readonly PaperEvent[], from: number, by: 1 | -1) {
  const shots: Extract<PaperEvent, { kind: 'shot' }>[] = [];
  for (let i = from; history[i]?.kind === 'shot'; i += by)
    shots.push(history[i] as (typeof shots)[number]);
  return shots;
}
