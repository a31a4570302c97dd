import {
  USUAL_SHIFT,
  USUAL_WEEK,
  type WeekHours,
  weekday,
  type CalendarInput,
  type CalendarJob,
  type CalendarPerson,
  type CalendarPlan,
  type ShopMinute,
} from '../calendar';
import { addDays, daysBetween } from '../units';
import type { JobDerived } from './derive';
import type { Shop } from './shop-types';
import type { JobSnapshot } from './types';
import { promisedOf } from './visit';

const DAY = 1440;
/** How far a plan looks at least, and past the last promise. */
const LEAST_DAYS = 30;
const PAST_PROMISE = 14;
/** How long an archer stays who has an appointment. Shop rule. */
export const APPOINTMENT_MIN = 180;
/** A first talk and fit at the counter. Shop rule. */
const FIRST_FIT_MIN = 45;

/** The bench of the coming days, as Today and the calendar show it. */
export interface CalendarView {
  /** Minutes count from its midnight, YYYY-MM-DD. */
  readonly firstDay: string;
  readonly input: CalendarInput;
  readonly plan: CalendarPlan;
}

/** The plan of one day, without what it was made from. */
export type CalendarGlance = Omit<CalendarView, 'input'>;

export const dayOfMinute = (firstDay: string, minute: ShopMinute) =>
  addDays(firstDay, Math.floor(minute / DAY));
export const clockOfMinute = (minute: ShopMinute) => ((minute % DAY) + DAY) % DAY;

/** A time of the shop's clock. */
export interface ShopTime {
  readonly day: string;
  readonly minutes: number;
}
export const minuteOf = (firstDay: string, { day, minutes }: ShopTime): ShopMinute =>
  daysBetween(firstDay, day) * DAY + minutes;

export interface CalendarGround {
  readonly shop: Shop;
  readonly now: ShopTime;
  readonly jobs: readonly {
    readonly snapshot: JobSnapshot;
    readonly derived: JobDerived;
    readonly appointment: ShopTime | null;
  }[];
  readonly pins: readonly {
    readonly jobId: string;
    readonly stepId: string;
    readonly at: ShopTime;
  }[];
}

/** Somebody’s working hours, Monday to Sunday; whoever is not named works the usual ones. */
export const weekOf = ({ hours }: Pick<Shop, 'hours'>, name: string): WeekHours =>
  // A person may be called as something every object has.
  (Object.hasOwn(hours, name) ? hours[name] : undefined) ?? USUAL_WEEK;

/** Working hours of everybody from a day on; closed days are nobody's. */
export function staffOf(shop: Shop, firstDay: string, days: number): CalendarPerson[] {
  const closed = new Set(shop.closed.map(({ day }) => day));
  return shop.people.map((name) => ({
    name,
    shifts: Array.from({ length: days }, (_, i) => i).flatMap((i) => {
      const day = addDays(firstDay, i);
      const shift = weekOf(shop, name)[weekday(day)];
      return shift && !closed.has(day)
        ? [{ from: i * DAY + shift.from, to: i * DAY + shift.to }]
        : [];
    }),
  }));
}

/**
 * The shop as the planner sees it: open jobs with a bow and a rest go over the bench by their route,
 * a job without a bow that has an appointment is talked to and fitted.
 */
export function calendarInput({ shop, now, jobs, pins }: CalendarGround): CalendarInput {
  const firstDay = now.day;
  const promises = jobs.map(({ snapshot }) => promisedOf(snapshot.job) ?? firstDay);
  const last = Math.max(0, ...promises.map((day) => daysBetween(firstDay, day)));
  const people = staffOf(shop, firstDay, Math.max(LEAST_DAYS, last + PAST_PROMISE));
  const closes = (day: number) => {
    const ends = people.flatMap(({ shifts }) =>
      shifts.filter(({ from }) => Math.floor(from / DAY) === day).map(({ to }) => to),
    );
    return ends.length > 0 ? Math.max(...ends) : day * DAY + USUAL_SHIFT.to;
  };
  const opens = (day: number) => {
    const starts = people.flatMap(({ shifts }) =>
      shifts.filter(({ from }) => Math.floor(from / DAY) === day).map(({ from }) => from),
    );
    return starts.length > 0 ? Math.min(...starts) : day * DAY;
  };
  return {
    now: now.minutes,
    stations: shop.stations,
    people,
    jobs: jobs.flatMap(({ snapshot, derived, appointment }): CalendarJob[] => {
      const { job, archer, parts, bow, bowHeld } = snapshot;
      const promised = promisedOf(job);
      const come = appointment && minuteOf(firstDay, appointment);
      const there =
        come !== null && come + APPOINTMENT_MIN > now.minutes
          ? { from: come, to: come + APPOINTMENT_MIN }
          : null;
      const base = {
        id: job.id,
        name: archer.name,
        weight: 1,
        due: promised === null ? null : closes(daysBetween(firstDay, promised)),
        appointment: there,
      };
      const pinOf = (stepId: string) => {
        const pin = pins.find((other) => other.jobId === job.id && other.stepId === stepId);
        const at = pin ? minuteOf(firstDay, pin.at) : null;
        return at !== null && at >= now.minutes ? at : null;
      };
      if (!bow || !derived.kit.rest) {
        if (!there) return [];
        const fit = {
          id: 'fit',
          station: 'counter',
          archer: true,
          minutes: FIRST_FIT_MIN,
          steps: 1,
          release: there.from,
          pinnedAt: pinOf('fit'),
        };
        // The promise is the bow's, not the talk's.
        return [{ ...base, due: null, visits: [fit] }];
      }
      const arrives = new Map(
        parts.flatMap(({ slot, arrivesDay }) =>
          arrivesDay && arrivesDay > firstDay ? [[slot, daysBetween(firstDay, arrivesDay)]] : [],
        ) as [string, number][],
      );
      // Nothing goes on a bow that is not there.
      const bowDay = daysBetween(firstDay, bowHeld?.arrivesDay ?? firstDay);
      const bowThere = bowDay > 0 ? opens(bowDay) : 0;
      return [
        {
          ...base,
          visits: derived.plan.visits.map((visit) => ({
            id: visit.steps[0]!,
            station: visit.station,
            archer: visit.archer,
            minutes: visit.minutes,
            steps: visit.steps.length,
            restAfter: visit.dryMinutes,
            release: Math.max(
              bowThere,
              ...visit.parts.map((slot) => (arrives.has(slot) ? opens(arrives.get(slot)!) : 0)),
            ),
            pinnedAt: pinOf(visit.steps[0]!),
          })),
        },
      ];
    }),
  };
}
