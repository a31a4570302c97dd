import type { CalendarGlance } from './calendar';

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

export interface UnreadableJob {
  readonly jobId: string;
  readonly number: number;
  /** Empty where even that is lost. */
  readonly name: string;
}

export interface TodayView {
  readonly day: string;
  readonly minutesNow: number;
  readonly tickets: readonly Ticket[];
  /** Of today; what is planned, and the other days, the page asks for when it stands. */
  readonly calendar: CalendarGlance;
  /** Name of a day nobody works, where today is one. */
  readonly closedFor: string | null;
  readonly arriving: readonly {
    readonly day: string;
    readonly label: string;
    /** Empty, and no job, for what comes for the shelf. */
    readonly name: string;
    readonly jobId: string | null;
  }[];
  readonly comingBack: readonly {
    readonly day: string;
    readonly name: string;
    readonly jobId: string;
    /** The second visit, or a growing archer measured again. */
    readonly why: 'visit' | 'measure';
  }[];
  /** Jobs whose record is damaged; the others stand above. */
  readonly unreadable: readonly UnreadableJob[];
  /** What is to be said of the backup: none yet, or so many days old; null while it is fresh or off. */
  readonly backup: { readonly days: number | null } | null;
  readonly shopName: string;
  readonly people: readonly string[];
  readonly timeZone: string;
  /** Minutes since midnight. */
  readonly opens: number;
  readonly closes: number;
}
