import type { BareShaftAdvice } from './bare-shaft';
import type { PaperTuneResult } from './paper-tune';
import type { WalkBackResult } from './walk-back';

/** What asks for a move of the rest, in the order that prevails: paper, bare shafts near, the line far. */
type RestVoice = 'paper' | 'bare' | 'line';

interface Contradiction {
  readonly prevails: RestVoice;
  /** Ask for the opposite move of the rest. */
  readonly against: readonly RestVoice[];
}

/**
 * Whether paper, bare shafts and the walk-back line ask for opposite moves of the rest, and which of
 * them is followed (docs/models.md section 7). A small move that only asks for an answer is no vote.
 *
 * @returns null where at most one way is asked for.
 */
export function restContradiction(
  paper: Pick<PaperTuneResult, 'advice'>,
  bare: Pick<BareShaftAdvice, 'state' | 'restMm'>,
  line: Pick<WalkBackResult, 'restMm'> | null,
): Contradiction | null {
  const { advice } = paper;
  const votes: readonly (readonly [RestVoice, number])[] = [
    ['paper', advice?.adjustment === 'restSideways' ? Math.sign(advice.amount) : 0],
    ['bare', bare.state === 'adjust' ? Math.sign(bare.restMm) : 0],
    ['line', Math.sign(line?.restMm ?? 0)],
  ];
  const first = votes.find(([, side]) => side !== 0);
  if (!first) return null;
  const against = votes.filter(([, side]) => side === -first[1]).map(([voice]) => voice);
  return against.length > 0 ? { prevails: first[0], against } : null;
}
