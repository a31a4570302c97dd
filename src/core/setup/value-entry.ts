import type { BowRecord } from '../bow';
import type { QuantityName, UnitName } from '../units';
import type { TargetContext } from './target-context';
import type { HowFigure } from './figure';
import type { ReadingOf } from './reading';
import type { Stage } from './stages';

/** Places on the bow map. */
export type MapPart =
  | 'camTop'
  | 'camBottom'
  | 'limbTop'
  | 'limbBottom'
  | 'string'
  | 'cables'
  | 'peep'
  | 'nock'
  | 'rest'
  | 'sight'
  | 'arrow'
  | 'bar'
  | 'quiver'
  | 'grip';

/**
 * How a value is taken: a quantity, a tick, a choice, a tear (right, up), a group on the target, a
 * confirmed mark (distance, pin below the first), a drift (mm for each metre), or a few words.
 */
export type ValueKind =
  QuantityName | 'check' | 'tear' | 'group' | 'choice' | 'mark' | 'drift' | 'text';

/** Under which heading a setting stands on the build sheet. */
export type SheetGroup = 'limbs' | 'string' | 'rest' | 'peep' | 'sight' | 'arrow' | 'bars';

/** A setting somebody far away has to get back to, from the paper alone. */
export interface BackTo {
  /** From where to where it is measured, in words. */
  readonly datum: string | ((context: Pick<TargetContext, 'kit' | 'shop'>) => string);
  /** Where its part of the bow does not tell. */
  readonly group?: SheetGroup;
}

/** What a reading should be, and why. */
export interface Target {
  readonly si: number;
  readonly low: number;
  readonly high: number;
  readonly reason: string;
  readonly source:
    'model' | 'old bow' | 'bow' | 'part' | 'calculation' | 'shop rule' | 'technician';
}

/** A target as its maker names it; the band is the value's own tolerance where it names none. */
export type TargetParts = Omit<Target, 'low' | 'high'> & Partial<Target>;

/** Readings of a value taken while everything of `others` stood as it stands now. */
export type Since = (key: string, others: readonly string[]) => readonly ReadingOf<string>[];

/** Everything the house knows of one thing a finished bow consists of. `K`: the keys there are. */
export interface EntryOf<K extends string> {
  readonly name: string;
  /** Two words at most, for the bow map. */
  readonly short: string;
  readonly kind: ValueKind;
  /** ± in SI within which a reading agrees with its target, and two readings with each other. */
  readonly tolerance: number;
  /** Possible readings, SI; outside is refused at the field. */
  readonly min?: number;
  readonly max?: number;
  /** The bow's own limit where it is nearer than `max`; null where it is not known. */
  readonly most?: (bow: BowRecord) => number | null;
  /** Added to what is read before it is the value, mm. */
  readonly added?: number;
  /** Stands at 0 until something is noted: then already its first reading is a change. */
  readonly fromZero?: true;
  /** More belongs to it than a number or a word: its own command takes it. */
  readonly takenWhole?: true;
  /** Taken where somebody wants it; no step asks for it. */
  readonly optional?: true;
  /** Whether this bow has it; every one has what says nothing here. */
  readonly applies?: (context: Pick<TargetContext, 'bow' | 'kit'>) => boolean;
  /** What it rests on: other values and mounted parts. Each place says why, where it is not plain. */
  readonly dependsOn: readonly K[];
  /** The least change of this value that what rests on it notices, SI; its tolerance where left out. */
  readonly notice?: number;
  /** Causes of which this value notices another amount than the rest do, SI. */
  readonly over?: Readonly<Partial<Record<K, number>>>;
  readonly stage: Stage;
  readonly part: MapPart;
  /** How it is measured, in one line, with its drawing. */
  readonly how: string;
  readonly figure?: HowFigure;
  readonly tool: string;
  /** Who has to be there: the archer draws or looks, or the technician alone. */
  readonly archer?: true;
  /** Shown at its part on the bow map, in this order among the part's values. */
  readonly onMap?: number;
  /** Unit of a number typed bare, where the shop's own would be unusual. */
  readonly bareUnit?: UnitName;
  /** Written with this many decimals instead of the shop's usual. */
  readonly decimals?: number;
  /** What its turns are called: twists of a string, marks of a base, discs of a bar. */
  readonly spokenAs?: 'twist' | 'mark' | 'disc';
  /** What a change of it is called in "… after …": "the string was twisted". */
  readonly changed: string;
  readonly choices?: readonly { readonly id: string; readonly name: string }[];
  /** What it should be on this bow; null where nothing is wanted but the reading itself. */
  readonly target?: (context: TargetContext, since: Since) => TargetParts | null;
  /**
   * How far from its first figure paper may put it before another cause is looked for, mm or turns;
   * its tolerance where left out. Shop rule; the band hangs on the figure, never on where a move ended.
   */
  readonly paperBand?: number;
  /** What is done where it is out: with too little, with too much. */
  readonly mend?: readonly [string, string];
  /** A change of it makes earlier papers say nothing of later ones. */
  readonly startsPapers?: true;
  /**
   * What a bow made like another takes over of it: what is the archer's own on any bow, what is the same
   * only on the same kind of bow, and what is no more than where one begins. What says nothing is held
   * beside it alone.
   */
  readonly carries?: 'always' | 'sameBow' | 'start';
  /** Stands among the settings of the build sheet; what has none is kept in its record alone. */
  readonly backTo?: BackTo;
}

/**
 * Values of one part of the bow. Which keys there are is told by the values themselves, so the names
 * in `dependsOn` are held against them where all come together, in the registry.
 */
export const values = <const T extends Readonly<Record<string, EntryOf<string>>>>(entries: T): T =>
  entries;
