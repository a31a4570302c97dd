import { USUAL_SHIFT } from './hours';
import type { CalendarInput, PlacedVisit } from './types';

const DAY = 1440;

/** One day of a plan as it is drawn: visits that begin in it, and from when to when somebody works. */
interface BenchDay {
  readonly visits: readonly PlacedVisit[];
  /** Minutes of the day. Where nobody works, the usual end on both sides. */
  readonly opens: number;
  readonly closes: number;
}

/** @param day counted from the first day of the plan, 0 for it. */
export function benchDay(
  visits: readonly PlacedVisit[],
  people: CalendarInput['people'],
  day: number,
): BenchDay {
  const begins = ({ from }: { readonly from: number }) => Math.floor(from / DAY) === day;
  const shifts = people.flatMap((person) => person.shifts.filter(begins));
  return {
    visits: visits.filter(begins),
    opens: Math.min(...shifts.map(({ from }) => from - day * DAY), USUAL_SHIFT.to),
    closes: Math.max(...shifts.map(({ to }) => to - day * DAY), 0) || USUAL_SHIFT.to,
  };
}
