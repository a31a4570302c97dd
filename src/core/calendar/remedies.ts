import { CalendarSearch } from './search';
import type { CalendarInput, CalendarJob, CalendarPlan, LateJob } from './types';

const DAY = 1440;
const OVERTIME_MIN = 60;
/** Looks for each remedy tried: enough for a shop's few days. */
const LOOKS = 150;

/** A way to have a late job in time, cheapest kind first (shop rule, by what it costs the shop). */
export type Remedy =
  /** Let go of a visit somebody put somewhere: the plan puts it where it serves. */
  | { readonly kind: 'letGo'; readonly visitId: string; readonly was: number }
  /** Ask the archer to come on another day or hour. */
  | { readonly kind: 'appointment'; readonly from: number; readonly was: number }
  /** Stay longer on these days, an hour each. */
  | { readonly kind: 'overtime'; readonly person: string; readonly days: readonly number[] }
  /** Have the parts sent faster: there on this day instead. */
  | { readonly kind: 'express'; readonly day: number; readonly was: number }
  /** Promise a later day. */
  | { readonly kind: 'promise'; readonly day: number };

const REMEDY_COST: Record<Remedy['kind'], number> = {
  letGo: 0,
  appointment: 1,
  overtime: 2,
  express: 3,
  promise: 4,
};

/**
 * Every remedy that by itself brings a late job home in time without making the others later,
 * cheapest first; a later promise is always among them. Each is tried by planning anew.
 *
 * @param randomOf a new stream for each try, so that tries do not depend on their order.
 */
export function remediesFor(
  input: CalendarInput,
  plan: CalendarPlan,
  late: LateJob,
  randomOf: () => () => number,
): Remedy[] {
  const job = input.jobs.find(({ id }) => id === late.jobId)!;
  const others = plan.lateness - job.weight * late.minutes;
  const helps = (changed: CalendarInput): CalendarPlan | null => {
    const search = new CalendarSearch(changed, randomOf(), LOOKS);
    while (!search.done) search.step(50);
    const then = search.plan();
    const still = then.late.find(({ jobId }) => jobId === late.jobId);
    return !still && then.lateness <= others + 1 ? then : null;
  };
  const remedies: Remedy[] = [];
  for (const visit of job.visits) {
    if (visit.pinnedAt === null) continue;
    const free = job.visits.map((other) =>
      other.id === visit.id ? { ...other, pinnedAt: null } : other,
    );
    if (helps(withJob(input, { ...job, visits: free })))
      remedies.push({ kind: 'letGo', visitId: visit.id, was: visit.pinnedAt });
  }
  const { appointment } = job;
  if (appointment) {
    const then = helps(withJob(input, { ...job, appointment: null }));
    const visit = then?.visits.find(({ jobId, archer }) => jobId === job.id && archer);
    if (visit) remedies.push({ kind: 'appointment', from: visit.from, was: appointment.from });
  }
  const overtime = shortestOvertime(input, job, helps);
  if (overtime) remedies.push(overtime);
  const waits = Math.max(...job.visits.map(({ release }) => release));
  if (waits > input.now) {
    const sooner = (day: number) =>
      withJob(input, {
        ...job,
        visits: job.visits.map((visit) => ({
          ...visit,
          release: Math.min(visit.release, Math.max(input.now, day * DAY)),
        })),
      });
    const was = Math.floor(waits / DAY);
    for (let day = was - 1; day > Math.floor(input.now / DAY); day--) {
      if (!helps(sooner(day))) continue;
      remedies.push({ kind: 'express', day, was });
      break;
    }
  }
  remedies.push({ kind: 'promise', day: Math.floor((late.endsAt - 1) / DAY) });
  return remedies.sort((a, b) => REMEDY_COST[a.kind] - REMEDY_COST[b.kind]);
}

const withJob = (input: CalendarInput, job: CalendarJob): CalendarInput => ({
  ...input,
  jobs: input.jobs.map((other) => (other.id === job.id ? job : other)),
});

/** The fewest evenings, each an hour longer, of whoever works last on them. */
function shortestOvertime(
  input: CalendarInput,
  { due }: CalendarJob,
  helps: (changed: CalendarInput) => CalendarPlan | null,
): Remedy | null {
  const first = Math.floor(input.now / DAY);
  const last = Math.floor((due! - 1) / DAY);
  const days = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
  for (const person of input.people) {
    for (const count of [1, 2, 3]) {
      // The last evenings before the promise: work that waits cannot be done earlier.
      const chosen = days
        .filter((day) => person.shifts.some(({ to }) => Math.floor((to - 1) / DAY) === day))
        .slice(-count);
      if (chosen.length < count) break;
      const longer = {
        ...input,
        people: input.people.map((other) =>
          other.name === person.name
            ? { ...other, shifts: stretched(other.shifts, chosen) }
            : other,
        ),
        // Promised for the day, not for closing time: the evening still counts.
        jobs: input.jobs.map((job) =>
          job.due !== null && chosen.includes(Math.floor((job.due - 1) / DAY))
            ? { ...job, due: job.due + OVERTIME_MIN }
            : job,
        ),
      };
      if (helps(longer)) return { kind: 'overtime', person: person.name, days: chosen };
    }
  }
  return null;
}

function stretched(
  shifts: CalendarInput['people'][number]['shifts'],
  days: readonly number[],
): CalendarInput['people'][number]['shifts'] {
  return shifts.map((shift, i) => {
    const day = Math.floor((shift.to - 1) / DAY);
    const isLast = !shifts.some((other, k) => k > i && Math.floor((other.to - 1) / DAY) === day);
    const most = (day + 1) * DAY;
    return days.includes(day) && isLast
      ? { ...shift, to: Math.min(most, shift.to + OVERTIME_MIN) }
      : shift;
  });
}
