/** Minutes on the shop's own clock since midnight of the first day planned; nights count. */
export type ShopMinute = number;

export interface Span {
  readonly from: ShopMinute;
  readonly to: ShopMinute;
}

export interface CalendarVisit {
  /** Its first step; names the visit within its job. */
  readonly id: string;
  readonly station: string;
  readonly archer: boolean;
  readonly minutes: number;
  readonly steps: number;
  /** Not before this: parts arrive. */
  readonly release: ShopMinute;
  /** The job rests so long after it before its next visit: glue dries. */
  readonly restAfter?: number;
  /** Where somebody put it; the plan is made around it. */
  readonly pinnedAt: ShopMinute | null;
}

export interface CalendarJob {
  readonly id: string;
  readonly name: string;
  /** A minute late counts this much. */
  readonly weight: number;
  /** Closing time of the promised day; null when nothing was promised. */
  readonly due: ShopMinute | null;
  /** One after the other, in this order. */
  readonly visits: readonly CalendarVisit[];
  /** When the archer said they come; null without an appointment. */
  readonly appointment: Span | null;
}

export interface CalendarPerson {
  readonly name: string;
  /** Working hours, oldest first, none overlapping. */
  readonly shifts: readonly Span[];
}

export interface CalendarInput {
  readonly now: ShopMinute;
  /** How many of each station. */
  readonly stations: Readonly<Record<string, number>>;
  readonly people: readonly CalendarPerson[];
  readonly jobs: readonly CalendarJob[];
}

export interface PlacedVisit {
  readonly jobId: string;
  readonly name: string;
  readonly visitId: string;
  readonly station: string;
  /** Which of the station's units, from 0. */
  readonly unit: number;
  readonly person: string;
  readonly from: ShopMinute;
  readonly to: ShopMinute;
  readonly archer: boolean;
  readonly steps: number;
  readonly pinned: boolean;
  /** The archer is needed and has no appointment then: one is to be made. */
  readonly toArrange: boolean;
}

export type Hindrance =
  /** Longer than anybody works in one go. */
  | 'tooLong'
  /** Nobody works for as far as the plan looks. */
  | 'noHours'
  /** Where it was put its station is taken by another visit put there. */
  | 'stationTaken'
  /** Where it was put nobody works, or everybody is at something put there. */
  | 'nobodyFree'
  /** Where it was put the work before it is not done, its part not there, or the time is past. */
  | 'tooEarly';

export interface Unplaced {
  readonly jobId: string;
  readonly visitId: string;
  readonly why: Hindrance;
}

export interface LateJob {
  readonly jobId: string;
  readonly name: string;
  /** Past the end of the promised day, minutes of the clock. */
  readonly minutes: number;
  readonly endsAt: ShopMinute;
}

export interface CalendarPlan {
  readonly visits: readonly PlacedVisit[];
  readonly unplaced: readonly Unplaced[];
  readonly late: readonly LateJob[];
  /** Weighted minutes late over all jobs. */
  readonly lateness: number;
  /** No plan can have less. */
  readonly bound: number;
  readonly pressVisits: number;
}
