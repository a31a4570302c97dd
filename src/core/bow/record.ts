import type { Degree, Gram, KgMm2, Mm, Mps, Newton, Turns } from '../units';
import type { BalanceSource, BarThread, Place } from './place';
import type { CamCharacter } from './types';

export type Hand = 'right' | 'left';
export type CamSystem = 'single' | 'hybrid' | 'camAndAHalf' | 'twoCam';
export type RestMount = 'plungerBolt' | 'dovetail';
export type SightMount = 'sidePlate' | 'frontRail';
export type QuiverMount = 'riser' | 'sight';
/** Whether the riser takes a string stop, or comes with one. */
export type StringStopPlace = 'none' | 'hole' | 'fitted';

export const CAM_SYSTEMS: Record<CamSystem, string> = {
  single: 'single cam',
  hybrid: 'hybrid cams',
  camAndAHalf: 'cam and a half',
  twoCam: 'two cams',
};

/** What ends the draw: a stop against the limb, against the cable, or one of each. */
export type DrawStops = 'limb' | 'cable' | 'both';
/** Cables that split into two legs at an axle: by them a leaning cam is set upright. */
export type Yokes = 'none' | 'top' | 'both';
/** How the cams are timed: by their stops touching together, or by marks on the cam. */
export type CamTiming = 'stops' | 'marks';

export interface ModulePosition {
  /** As printed on the module: "E", "4". */
  readonly label: string;
  /** As printed on the top cam's module, where that one is marked otherwise. */
  readonly topLabel?: string;
  readonly drawLengthMm: Mm;
}

/** A bow of the shop's stock, as its data sheet gives it. */
export interface BowRecord {
  readonly id: string;
  readonly maker: string;
  readonly model: string;
  readonly hand: Hand;
  readonly camSystem: CamSystem;
  readonly character: CamCharacter;
  /** Empty for a bow of fixed length. */
  readonly modules: readonly ModulePosition[];
  readonly fixedDrawLengthMm: Mm | null;
  /** Cams that carry a module; both must be set alike. */
  readonly moduleCams: readonly ('top' | 'bottom')[];
  readonly minPeakN: Newton;
  readonly maxPeakN: Newton;
  /** Null when no limit is known: such a bow is not set by turns. */
  readonly maxTurns: Turns | null;
  /** Turns out the bolts stand at as the bow comes; null when not known. */
  readonly stockTurns: Turns | null;
  readonly letOff: number;
  /** Let-offs it can be set to, `letOff` among them; empty when there is no choice. */
  readonly letOffChoices: readonly number[];
  /** Null when not known. */
  readonly stops: DrawStops | null;
  readonly timedBy: CamTiming | null;
  /** Null when not known. */
  readonly yokes: Yokes | null;
  readonly stringLengthMm: Mm | null;
  /** Of every cable, as the data sheet lists them; empty when not known. */
  readonly cableLengthsMm: readonly Mm[];
  readonly braceHeightMm: Mm;
  readonly axleToAxleMm: Mm;
  readonly massG: Gram;
  readonly centreShotMm: Mm | null;
  readonly riserAngleDeg?: Degree;
  readonly ratedSpeedMps: Mps;
  readonly ratedDrawLengthMm: Mm;
  readonly ratedPeakN: Newton;
  readonly ratedArrowG: Gram;
  readonly restMounts: readonly RestMount[];
  readonly sightMounts: readonly SightMount[];
  readonly quiverMounts: readonly QuiverMount[];
  /** Across the riser at the rest; null when not known, as are the next four. */
  readonly riserWidthMm: Mm | null;
  /** Middle of the shaft to the nearest cable, as the guard comes. */
  readonly cableGapMm: Mm | null;
  /** Plunger hole down to the shelf. */
  readonly shelfMm: Mm | null;
  /** A bushing for a bar at the back of the riser. */
  readonly rearBushing: boolean | null;
  readonly stringStop: StringStopPlace | null;
  /** Lock screws that hold the limb bolts once the weight is final. */
  readonly limbLocks: boolean | null;
  /** A way for the rest’s cord through the riser. */
  readonly cordWay: boolean | null;
  /** Threads and slots a bar can stand in; empty when not known. */
  readonly barThreads: readonly BarThread[];
  /** Of the bare bow, from the throat of the grip; null when not known, as are the next three. */
  readonly centre: Place | null;
  /** About the throat of the grip. */
  readonly yawInertiaKgMm2: KgMm2 | null;
  readonly pitchInertiaKgMm2: KgMm2 | null;
  readonly balanceFrom: BalanceSource | null;
  readonly priceCents: number;
  readonly stock: number;
  readonly deliveryDays: number;
  /** Empty where none is named. */
  readonly supplier: string;
  /** An archer brought it along: it is no bow of the shop's list. */
  readonly brought?: boolean;
  /** What nobody could tell of it; the number that stands there is the usual one. */
  readonly untold?: readonly Untold[];
}

/** What may be unknown of a bow that was brought along, besides what is null anyway. */
export type Untold = 'rating' | 'letOff' | 'lightest';

/** New ones are among the bow's count; used ones have their own price; loan bows are lent, never sold. */
export type BowCondition = 'new' | 'used' | 'loan';

/** A single bow of the shop, told apart by its serial number. */
export interface BowPiece {
  readonly serial: string;
  readonly bowId: string;
  readonly condition: BowCondition;
  /** Null: at the bow's own price. */
  readonly priceCents: number | null;
  readonly note: string;
}

/** What a single bow is sold for: a loan bow costs nothing. */
export const pieceCents = (
  { priceCents }: Pick<BowRecord, 'priceCents'>,
  piece: BowPiece | null,
): number => (piece?.condition === 'loan' ? 0 : (piece?.priceCents ?? priceCents));

/** A bow of the shop as a job can take it: new ones, or a single used or loan bow. */
export interface BowOffer {
  /** At its price, with as many as are free for this job. */
  readonly bow: BowRecord;
  /** Null for the new ones as they stand there. */
  readonly piece: BowPiece | null;
  /** Ticket that has it; null where it is free, or does not count one by one. */
  readonly heldBy: number | null;
  /** Numbers of new ones that are free, where the shop wrote them down. */
  readonly serials: readonly string[];
}

export const bowName = (bow: Pick<BowRecord, 'maker' | 'model'>) => `${bow.maker} ${bow.model}`;

/** Every draw length the bow can be set to, mm, shortest first. */
export const drawLengthSteps = (bow: BowRecord): Mm[] =>
  bow.fixedDrawLengthMm !== null
    ? [bow.fixedDrawLengthMm]
    : bow.modules.map((module) => module.drawLengthMm).sort((a, b) => a - b);

/** What is printed at a draw length; null where nothing is. */
export function moduleLabel(
  bow: BowRecord,
  drawLengthMm: number,
  cam: 'top' | 'bottom' = 'bottom',
): string | null {
  const module = bow.modules.find(({ drawLengthMm: at }) => Math.abs(at - drawLengthMm) < 0.5);
  return (cam === 'top' ? module?.topLabel : undefined) ?? module?.label ?? null;
}
