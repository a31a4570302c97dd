import type {
  BowCondition,
  BowRecord,
  DrawOff,
  Hand,
  LoggedCurve,
  ReleaseType,
  Wall,
} from '../bow';
import type { AgeBand, Build, Experience, EyeHandling } from '../fit';
import type { ArrowChoice, ChosenPart, Counted, Holding, ShootingPurpose, Slot } from '../kit';
import type { Exception } from '../route';
import type { Reading, Schools } from '../setup';
import type { OwnBar } from '../steady';
import type { StepTimes } from '../bench';
import type { Closed } from './closed';
import type { Accepted, ExtraLine, Payment } from './delivery';
import type { FitReading } from './fit-readings';
import type { Elsewhere } from './elsewhere';
import type { ModelBow } from './model-bow';
import type { Photo } from './photos';
import type { Shop } from './shop-types';
import type { Visit } from './visit-types';

export type Eye = 'right' | 'left' | 'unsure';
export type Injured = 'unknown' | 'no' | 'yes' | 'healed';
export type Purpose = ShootingPurpose;

export const PURPOSES: readonly { readonly id: Purpose; readonly name: string }[] = [
  { id: 'target', name: 'target' },
  { id: 'field', name: 'field' },
  { id: 'threeD', name: '3D' },
  { id: 'hunting', name: 'hunting, where legal' },
];

export interface Archer {
  readonly id: string;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly minor: boolean;
  readonly guardianName: string;
  readonly guardianPhone: string;
  readonly hand: Hand;
  readonly dominantEye: Eye;
  /** Of the birth date where that is known. */
  readonly ageBand: AgeBand;
  /** YYYY-MM-DD; null where it was not told. */
  readonly birthDay: string | null;
  readonly build: Build;
  readonly experience: Experience;
  /** Whether something hurts now, or did and is healed. */
  readonly injured: Injured;
  /** What it is, in the archer's own words. */
  readonly injury: string;
  readonly eyesight: string;
  readonly release: ReleaseType | 'unknown';
  readonly wall: Wall | 'either' | 'unknown';
  /** What is done about a hand and an eye that do not match. */
  readonly eyeHandling: EyeHandling;
}

export interface Job {
  readonly id: string;
  /** Ticket number, counted up by the shop. */
  readonly number: number;
  readonly archerId: string;
  readonly version: number;
  readonly purpose: Purpose;
  readonly furthestM: number | null;
  readonly lowLight: boolean;
  readonly electronicsForbidden: boolean;
  readonly budgetCents: number | null;
  /** Day in the shop's time zone, YYYY-MM-DD. */
  readonly promisedDay: string | null;
  /** UTC instant the archer comes next. */
  readonly appointmentAt: string | null;
  readonly alreadyOwn: string;
  readonly notes: string;
  readonly bowId: string | null;
  /** Why a bow that does not cover the fit was taken all the same; empty where it covers it. */
  readonly bowReason: string;
  /** The school of the draw length for this job; null follows the shop. */
  readonly loopCounts: boolean | null;
  /** Schools of the bench that differ from the shop's for this job. */
  readonly schools: Partial<Schools>;
  /** Least weight the archer's authority asks for, as the archer states it, and where. */
  readonly legalMinimumN: number | null;
  readonly legalPlace: string;
  /** Questions of Meet somebody went past, and those put off, by id. */
  readonly asked: readonly string[];
  readonly skipped: readonly string[];
  readonly drawOff: DrawOff | null;
  readonly kitWishes: KitWishes;
  readonly arrows: ArrowPlan;
  /** The technician's own module step and peak weight, overruling the fit, with reasons. */
  readonly moduleStepMm: number | null;
  readonly moduleReason: string;
  readonly peakTargetN: number | null;
  readonly peakReason: string;
  /** Billed besides bow, parts and work: extra lines, discounts below nothing. */
  readonly extras: readonly ExtraLine[];
  /** Why it was back in the shop last: open until it is handed over again. Null before it came back. */
  readonly visit: Visit | null;
  /** Handed over: the day the archer is asked for next. */
  readonly comeBackDay: string | null;
  /** The quote the archer said yes to; null before. */
  readonly accepted: Accepted | null;
  /** The bow this one is made like; null where it is made like none. */
  readonly like: ModelBow | null;
  /** The bow was not bought here; null for a bow of the shop. */
  readonly elsewhere: Elsewhere | null;
  /** Stage last worked on, so that a job reopens where it was left. */
  readonly place: string;
  readonly createdAt: string;
  readonly deliveredAt: string | null;
  /** It came to nothing; null while it has not. */
  readonly closed: Closed | null;
}

