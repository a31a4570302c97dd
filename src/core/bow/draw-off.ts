import {
  chanceOfBest,
  pairedRanking,
  seeded,
  seedOf,
  shuffled,
  type PairedVote,
} from '../numerics';
import { answered, refused, type Outcome } from '../outcome';

/** What is asked after two bows were drawn; `speed` only where the archer wants it to count. */
export type DrawOffAspect = 'grip' | 'draw' | 'wall' | 'quiet' | 'hold' | 'speed';

export const DRAW_OFF_ASPECTS: readonly {
  readonly id: Exclude<DrawOffAspect, 'speed'>;
  readonly name: string;
  readonly ask: string;
}[] = [
  { id: 'grip', name: 'Grip', ask: 'Which lies better in the hand?' },
  { id: 'draw', name: 'Draw', ask: 'Which comes back more evenly?' },
  { id: 'wall', name: 'Wall', ask: 'Which stops the way you like it?' },
  { id: 'quiet', name: 'Quiet', ask: 'Which is quieter, in the ear and in the hand?' },
  { id: 'hold', name: 'Hold', ask: 'Which stands stiller on the aim?' },
];

export interface DrawOffMark {
  readonly aspect: Exclude<DrawOffAspect, 'speed'>;
  readonly first: string;
  readonly second: string;
  /** Id of the bow liked better; null for alike. */
  readonly better: string | null;
}

/** Two to five bows drawn one after another, set alike. */
export interface DrawOff {
  /** In the order they are drawn. */
  readonly bowIds: readonly string[];
  readonly speedCounts: boolean;
  /** The newest mark of a pair and aspect counts. */
  readonly marks: readonly DrawOffMark[];
}

/** The bow the archer brought, drawn beside the shop's; no bow of the shop has this id. */
export const OWN_BOW_ID = '::own';

export const DRAW_OFF_LEAST = 2;
export const DRAW_OFF_MOST = 5;

/**
 * Five marks of one pair come from one draw and hang together: each counts half a vote.
 * Shop rule.
 */
const MARK_WEIGHT = 0.5;

/**
 * The order the bows are drawn in: shuffled by archer and bows, so that no bow is always last;
 * the same whenever it is asked again.
 */
export const drawOffOrder = (archerId: string, bowIds: readonly string[]): string[] =>
  shuffled([...bowIds].sort(), seeded(seedOf([archerId, ...[...bowIds].sort()].join('|'))));

export interface DrawOffPlace {
  readonly bowId: string;
  /** 0 to 1: how likely it is the best of them, by these marks. */
  readonly chanceBest: number;
  readonly strength: number;
  readonly sigma: number;
  /** Marks in which it was liked better, alike (half) included, of those it took part in. */
  readonly liked: number;
  readonly of: number;
}

export interface DrawOffRanking {
  /** Best first. */
  readonly places: readonly DrawOffPlace[];
  /** Pairs nobody marked yet. */
  readonly openPairs: readonly (readonly [string, string])[];
  readonly sure: 'clear' | 'leaning' | 'open';
}

/** The first is called clear from here, leaning from the next and well before the second. Shop rule. */
const CLEAR = 0.85;
const LEANING = 0.6;
/** Less ahead of the next one than this, nobody is ahead. */
const AHEAD = 0.15;

/** Whether anybody can be called ahead; `chances` in the order of the places. */
function sureness(marks: number, chances: readonly number[]): DrawOffRanking['sure'] {
  const top = chances[0]!;
  // By strength the first: a chance under another's is nobody's lead.
  const next = Math.max(...chances.slice(1));
  if (marks === 0 || top - next < AHEAD) return 'open';
  return top >= CLEAR ? 'clear' : top >= LEANING ? 'leaning' : 'open';
}

/**
 * Ranking of the bows from marks by pairs (Bradley–Terry, see numerics/paired.ts). Speed takes
 * part only with `speedMps` given for both bows of a pair and `speedCounts` set.
 *
 * @returns a refusal for fewer than two or more than five bows, a mark of a bow not among them, of
 *   one bow against itself, or with a better one that is neither of the pair.
 */
