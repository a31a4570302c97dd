import type { Hand } from '../bow';
import { adjustmentRule } from './adjustments';
import { nothingAnswersLog, paperResponse, type PaperEvent, type Tear } from './response';

/** Nothing-answers so many times likelier: stop. Models.md section 7. */
const LIKELIER = Math.log(10);
/** One part that hardly answers is not a bow that answers nothing: so many moves are tried. Shop rule. */
const LEAST_MOVES = 3;
/** After so many moves what they took off is looked at by itself. */
const MOVES_TRIED = 5;
/** Nobody is sent round further than this while nothing answering is the likelier. */
const MOST_MOVES = 6;
/** Together they were to take off so much, and took off less than this part of it. */
const EXPECTED_MM = 6;
const TOOK_OFF_PART = 0.25;

export interface NothingAnswers {
  /** Natural logarithm of how many times likelier it is that no move changes anything. */
  readonly logRatio: number;
  /** Moves since the papers began or something else was changed. */
  readonly moves: number;
  readonly stop: boolean;
}

/**
 * Whether this bow answers at all: beside the model of the moves runs one in which none changes
 * anything, and after five moves what was expected of them is held against what they took off.
 */
export function nothingAnswers(history: readonly PaperEvent[], hand: Hand): NothingAnswers {
  const logRatio = nothingAnswersLog(history, hand);
  const here = history.slice(history.findLastIndex(({ kind }) => kind === 'fresh') + 1);
  const moves = here.filter(({ kind }) => kind === 'move').length;
  const shotSince = here.at(-1)?.kind === 'shot';
  const idle = moves >= MOVES_TRIED && shotSince && tookOffLittle(history, here, hand);
  return {
    logRatio,
    moves,
    stop: moves >= LEAST_MOVES && (logRatio >= (moves < MOST_MOVES ? LIKELIER : 0) || idle),
  };
}

/** What the moves were to take off by what was known before each, against what is gone. */
function tookOffLittle(
  history: readonly PaperEvent[],
  here: readonly PaperEvent[],
  hand: Hand,
): boolean {
  const start = history.length - here.length;
  let expected = 0;
  here.forEach((event, i) => {
    if (event.kind !== 'move') return;
    const { axis } = adjustmentRule(event.adjustment, hand);
    const { mean, per } = paperResponse(history.slice(0, start + i), hand)[axis];
    expected += Math.abs(mean) - Math.abs(mean + per[event.adjustment]! * event.amount);
  });
  const first = middle(
    here.slice(
      0,
      here.findIndex(({ kind }) => kind === 'move'),
    ),
  );
  const last = middle(here.slice(here.findLastIndex(({ kind }) => kind === 'move') + 1));
  if (!first || !last || expected < EXPECTED_MM) return false;
  const gone = Math.hypot(first.rightMm, first.upMm) - Math.hypot(last.rightMm, last.upMm);
  return gone < TOOK_OFF_PART * expected;
}

function middle(events: readonly PaperEvent[]): Tear | null {
  const shots = events.filter((event) => event.kind === 'shot');
  if (shots.length === 0) return null;
  const mean = (of: (shot: (typeof shots)[number]) => number) =>
    shots.reduce((sum, shot) => sum + of(shot), 0) / shots.length;
  return { rightMm: mean((shot) => shot.rightMm), upMm: mean((shot) => shot.upMm) };
}
