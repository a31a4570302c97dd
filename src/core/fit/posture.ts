import { write, type Mm, type ShopUnits } from '../units';

/** Where to look while the archer stands at full draw. */
export type PosturePlace =
  'bowArm' | 'elbow' | 'shoulders' | 'lean' | 'anchor' | 'stringToNose' | 'head';

/** What is seen there: right, or what too long or too short a draw does to it. */
export type PostureSeen = 'right' | 'tooLong' | 'tooShort';

export const POSTURE_SEEN: readonly PostureSeen[] = ['right', 'tooLong', 'tooShort'];

export interface PostureEntry {
  readonly id: PosturePlace;
  readonly name: string;
  readonly look: string;
  readonly signs: Readonly<Record<PostureSeen, string>>;
}

/** In the order the eye goes over an archer, from the bow to the head. */
export const POSTURE: readonly PostureEntry[] = [
  {
    id: 'bowArm',
    name: 'Bow arm',
    look: 'The elbow of the arm that holds the bow',
    signs: {
      right: 'straight, not locked; elbow turned out',
      tooLong: 'locked or rolled in, the string near the arm',
      tooShort: 'bent, pushing forward',
    },
  },
  {
    id: 'elbow',
    name: 'Drawing elbow',
    look: 'Line from the arrow through the drawing elbow, seen from the side',
    signs: {
      right: 'in line with the arrow or a touch above',
      tooLong: 'behind the line, hanging low or wrapped round',
      tooShort: 'in front of the line, sticking out',
    },
  },
  {
    id: 'shoulders',
    name: 'Shoulders',
    look: 'Both shoulders from behind',
    signs: {
      right: 'low and level',
      tooLong: 'bow shoulder pushed up or out of its seat',
      tooShort: 'hunched, pulled together',
    },
  },
  {
    id: 'lean',
    name: 'Lean',
    look: 'Head over belt over feet, from the side',
    signs: {
      right: 'upright',
      tooLong: 'leaning back, hip towards the target',
      tooShort: 'leaning into the bow',
    },
  },
  {
    id: 'anchor',
    name: 'Anchor',
    look: 'The drawing hand at the jaw',
    signs: {
      right: 'settled at the jaw, at the mouth’s corner',
      tooLong: 'behind the mouth’s corner, towards the ear',
      tooShort: 'in front of the mouth’s corner, floating',
    },
  },
  {
    id: 'stringToNose',
    name: 'String and nose',
    look: 'Where the string touches the face',
    signs: {
      right: 'touches the tip of the nose',
      tooLong: 'lies along the cheek, past the nose',
      tooShort: 'does not reach the nose',
    },
  },
  {
    id: 'head',
    name: 'Head',
    look: 'The head turned to the target',
    signs: {
      right: 'upright, turned only',
      tooLong: 'tipped back, chin up',
      tooShort: 'stretched forward to the string',
    },
  },
];

export interface PostureLook {
  readonly place: PosturePlace;
  readonly seen: PostureSeen;
}

export interface PostureEvidence {
  readonly right: number;
  readonly tooLong: number;
  readonly tooShort: number;
  /** What the eye asks for; `mixed` when signs point both ways. */
  readonly asks: 'nothing' | 'shorter' | 'longer' | 'mixed' | 'right';
  /** Where number and eye contradict each other: a sentence; null where they do not. */
  readonly contradiction: string | null;
}

/** Further from the bow in hand than this, the number itself asks for another length. */
const FELT_MM = 6.35;

/**
 * What is seen at full draw, held beside the number and never mixed into it (docs/models.md section 1).
 * The eye judges the bow in hand, the number the archer: a bow that looks too long while the
 * number wants one as long or longer is a contradiction, and the other way round.
 *
 * @param looks the newest look at each place.
 * @param drawn draw length of the bow in hand, mm; null when not noted: then no contradiction is told.
 * @param number consensus and its σ, mm; null when nothing is measured.
 */
export function postureEvidence(
  looks: readonly PostureLook[],
  drawn: Mm | null,
  number: { readonly drawLengthMm: Mm; readonly sigmaMm: Mm } | null,
  shop: ShopUnits,
): PostureEvidence {
  const count = (seen: PostureSeen) => looks.filter((look) => look.seen === seen).length;
  const [right, tooLong, tooShort] = [count('right'), count('tooLong'), count('tooShort')];
  const asks = asked(right, tooLong, tooShort);
  const counts = { right, tooLong, tooShort, asks };
  if (drawn === null || number === null) return { ...counts, contradiction: null };
  const off = number.drawLengthMm - drawn;
  const say = (mm: number) => write(mm, 'length', shop);
  const eye = `at ${say(drawn)} the eye sees`;
  const says = `the readings say ${say(number.drawLengthMm)}`;
  const least = Math.max(FELT_MM, number.sigmaMm);
  if (asks === 'shorter' && off > -FELT_MM / 2)
    return {
      ...counts,
      contradiction: `Number and eye contradict each other: ${eye} a draw too long, ${says}. Measure again, and let the archer draw a shorter bow.`,
    };
  if (asks === 'longer' && off < FELT_MM / 2)
    return {
      ...counts,
      contradiction: `Number and eye contradict each other: ${eye} a draw too short, ${says}. Measure again, and let the archer draw a longer bow.`,
    };
  if (asks === 'right' && Math.abs(off) > least)
    return {
      ...counts,
      contradiction: `Number and eye contradict each other: ${eye} a draw that fits, ${says}. Measure again before a module is moved.`,
    };
  return { ...counts, contradiction: null };
}

/** Two signs one way and none the other, or more than twice as many: one alone may be a habit. */
function asked(right: number, long: number, short: number): PostureEvidence['asks'] {
  const seen = right + long + short;
  if (seen === 0) return 'nothing';
  if (long >= 2 && long > 2 * short) return 'shorter';
  if (short >= 2 && short > 2 * long) return 'longer';
  if (long > 0 && short > 0) return 'mixed';
  return right >= 3 ? 'right' : 'nothing';
}