export function rankDrawOff(
  { bowIds, marks, speedCounts }: DrawOff,
  speedMps: Readonly<Record<string, number>> = {},
): Outcome<DrawOffRanking> {
  if (bowIds.length < DRAW_OFF_LEAST || bowIds.length > DRAW_OFF_MOST)
    return refused('draw-off-size', 'Two to five bows can be drawn side by side.', 'bowIds');
  const wrong = badMark(marks);
  if (wrong) return wrong;
  const stranger = marks.findIndex((m) => !isAmong(bowIds)(m));
  if (stranger >= 0)
    return refused('unknown-bow', 'This mark is of a bow not drawn here.', `marks/${stranger}`);
  const counted = newest(marks);
  const at = (id: string) => bowIds.indexOf(id);
  const votes = counted.map(({ first, second, better }): PairedVote => ({
    first: at(first),
    second: at(second),
    share: better === null ? 0.5 : better === first ? 1 : 0,
    weight: MARK_WEIGHT,
  }));
  const pairs = pairsOf(bowIds);
  if (speedCounts) votes.push(...speedVotes(pairs, at, speedMps));
  const ranking = pairedRanking(bowIds.length, votes);
  const best = chanceOfBest(ranking, seeded(seedOf(bowIds.join('|'))));
  const places = bowIds
    .map((bowId, i): DrawOffPlace => {
      const own = counted.filter((m) => m.first === bowId || m.second === bowId);
      return {
        bowId,
        chanceBest: best[i]!,
        strength: ranking.strength[i]!,
        sigma: Math.sqrt(ranking.covariance[i]![i]!),
        liked: own.reduce(
          (sum, m) => sum + (m.better === null ? 0.5 : Number(m.better === bowId)),
          0,
        ),
        of: own.length,
      };
    })
    .sort((a, b) => b.strength - a.strength);
  return answered({
    places,
    openPairs: pairs.filter(([a, b]) => !counted.some((m) => isPair(m, a, b))),
    sure: sureness(
      counted.length,
      places.map(({ chanceBest }) => chanceBest),
    ),
  });
}

/** A mark that cannot be: one bow against itself, or liked better than both. */
function badMark(marks: readonly DrawOffMark[]) {
  for (const [i, { first, second, better }] of marks.entries()) {
    if (first === second)
      return refused(
        'same-bow',
        'A mark holds two different bows against each other.',
        `marks/${i}/second`,
      );
    if (better !== null && better !== first && better !== second)
      return refused(
        'better-is-neither',
        'The better one must be one of the two bows of the mark, or null for alike.',
        `marks/${i}/better`,
      );
  }
  return null;
}

const isAmong = (bowIds: readonly string[]) => (mark: DrawOffMark) =>
  bowIds.includes(mark.first) && bowIds.includes(mark.second);

/** A draw-off with the marks that count now: a bow taken out keeps its marks for when it comes back. */
export const drawnNow = (drawOff: DrawOff): DrawOff => ({
  ...drawOff,
  marks: drawOff.marks.filter(isAmong(drawOff.bowIds)),
});

export const isPair = (mark: DrawOffMark, a: string, b: string) =>
  (mark.first === a && mark.second === b) || (mark.first === b && mark.second === a);

/** The newest mark of every pair and aspect. */
export function newest(marks: readonly DrawOffMark[]): DrawOffMark[] {
  const byKey = new Map(
    marks.map((mark) => [[mark.aspect, ...[mark.first, mark.second].sort()].join('|'), mark]),
  );
  return [...byKey.values()];
}

export function pairsOf(ids: readonly string[]): [string, string][] {
  return ids.flatMap((a, i) => ids.slice(i + 1).map((b): [string, string] => [a, b]));
}

/** Half a vote to the faster; 3 m/s (10 fps) and more apart is a whole one. */
function speedVotes(
  pairs: readonly (readonly [string, string])[],
  at: (id: string) => number,
  speedMps: Readonly<Record<string, number>>,
): PairedVote[] {
  return pairs.flatMap(([a, b]) => {
    const [va, vb] = [speedMps[a], speedMps[b]];
    if (va === undefined || vb === undefined) return [];
    const share = Math.min(1, Math.max(0, 0.5 + (va - vb) / 6));
    return [{ first: at(a), second: at(b), share, weight: MARK_WEIGHT }];
  });
}
