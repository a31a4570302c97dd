import { refused, type Refused } from '../outcome';

/** How a bow that was not bought here came: new in its box, or used. */
export type CameAs = 'box' | 'used';

export const CAME_AS: readonly { readonly id: CameAs; readonly name: string }[] = [
  { id: 'box', name: 'new, in its box' },
  { id: 'used', name: 'used' },
];

export type LookId =
  | 'limbs'
  | 'pockets'
  | 'bolts'
  | 'riser'
  | 'cams'
  | 'clips'
  | 'string'
  | 'cables'
  | 'servings'
  | 'guard'
  | 'dryFire'
  | 'missing';

/** Sound; not; or it cannot be seen without taking something apart. */
export type Seen = 'sound' | 'unsound' | 'unseen';

/** A place of the bow as somebody looked at it. */
export interface LookSeen {
  readonly seen: Seen;
  /** What was found; may be empty. */
  readonly words: string;
  readonly who: string;
  /** UTC instant. */
  readonly at: string;
}

/** A bow that was not bought here: how it came, what was seen of it, what of the work is wanted. */
export interface Elsewhere {
  readonly came: CameAs;
  readonly look: Readonly<Partial<Record<LookId, LookSeen>>>;
  /** Steps the archer does themselves or does not want, by id. */
  readonly leftOut: readonly string[];
}

/** One place of the guided look, in the order of eye and finger: from the limbs' tips to what is missing. */
export interface LookPlace {
  readonly id: LookId;
  readonly name: string;
  readonly how: string;
  readonly sound: string;
  readonly unsound: string;
  /** Nothing is drawn, pressed or turned while it is so. */
  readonly stops: boolean;
  /** What is done about it. */
  readonly mend: string;
}

/** The usual look before anybody draws a bow that nobody here knows (the-job of the trade; shop rule). */
export const LOOKS: readonly LookPlace[] = [
  {
    id: 'limbs',
    name: 'Limbs',
    how: 'Both sides and both edges, a fingernail and cotton wool along the whole length',
    sound: 'smooth, one colour, nothing catches',
    unsound: 'a crack, a splinter, a lifted layer, a white line across',
    stops: true,
    mend: 'Both limbs are replaced, a matched pair of the maker’s; nothing is glued.',
  },
  {
    id: 'pockets',
    name: 'Limb pockets',
    how: 'Where each limb goes into its pocket, with a light from the side',
    sound: 'limb seated flat, pocket whole, both alike',
    unsound: 'a hairline from the pocket’s corner, a gap under one limb, a limb that sits askew',
    stops: true,
    mend: 'The pocket, or the limb that left it, is replaced; the maker’s manual says how it is seated.',
  },
  {
    id: 'bolts',
    name: 'Limb bolts',
    how: 'Looked at, not turned: how far each stands out, head and thread',
    sound: 'both stand alike, heads whole, threads covered',
    unsound: 'one stands further out, threads show, a head is rounded or bent',
    stops: true,
    mend: 'Let into a press first; bolt and barrel nut are replaced in pairs, the limit of turns found out.',
  },
  {
    id: 'riser',
    name: 'Riser',
    how: 'Round the grip, the windows and the plunger hole, along every edge',
    sound: 'finish whole, straight from pocket to pocket',
    unsound: 'a hairline, a bend, a filed or drilled place',
    stops: true,
    mend: 'A riser that is cracked or bent is not repaired.',
  },
  {
    id: 'cams',
    name: 'Cams, modules and axles',
    how: 'Spun by eye from behind and from the side; every module screw',
    sound: 'rims straight, axles centred, a module on every cam that has one, at the same place',
    unsound:
      'a bent rim, a cam that wobbles, an axle that stands out on one side, a module on one cam only',
    stops: true,
    mend: 'A bent cam is replaced with its axle; modules are set alike on both cams first.',
  },
  {
    id: 'clips',
    name: 'Clips of the axles',
    how: 'One at each end of each axle, in its groove all round',
    sound: 'four clips, none opened',
    unsound: 'one is missing, sprung open or beside its groove',
    stops: true,
    mend: 'A new clip of the maker’s size; an opened one is not closed again.',
  },
  {
    id: 'string',
    name: 'String',
    how: 'Strand by strand between the servings, and in the tracks of both cams',
    sound: 'waxed, round, in its tracks',
    unsound: 'a broken strand, fuzz that does not lie down, out of its track',
    stops: true,
    mend: 'A string with a broken strand is replaced in the press; back in its track only in the press.',
  },
  {
    id: 'cables',
    name: 'Cables',
    how: 'The same, and where they cross and run on the guard',
    sound: 'whole, in their tracks, not rubbing',
    unsound: 'a broken strand, a worn place, a cable beside its track',
    stops: true,
    mend: 'Cables are replaced with the string, as a set.',
  },
  {
    id: 'servings',
    name: 'Servings and end loops',
    how: 'At the nock, on the cams, at every loop’s end',
    sound: 'tight, nothing turns',
    unsound: 'parted, wandering, a thread hanging',
    stops: false,
    mend: 'Served anew before it is shot much; the nock’s serving before the loop is tied.',
  },
  {
    id: 'guard',
    name: 'Cable guard',
    how: 'Rod, slide or rollers: straight, tight, running freely',
    sound: 'straight and tight, the slide or rollers run',
    unsound: 'bent, loose, a roller that stands',
    stops: false,
    mend: 'Straight and running before the cams are looked at: it leans them.',
  },
  {
    id: 'dryFire',
    name: 'Signs of a dry fire',
    how: 'Ask whether it was ever let go without an arrow; then limb tips, cam rims, axles and string once more',
    sound: 'nobody knows of one, and nothing shows it',
    unsound:
      'told, or a nick in the string, a dent at a limb’s tip, a rim that is bent, a creak when it is pressed by hand',
    stops: true,
    mend: 'Handled as cracked until maker or a bow workshop has looked at limbs, cams and axles off the bow.',
  },
  {
    id: 'missing',
    name: 'What is missing',
    how: 'Screws of rest and sight, stops, string stop, guard, manual, keys',
    sound: 'everything the maker delivers is there',
    unsound: 'something is not there: say what',
    stops: false,
    mend: 'Ordered with the kit; without its manual no limit of turns is guessed.',
  },
];

