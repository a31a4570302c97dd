import { limbBoltAdvice, modelNumber, standingTurns } from '../job';
import { N_PER_POUND, write } from '../units';
import { fresh, speedMove, type Ground, type Said } from './action-ground';

/** Turns of both bolts from this bow's own weighings; a bow without a limit of turns is weighed alone. */
export function weightAction(ground: Ground): Said {
  const { snapshot, derived } = ground;
  const { bow, shop, job } = snapshot;
  const { units } = shop;
  const { history, context } = derived;
  const base = {
    id: 'weight' as const,
    title: 'Peak weight',
    keys: ['limbTurnsUpper', 'limbTurnsLower', 'peakWeight'] as const,
    press: false,
  };
  const advice = limbBoltAdvice(snapshot, derived);
  const stood = standingTurns(history);
  if (bow!.maxTurns === null)
    return {
      ...base,
      say: [
        'No limit of turns is known of this bow: weigh it, and turn nothing until its manual is found.',
      ],
      moves: [],
    };
  if (!advice?.ok) return { ...base, say: advice ? [advice.message] : [], moves: [] };
  const more = advice.turns - (stood ?? 0);
  const began = modelNumber(job.like, 'limbTurnsUpper');
  const peak = fresh('peakWeight', ground);
  const say = [
    Math.abs(more) < 0.13
      ? 'The bolts stand where they should: weigh'
      : `${write(Math.abs(more), 'turns', units)} ${more > 0 ? 'out' : 'in'}, both bolts alike, two at most at a time; then weigh`,
    ...(peak === null && context.like?.sameBow && began !== null
      ? [`On the model they stood ${write(began, 'turns', units)} out; this bow’s scale decides`]
      : []),
  ];
  const change = peak === null ? null : advice.predictedN - peak;
  return {
    ...base,
    say,
    moves: [
      `peak weight to about ${write(advice.predictedN, 'force', units)} (± ${write(advice.sigmaN, 'force', units)})`,
      `holding weight to about ${write(advice.predictedN * (1 - bow!.letOff), 'force', units)}`,
      ...(change === null ? [] : speedMove(ground, 'perPoundMps', change / N_PER_POUND)),
    ],
  };
}
