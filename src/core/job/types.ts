import type { BowRecord, Hand } from '../bow';
import type { AgeBand, Build, DrawLengthMethod, Experience, TrialOutcome } from '../fit';
import type { ChosenPart } from '../kit';
import type { Exception, Reading } from '../route';
import type { ShopUnits } from '../units';

export type Eye = 'right' | 'left' | 'unsure';
export type Purpose = 'target' | 'field' | 'threeD' | 'hunting';

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
  readonly ageBand: AgeBand;
  readonly build: Build;
  readonly experience: Experience;
  /** Injuries in the archer's own words; empty is none told. */
  readonly injury: string;
  readonly eyesight: string;
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
  /** The technician's own module step and peak weight, overruling the fit, with reasons. */
  readonly moduleStepMm: number | null;
  readonly moduleReason: string;
  readonly peakTargetN: number | null;
  readonly peakReason: string;
  /** Stage last worked on, so that a job reopens where it was left. */
  readonly place: string;
  readonly createdAt: string;
  readonly deliveredAt: string | null;
}

/** A reading of the fit: not a value of the bow but of the archer. */
export interface FitReading {
  readonly seq: number;
  readonly key: DrawLengthMethod | 'weightTrial';
  readonly si: number;
  readonly outcome: TrialOutcome | null;
  readonly entered: string;
  readonly who: string;
  readonly at: string;
}

export interface JobPart extends ChosenPart {
  /** Day it arrives when it is not in stock, YYYY-MM-DD. */
  readonly arrivesDay: string | null;
}

export interface JobEvent {
  readonly id: number;
  readonly version: number;
  readonly at: string;
  readonly who: string;
  readonly summary: string;
  readonly canUndo: boolean;
}

export interface SheetHead {
  readonly revision: number;
  readonly at: string;
  readonly who: string;
}

export interface Shop {
  readonly name: string;
  readonly address: string;
  readonly timeZone: string;
  readonly units: ShopUnits;
  readonly loopCounts: boolean;
  readonly people: readonly string[];
}

/** Everything one job's screens are computed from; travels as JSON. */
export interface JobSnapshot {
  readonly job: Job;
  readonly archer: Archer;
  readonly bow: BowRecord | null;
  readonly parts: readonly JobPart[];
  readonly readings: readonly Reading[];
  readonly fitReadings: readonly FitReading[];
  readonly exceptions: readonly Exception[];
  /** Ids of cautions the archer has been told and said yes to. */
  readonly acknowledged: readonly string[];
  readonly events: readonly JobEvent[];
  readonly sheets: readonly SheetHead[];
  readonly shop: Shop;
  /** Today in the shop's time zone, YYYY-MM-DD. */
  readonly today: string;
}
