import type { QuiverMount, RestMount, SightMount } from '../bow';
import type { Gram, Mm } from '../units';
import type { PartKind } from './slots';

export type RestDrive = 'limbDriven' | 'cableDriven' | 'containment';
export type LauncherTension = 'light' | 'medium' | 'heavy';

export interface RestAttrs {
  readonly drive: RestDrive;
  readonly mount: RestMount;
  readonly minDrawMm: Mm;
  readonly maxDrawMm: Mm;
  readonly maxShaftMm: Mm;
  /** Riser as wide as it reaches over; past it a spacer block is needed. Null when not known. */
  readonly riserWidthMm: Mm | null;
  /** A spacer block comes with it. */
  readonly spacer: boolean;
  /** Launchers or springs it comes with; empty when there is nothing to choose or not known. */
  readonly tensions: readonly LauncherTension[];
  /** Holds the arrow when the bow is turned over. */
  readonly contains: boolean;
  /** Tallest vane that passes it; null when not known. */
  readonly vaneRoomMm: Mm | null;
}
export interface SightAttrs {
  readonly mount: SightMount;
  readonly pins: number;
  /** Of one pin's dot. */
  readonly pinMm: Mm;
  readonly slides: boolean;
  readonly travelMm: Mm;
  readonly thirdAxis: boolean;
  readonly microAdjust: boolean;
  /** How far a pin or the housing goes for one click; null where it has none or it is not known. */
  readonly clickMm: Mm | null;
  /** How far the housing stands ahead of the riser; null when not known. */
  readonly extensionMm: Mm | null;
  readonly electronics: boolean;
  /** Has the thread for a light. */
  readonly lightThread: boolean;
  readonly housingRadiusMm: Mm;
  readonly carriesQuiver: boolean;
}
export interface PeepAttrs {
  readonly apertureMm: Mm;
  readonly lens: boolean;
  /** Turned square by a tube to the cable. */
  readonly tube: boolean;
}
export interface LoopAttrs {
  readonly lengthMm: Mm;
  readonly material: 'cord' | 'metal';
}
export interface ArrowsAttrs {
  readonly count: number;
  readonly shaftOuterMm: Mm;
  readonly shaftLengthMm: Mm;
  readonly staticSpineIn: number;
  /** One finished arrow; `massG` of the item is the same. */
  readonly pointAndInsertG: Gram;
  readonly vaneHeightMm: Mm;
  /** Half the width of a broadhead with fixed blades; null for other points. */
  readonly bladeMm: Mm | null;
}
export interface ReleaseAttrs {
  readonly type: 'thumb' | 'index' | 'backTension';
  /** Shortest loop its jaws close on; null where it also takes the bare string or is not known. */
  readonly minLoopMm: Mm | null;
  /** Its hook wears, or is worn by, a metal loop. */
  readonly cordOnly: boolean;
}
export interface QuiverAttrs {
  readonly mount: QuiverMount;
  readonly arrows: number;
  readonly minShaftMm: Mm;
  readonly maxShaftMm: Mm;
  readonly pieces: 1 | 2;
  /** Screws into the two holes of the side plate, over or under the sight. */
  readonly usesSightHoles: boolean;
}

/** Threads of bars and weights, as every shop's drawer has them. */
export type BarThread = '5/16-24' | '1/4-20';

export interface StabiliserAttrs {
  readonly lengthMm: Mm;
  readonly thread: BarThread;
  /** Thread for weights at its end. */
  readonly weightThread: BarThread;
}
export interface RearBarAttrs {
  readonly lengthMm: Mm;
  readonly thread: BarThread;
  readonly weightThread: BarThread;
}
export interface BarMountAttrs {
  readonly kind: 'offset' | 'vBar' | 'slide';
  readonly thread: BarThread;
  readonly bars: number;
}
export interface WeightsAttrs {
  readonly thread: BarThread;
  readonly count: number;
}
export interface NockingPointAttrs {
  readonly kind: 'tied' | 'clamp' | 'kisser';
}
export interface SlingAttrs {
  /** Between bar and riser, or to a hole of its own. */
  readonly mount: 'bushing' | 'hole';
}
export interface DampenersAttrs {
  readonly place: 'string' | 'limb' | 'cable';
  readonly count: number;
}
export interface StringStopAttrs {
  readonly rodMm: Mm;
}
export interface LightAttrs {
  readonly mount: 'thread' | 'clip';
}
export interface CaseAttrs {
  readonly insideMm: Mm;
  readonly hard: boolean;
}
export interface ArmGuardAttrs {
  readonly lengthMm: Mm;
}
export interface ConsumablesAttrs {
  readonly contents: string;
}

export interface ShaftAttrs {
  readonly outerMm: Mm;
  readonly innerMm: Mm;
  readonly gPerMm: number;
  /** As it comes, uncut. */
  readonly stockLengthMm: Mm;
  readonly staticSpineIn: number;
}
export interface NockAttrs {
  /** Groove to the shaft's end. */
  readonly throatMm: Mm;
  readonly fitsInnerMm: Mm;
}
export interface VaneAttrs {
  readonly lengthMm: Mm;
  readonly heightMm: Mm;
}
export interface InsertAttrs {
  readonly lengthMm: Mm;
  readonly fitsInnerMm: Mm;
}
export interface PointAttrs {
  /** Own centre of mass past the shaft's front end. */
  readonly centreMm: Mm;
  readonly head: 'field' | 'fixedBlade' | 'mechanical';
  /** Half the width over the blades; null for a head without fixed blades. */
  readonly bladeMm: Mm | null;
}

/** What is known of a part, by its kind. */
export interface AttrsOf extends Record<PartKind, object> {
  rest: RestAttrs;
  sight: SightAttrs;
  peep: PeepAttrs;
  loop: LoopAttrs;
  arrows: ArrowsAttrs;
  release: ReleaseAttrs;
  quiver: QuiverAttrs;
  stabiliser: StabiliserAttrs;
  rearBar: RearBarAttrs;
  barMount: BarMountAttrs;
  weights: WeightsAttrs;
  nockingPoint: NockingPointAttrs;
  sling: SlingAttrs;
  dampeners: DampenersAttrs;
  stringStop: StringStopAttrs;
  light: LightAttrs;
  case: CaseAttrs;
  armGuard: ArmGuardAttrs;
  consumables: ConsumablesAttrs;
  shaft: ShaftAttrs;
  nock: NockAttrs;
  vane: VaneAttrs;
  insert: InsertAttrs;
  point: PointAttrs;
}
