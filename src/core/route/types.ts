import type { Slot } from '../kit';
import type { QuantityName, UnitName } from '../units';
import type { ReadingData } from './reading-data';

export type Stage = 'meet' | 'fit' | 'bow' | 'kit' | 'bench' | 'lane' | 'steady' | 'handover';

export const STAGES: readonly { readonly id: Stage; readonly name: string }[] = [
  { id: 'meet', name: 'Meet' },
  { id: 'fit', name: 'Fit' },
  { id: 'bow', name: 'Bow' },
  { id: 'kit', name: 'Kit' },
  { id: 'bench', name: 'Bench' },
  { id: 'lane', name: 'Lane' },
  { id: 'steady', name: 'Steady' },
  { id: 'handover', name: 'Handover' },
];

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

export type SetupKey =
  | 'serialNumber'
  | 'foundModule'
  | 'foundTurns'
  | 'foundBrace'
  | 'foundAxles'
  | 'foundWhole'
  | 'moduleTop'
  | 'moduleBottom'
  | 'stops'
  | 'limbTurnsUpper'
  | 'limbTurnsLower'
  | 'limbLocks'
  | 'newString'
  | 'stringTwists'
  | 'cableTwists'
  | 'inTracks'
  | 'drawLength'
  | 'peakWeight'
  | 'holdingWeight'
  | 'braceHeight'
  | 'axleToAxle'
  | 'timing'
  | 'camLeanUpper'
  | 'camLeanLower'
  | 'leanFixUpper'
  | 'leanFixLower'
  | 'dampenersFitted'
  | 'stringStop'
  | 'restFitted'
  | 'restHeight'
  | 'silencing'
  | 'cage'
  | 'centreShot'
  | 'nockHeight'
  | 'nockPoint'
  | 'loop'
  | 'loopPlace'
  | 'kisser'
  | 'cordLed'
  | 'cordLimb'
  | 'launcherClear'
  | 'restCord'
  | 'launcherSet'
  | 'downCableFound'
  | 'cockVaneDown'
  | 'cordSettled'
  | 'cordTied'
  | 'cableGuard'
  | 'vaneClearance'
  | 'peepHeight'
  | 'peepTrueHeight'
  | 'peepRotation'
  | 'tubeSide'
  | 'tubeLength'
  | 'tubeTurn'
  | 'sightFitted'
  | 'sightBase'
  | 'housingHeight'
  | 'housingWindage'
  | 'lightFitted'
  | 'firstAxis'
  | 'secondAxis'
  | 'thirdAxis'
  | 'thirdAxisShot'
  | 'peepToPin'
  | 'setScrews'
  | 'arrowsCut'
  | 'arrowsGlued'
  | 'arrowsFletched'
  | 'arrowsSpun'
  | 'setWeighed'
  | 'arrowMass'
  | 'arrowSpeed'
  | 'firstArrows'
  | 'archerWord'
  | 'paperTear'
  | 'firstMark'
  | 'markShot'
  | 'speedOther'
  | 'bareShaft'
  | 'walkBack'
  | 'pins'
  | 'tape'
  | 'quiverFitted'
  | 'slingFitted'
  | 'stabiliserFitted'
  | 'bowMass'
  | 'steadyTip'
  | 'fasteners'
  | OwnKey
  | PartKey;

/** A tick of a step the shop added itself. */
export type OwnKey = `own:${string}`;

/** Which part fills a place of the kit: a cause like any other, written when one is chosen. */
export type PartKey = `part:${Slot}`;

/**
 * How a value is taken: a quantity, a tick, a choice, a tear (right, up), a group on the target, a
 * confirmed mark (distance, pin below the first), a drift (mm for each metre), or a few words.
 */
export type ValueKind =
  QuantityName | 'check' | 'tear' | 'group' | 'choice' | 'mark' | 'drift' | 'text';

/** Method of a reading that paper, a bare shaft or a walk-back moved: it counts however little it is. */
export const MOVED_BY_PAPER = 'paper';
/** Method of a reading somebody looked at again and found as it was. */
export const CONFIRMED = 'confirmed';

/** One of the things a finished bow consists of. */
export interface SetupValue {
  readonly key: SetupKey;
  readonly name: string;
  /** Two words at most, for the bow map. */
  readonly short: string;
  readonly kind: ValueKind;
  /** ± in SI within which a reading agrees with its target, and two readings with each other. */
  readonly tolerance: number;
  /** Possible readings, SI; outside is refused at the field. */
  readonly min?: number;
  readonly max?: number;
  /** Stands at 0 until something is noted: then already its first reading is a change. */
  readonly fromZero?: true;
  /** Taken where somebody wants it; no step asks for it. */
  readonly optional?: true;
  /** What it rests on: other values and mounted parts. Each place says why, where it is not plain. */
  readonly dependsOn: readonly SetupKey[];
  /** The least change of this value that what rests on it notices, SI; its tolerance where left out. */
  readonly notice?: number;
  /** Causes of which this value notices another amount than the rest do, SI. */
  readonly over?: Readonly<Partial<Record<SetupKey, number>>>;
  readonly stage: Stage;
  readonly part: MapPart;
  /** How it is measured, in one line. */
  readonly how: string;
  readonly tool: string;
  /** Who has to be there: the archer draws or looks, or the technician alone. */
  readonly archer?: true;
  /** Unit of a number typed bare, where the shop's own would be unusual. */
  readonly bareUnit?: UnitName;
  /** Written with this many decimals instead of the shop's usual. */
  readonly decimals?: number;
  /** What a change of it is called in "… after …": "the string was twisted". */
  readonly changed: string;
  readonly choices?: readonly { readonly id: string; readonly name: string }[];
}

/** A set-up value as somebody measured it. Rows are added, never changed. */
export interface Reading {
  /** Grows with time; orders readings taken in the same instant. */
  readonly seq: number;
  readonly key: SetupKey;
  /** SI; null for a tick or a choice. */
  readonly si: number | null;
  /** Second number: turns of a weighing, `up` of a tear, distance of a group. */
  readonly si2: number | null;
  readonly choice: string | null;
  /** As typed, with its unit: "28 3/8 in". */
  readonly entered: string;
  readonly method: string;
  readonly who: string;
  /** UTC instant, ISO. */
  readonly at: string;
  /** What it was made from; null for a plain entry. */
  readonly data: ReadingData | null;
}
