import type { How, Pitch, Tip } from './types';

/** What a bow did after the shot, sideways and forward or back. */
export interface ReactionSeen {
  readonly tip: Tip;
  readonly tipHow: How;
  readonly pitch: Pitch;
  readonly pitchHow: How;
}

interface ReactionChoice extends ReactionSeen {
  /** "still", "left", "left-clear", "forward", "left+forward-clear". */
  readonly id: string;
  readonly name: string;
}

const TIPS: readonly Tip[] = ['stays', 'left', 'right'];
const PITCHES: readonly Pitch[] = ['stays', 'forward', 'back'];
const HOWS: readonly How[] = ['slight', 'clear'];
const VERB = {
  left: 'tips left',
  right: 'tips right',
  forward: 'rolls forward',
  back: 'kicks back',
};

const idOf = (did: Tip | Pitch, how: How) => (how === 'clear' ? `${did}-clear` : did);
const say = (did: Tip | Pitch, how: How) =>
  did === 'stays' ? '' : how === 'clear' ? `clearly ${VERB[did]}` : VERB[did];

export function reactionId({ tip, tipHow, pitch, pitchHow }: ReactionSeen): string {
  const parts = [
    tip !== 'stays' && idOf(tip, tipHow),
    pitch !== 'stays' && idOf(pitch, pitchHow),
  ].filter(Boolean);
  return parts.length > 0 ? parts.join('+') : 'still';
}

const hows = (did: Tip | Pitch) => (did === 'stays' ? HOWS.slice(0, 1) : HOWS);

/** Every reaction there is, the quiet one first. */
export const REACTIONS: readonly ReactionChoice[] = TIPS.flatMap((tip) =>
  hows(tip).flatMap((tipHow) =>
    PITCHES.flatMap((pitch) =>
      hows(pitch).map((pitchHow) => {
        const seen = { tip, tipHow, pitch, pitchHow };
        const said = [say(tip, tipHow), say(pitch, pitchHow)].filter(Boolean);
        return {
          ...seen,
          id: reactionId(seen),
          name: said.length > 0 ? said.join(' and ') : 'stays',
        };
      }),
    ),
  ),
);

/** @returns null for a word that is no reaction. */
export const reactionOf = (id: string | null): ReactionSeen | null =>
  REACTIONS.find((reaction) => reaction.id === id) ?? null;
