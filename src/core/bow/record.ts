import type { Degree, Gram, Mm, Mps, Newton, Turns } from '../units';
import type { CamCharacter, RatedBow } from './types';

export type Hand = 'right' | 'left';
export type CamSystem = 'single' | 'hybrid' | 'camAndAHalf' | 'twoCam';
export type RestMount = 'plungerBolt' | 'dovetail';
export type SightMount = 'sidePlate' | 'frontRail';
export type QuiverMount = 'riser' | 'sight';

export const CAM_SYSTEMS: Record<CamSystem, string> = {
  single: 'single cam',
  hybrid: 'hybrid cams',
  camAndAHalf: 'cam and a half',
  twoCam: 'two cams',
};

export interface ModulePosition {
  /** As printed on the module: "E", "4". */
  readonly label: string;
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
  readonly letOff: number;
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
  readonly priceCents: number;
  readonly stock: number;
  readonly deliveryDays: number;
}

export const bowName = (bow: Pick<BowRecord, 'maker' | 'model'>) => `${bow.maker} ${bow.model}`;

export const ratedBow = (bow: BowRecord): RatedBow => bow;

/** Every draw length the bow can be set to, mm, shortest first. */
export const drawLengthSteps = (bow: BowRecord): Mm[] =>
  bow.fixedDrawLengthMm !== null
    ? [bow.fixedDrawLengthMm]
    : bow.modules.map((module) => module.drawLengthMm).sort((a, b) => a - b);

export const moduleLabel = (bow: BowRecord, drawLengthMm: number) =>
  bow.modules.find((module) => Math.abs(module.drawLengthMm - drawLengthMm) < 0.5)?.label ?? null;
