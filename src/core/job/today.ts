import type { PlannedVisit } from '../route';

export type TicketState = 'again' | 'waits' | 'going' | 'delivered';

export interface Ticket {
  readonly jobId: string;
  readonly number: number;
  readonly name: string;
  readonly about: string;
  readonly next: string;
  /** Day the next thing hangs on (a part's arrival), YYYY-MM-DD. */
  readonly nextDay: string | null;
  /** Delivered: when the archer is asked back. */
  readonly comeBackDay: string | null;
  readonly promisedDay: string | null;
  readonly appointmentAt: string | null;
  readonly state: TicketState;
  /** Station, "3 again", "waits for a part". */
  readonly tag: string;
  readonly late: string | null;
  readonly place: string;
}

export interface TodayView {
  readonly day: string;
  readonly minutesNow: number;
  readonly tickets: readonly Ticket[];
  readonly visits: readonly PlannedVisit[];
  readonly arriving: readonly {
    readonly day: string;
    readonly label: string;
    readonly name: string;
    readonly jobId: string;
  }[];
  readonly comingBack: readonly {
    readonly day: string;
    readonly name: string;
    readonly jobId: string;
  }[];
  readonly shopName: string;
  readonly people: readonly string[];
  readonly timeZone: string;
  /** Minutes since midnight. */
  readonly opens: number;
  readonly closes: number;
}
