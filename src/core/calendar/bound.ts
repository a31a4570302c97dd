import { plannedMinutes } from './decode';
import { freeWithin, nextFree } from './timeline';
import type { CalendarInput, CalendarJob, Span } from './types';

/**
 * Weighted minutes late that no plan can do without: the best of
 * – every job alone in the shop;
 * – every station, and the staff together, as one machine that may interrupt its work: by shortest
 *   remaining time the k-th completion comes no later than in any plan, and sorted completions
 *   against sorted due dates cost the least (Schrage 1968; Baker & Trietsch, Principles of
 *   Sequencing and Scheduling, ch. 2), summed over the steps of the weights.
 */
export function latenessBound(input: CalendarInput): number {
  const jobs = input.jobs.filter((job) => job.due !== null && job.visits.length > 0);
  if (jobs.length === 0) return 0;
  const open = union(input.people.flatMap(({ shifts }) => shifts));
  const alone = jobs.reduce((sum, job) => sum + job.weight * aloneLate(job, open, input.now), 0);
  const clock = clockAxis(open);
  const staff = staffAxis(input);
  /** The unweighted bound of some jobs by themselves. */
  const together = (some: readonly CalendarJob[]): number => {
    const stations = Object.entries(input.stations).map(([station, count]) =>
      machine(some, ({ station: at }) => at === station, clock, count, input.now, open),
    );
    return Math.max(
      0,
      ...stations,
      machine(some, () => true, staff, 1, input.now, open),
    );
  };
  // Σ w·T is the sum over the weights' steps of the lateness of all that weigh at least as much.
  const weights = [...new Set(jobs.map((job) => job.weight))].sort((a, b) => a - b);
  const steps = weights.reduce(
    (sum, weight, i) =>
      sum + (weight - (weights[i - 1] ?? 0)) * together(jobs.filter((job) => job.weight >= weight)),
    0,
  );
  return Math.max(alone, steps);
}

/** A job nobody else is in the way of: each visit at its earliest. */
function aloneEnds(job: CalendarJob, open: readonly Span[], now: number): number[] {
  const line = freeWithin(open);
  let at = now;
  return job.visits.map((visit) => {
    const length = plannedMinutes(visit.minutes);
    at = nextFree(line, Math.max(at, visit.release), length) + length;
    return at;
  });
}

function aloneLate(job: CalendarJob, open: readonly Span[], now: number): number {
  const end = aloneEnds(job, open, now).at(-1)!;
  return Number.isFinite(end) ? Math.max(0, end - job.due!) : 0;
}

/** A measure of working time: how much has gone by at a minute, and when so much has. */
interface Axis {
  readonly at: (minute: number) => number;
  readonly when: (worked: number) => number;
}

function clockAxis(open: readonly Span[]): Axis {
  return stepAxis(open.map(({ from, to }) => ({ from, to, speed: 1 })));
}

/** Everybody's working minutes together. */
function staffAxis({ people }: CalendarInput): Axis {
  const edges = [
    ...new Set(people.flatMap(({ shifts }) => shifts.flatMap((s) => [s.from, s.to]))),
  ].sort((a, b) => a - b);
  const pieces = edges.slice(1).flatMap((to, i) => {
    const from = edges[i]!;
    const speed = people.filter(({ shifts }) =>
      shifts.some((s) => s.from <= from && s.to >= to),
    ).length;
    return speed > 0 ? [{ from, to, speed }] : [];
  });
  return stepAxis(pieces);
}

function stepAxis(pieces: readonly (Span & { readonly speed: number })[]): Axis {
  return {
    at: (minute) =>
      pieces.reduce(
        (sum, { from, to, speed }) => sum + speed * Math.max(0, Math.min(minute, to) - from),
        0,
      ),
    when: (worked) => {
      let left = worked;
      for (const { from, to, speed } of pieces) {
        const here = speed * (to - from);
        if (left <= here) return from + left / speed;
        left -= here;
      }
      return Infinity;
    },
  };
}

/** Least minutes late of jobs that only meet at one kind of machine, which may be interrupted. */
function machine(
  jobs: readonly CalendarJob[],
  here: (visit: CalendarJob['visits'][number]) => boolean,
  axis: Axis,
  speed: number,
  now: number,
  open: readonly Span[],
): number {
  const work = jobs.flatMap((job) => {
    const first = job.visits.findIndex(here);
    if (first < 0) return [];
    const last = job.visits.findLastIndex(here);
    const ends = aloneEnds(job, open, now);
    const minutes = job.visits
      .filter(here)
      .reduce((sum, visit) => sum + plannedMinutes(visit.minutes), 0);
    const after = job.visits
      .slice(last + 1)
      .reduce((sum, visit) => sum + plannedMinutes(visit.minutes), 0);
    const head = first === 0 ? Math.max(now, job.visits[0]!.release) : ends[first - 1]!;
    return [{ release: axis.at(head), left: minutes / speed, due: job.due! - after }];
  });
  const ends = shortestRemaining(work).sort((a, b) => a - b);
  const dues = work.map(({ due }) => due).sort((a, b) => a - b);
  return ends.reduce((sum, worked, i) => {
    const end = axis.when(worked);
    return sum + (Number.isFinite(end) ? Math.max(0, end - dues[i]!) : 0);
  }, 0);
}

/** Completion times on one machine that always takes the job with the least left. */
function shortestRemaining(work: readonly { release: number; left: number }[]): number[] {
  const open = work.map(({ release, left }) => ({ release, left }));
  const ends: number[] = [];
  let at = 0;
  while (open.length > 0) {
    const ready = open.filter(({ release }) => release <= at + 1e-9);
    if (ready.length === 0) {
      at = Math.min(...open.map(({ release }) => release));
      continue;
    }
    const job = ready.reduce((a, b) => (b.left < a.left ? b : a));
    const next = Math.min(
      Infinity,
      ...open.filter(({ release }) => release > at + 1e-9).map(({ release }) => release),
    );
    const run = Math.min(job.left, next - at);
    at += run;
    job.left -= run;
    if (job.left <= 1e-9) {
      ends.push(at);
      open.splice(open.indexOf(job), 1);
    }
  }
  return ends;
}

/** Spans as they overlap or touch, put together. */
export function union(spans: readonly Span[]): Span[] {
  const sorted = [...spans].sort((a, b) => a.from - b.from);
  const joined: { from: number; to: number }[] = [];
  for (const { from, to } of sorted) {
    const last = joined.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else joined.push({ from, to });
  }
  return joined;
}