const placeOf = (id: LookId): LookPlace => LOOKS.find((look) => look.id === id)!;

/** Whether anything may be drawn, pressed or turned on a bow from elsewhere. */
interface LookState {
  /** Places nobody looked at yet. */
  readonly open: readonly LookPlace[];
  /** Places that stop the work: not sound, or not to be seen where that matters. */
  readonly stops: readonly LookPlace[];
  /** Places not sound that are seen to on the way. */
  readonly cares: readonly LookPlace[];
}

/** @returns null for a bow of this shop: it was looked over when it came. */
export function lookState({
  elsewhere,
}: {
  readonly elsewhere: Elsewhere | null;
}): LookState | null {
  if (!elsewhere) return null;
  const { look } = elsewhere;
  const isOff = ({ id }: LookPlace) => look[id] !== undefined && look[id].seen !== 'sound';
  return {
    open: LOOKS.filter(({ id }) => look[id] === undefined),
    stops: LOOKS.filter((place) => place.stops && isOff(place)),
    cares: LOOKS.filter((place) => !place.stops && isOff(place)),
  };
}

/** Why nobody draws it; null where it was looked over and is sound. */
export function notDrawn(job: { readonly elsewhere: Elsewhere | null }): Refused | null {
  const state = lookState(job);
  if (!state) return null;
  const [stop] = state.stops;
  if (stop)
    return refused(
      'stopped-by-look',
      `Nobody draws it: ${stop.name.toLowerCase()} ${seenWords(job.elsewhere!.look[stop.id]!)}. ${stop.mend} Look at it again once that is done.`,
    );
  const count = state.open.length;
  return count === 0
    ? null
    : refused(
        'not-looked-over',
        `Nobody draws it yet: ${count === 1 ? 'one place is' : `${count} places are`} still to be looked at, next ${state.open[0]!.name.toLowerCase()}.`,
      );
}

const seenWords = ({ seen, words }: LookSeen) =>
  [seen === 'unsound' ? 'not sound' : 'not to be seen', words && `(${words})`]
    .filter(Boolean)
    .join(' ');

/** What a place is called: "limb pockets". */
export const lookName = (id: LookId): string => placeOf(id).name;

/** Read while the bow lies still: they need neither a drawn nor a pressed bow. */
export const READ_AT_REST = ['serialNumber', 'foundModule', 'foundBrace', 'foundAxles'] as const;

/** Steps that are done on every bow that goes out of the door with this shop's sheet. */
export const ALWAYS_DONE = ['asItCame', 'tracks', 'fasteners'] as const;