/** What whole packages are to keep to. */
export interface KitWishes {
  /** Parts not to be taken, by id. */
  readonly without: readonly string[];
  /** Places to fill besides the usual ones. */
  readonly extra: readonly Slot[];
  /** Bow and kit together at most, g; null where nobody named a limit. */
  readonly massLimitG: number | null;
  /** Longest bar the archer’s class allows; null where it says nothing. */
  readonly barLimitMm: number | null;
  /** Bars the archer owns and no catalogue knows. */
  readonly ownBars: readonly OwnBar[];
}

/** Arrows being built: the builds held against each other, and the finished set on the scale. */
export interface ArrowPlan {
  readonly builds: readonly ArrowChoice[];
  readonly massesG: readonly number[];
  /** Rest ahead of the plunger hole, mm; negative behind it. */
  readonly restAheadMm: number;
}

export const NO_ARROWS: ArrowPlan = { builds: [], massesG: [], restAheadMm: 0 };

export const NO_WISHES: KitWishes = {
  without: [],
  extra: [],
  massLimitG: null,
  barLimitMm: null,
  ownBars: [],
};

export interface JobPart extends ChosenPart, Holding {
  /** What of it did not lie in the shop and is ordered; of a built set, part by part. */
  readonly short: readonly Counted[];
  /** For arrows built here: from what. */
  readonly build: ArrowChoice | null;
}

/** The bow of a job as it is held: which one, at what price, and whether it is there. */
export interface JobBow extends Holding {
  /** Null where it is not one of the single bows. */
  readonly serial: string | null;
  readonly condition: BowCondition;
  readonly priceCents: number;
}

export interface JobEvent {
  readonly id: number;
  readonly version: number;
  readonly at: string;
  readonly who: string;
  readonly summary: string;
  /** Stage it was made on; empty where it belongs to none. */
  readonly stage: string;
  /** 1 until the bow is handed over, then 2 until it is again, and so on. */
  readonly visit: number;
  readonly canUndo: boolean;
  /** It was taken back and can be brought again. */
  readonly canRedo: boolean;
}

export interface SheetHead {
  readonly revision: number;
  readonly at: string;
  readonly who: string;
}

/** An earlier job of the same archer, with what was found then. */
export interface EarlierJob {
  readonly jobId: string;
  readonly number: number;
  readonly createdAt: string;
  readonly deliveredAt: string | null;
  /** Name of its bow; null when it never had one. */
  readonly bow: string | null;
  readonly sheetRevision: number | null;
  /** The newest reading of each, as it was entered. */
  readonly readings: readonly {
    readonly key: string;
    readonly si: number | null;
    readonly entered: string;
  }[];
}

/** A quote that was given, as the list of quotes shows it. */
export interface QuoteHead {
  readonly revision: number;
  readonly at: string;
  readonly who: string;
  readonly totalCents: number;
  readonly validUntil: string;
}

/** Everything one job's screens are computed from; travels as JSON. */
export interface JobSnapshot {
  readonly job: Job;
  readonly archer: Archer;
  /** At the price it was taken for. */
  readonly bow: BowRecord | null;
  /** Null where there is no bow. */
  readonly bowHeld: JobBow | null;
  readonly parts: readonly JobPart[];
  readonly readings: readonly Reading[];
  readonly fitReadings: readonly FitReading[];
  readonly exceptions: readonly Exception[];
  /** Ids of cautions the archer has been told and said yes to. */
  readonly acknowledged: readonly string[];
  readonly events: readonly JobEvent[];
  /** The entry taken back last can be brought again: nothing was entered since. */
  readonly canRedo: boolean;
  readonly sheets: readonly SheetHead[];
  /** Quotes given, newest first. */
  readonly quotes: readonly QuoteHead[];
  /** Money noted, oldest first. */
  readonly payments: readonly Payment[];
  /** Draw-force curves logged for the bow, oldest first. */
  readonly curves: readonly LoggedCurve[];
  /** Shots aimed with a sensor on this bow. */
  readonly aimed: number;
  /** Shots told since the bow left last; null where it never left. */
  readonly shotsSince: number | null;
  /** Other jobs whose bow left under the number read off this one that was brought along. */
  readonly sameSerial: readonly { readonly jobId: string; readonly number: number }[];
  /** Photographs of the job that are kept, oldest first. */
  readonly photos: readonly Photo[];
  /** What this archer had done here before, newest first. */
  readonly earlier: readonly EarlierJob[];
  /** What the bench's clock saw of each step in this shop. */
  readonly stepTimes: StepTimes;
  readonly shop: Shop;
  /** Today in the shop's time zone, YYYY-MM-DD. */
  readonly today: string;
  /** The server’s instant it was read at: tablets’ clocks differ. */
  readonly now: string;
}
