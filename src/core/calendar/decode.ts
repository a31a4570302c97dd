import {
  copyOf,
  emptyTimeline,
  freeWithin,
  isFree,
  nextFree,
  take,
  type Timeline,
} from './timeline';
import type {
  CalendarInput,
  CalendarJob,
  CalendarVisit,
  Hindrance,
  PlacedVisit,
  Unplaced,
} from './types';

/** Nothing is planned shorter: hands are washed, the phone rings. Shop rule. */
const LEAST_MINUTES = 15;
const ROUND_TO = 5;

export const plannedMinutes = (minutes: number) =>
  Math.max(LEAST_MINUTES, Math.ceil(minutes / ROUND_TO) * ROUND_TO);

export const roundUp = (minute: number) => Math.ceil(minute / ROUND_TO) * ROUND_TO;

/** What every decoding starts from: nothing taken but nights, days off and the past. */
export interface Ground {
  readonly input: CalendarInput;
  readonly start: number;
  readonly units: Readonly<Record<string, readonly Timeline[]>>;
  readonly people: readonly Timeline[];
  /** Longest time anybody works in one go. */
  readonly longestShift: number;
  /** Visits somebody put somewhere, by job and visit, and those that cannot stand there. */
  readonly pins: readonly (readonly (Put | Hindrance | null)[])[];
  readonly refused: readonly Unplaced[];
}

interface Put {
  readonly from: number;
  readonly to: number;
  readonly unit: number;
  readonly person: number;
}

export function groundOf(input: CalendarInput): Ground {
  const units: Record<string, Timeline[]> = {};
  for (const [station, count] of Object.entries(input.stations))
    units[station] = Array.from({ length: count }, emptyTimeline);
  const people = input.people.map(({ shifts }) => freeWithin(shifts));
  const start = roundUp(input.now);
  const longestShift = Math.max(
    0,
    ...input.people.flatMap(({ shifts }) => shifts.map(({ from, to }) => to - from)),
  );
  const pins = input.jobs.map(({ visits }) =>
    visits.map((visit) => (visit.pinnedAt === null ? null : pin(visit, start, units, people))),
  );
  const refused = input.jobs.flatMap(({ id, visits }, j) =>
    visits.flatMap((visit, i) => {
      const put = pins[j]![i]!;
      return typeof put === 'string' ? [{ jobId: id, visitId: visit.id, why: put }] : [];
    }),
  );
  return { input, start, units, people, longestShift, pins, refused };
}

function pin(
  visit: CalendarVisit,
  start: number,
  units: Readonly<Record<string, readonly Timeline[]>>,
  people: readonly Timeline[],
): Put | Hindrance {
  const from = visit.pinnedAt!;
  const length = plannedMinutes(visit.minutes);
  if (from < Math.max(start, visit.release)) return 'tooEarly';
  const unit = (units[visit.station] ?? []).findIndex((line) => isFree(line, from, length));
  if (unit < 0) return 'stationTaken';
  const person = people.findIndex((line) => isFree(line, from, length));
  if (person < 0) return 'nobodyFree';
  take(units[visit.station]![unit]!, from, from + length);
  take(people[person]!, from, from + length);
  return { from, to: from + length, unit, person };
}

export interface Decoded {
  readonly visits: PlacedVisit[];
  readonly unplaced: Unplaced[];
  /** When each job ends, by its place in the input; Infinity where a visit found none. */
  readonly ends: number[];
  /** Minutes by which visits put somewhere come before the work they need. */
  readonly tooEarly: number;
}

/**
 * One plan from an order of turns: each turn places its job's next visit at the earliest time at
 * which a unit of its station and a person are free together. Visits somebody put stand already.
 *
 * @param turns indices of jobs; each as often as it has visits.
 * @param keep whether the visits are wanted, or only when the jobs end.
 */
export function decode(ground: Ground, turns: readonly number[], keep = true): Decoded {
  const { jobs, people: staff } = ground.input;
  const units: Record<string, Timeline[]> = {};
  for (const [station, lines] of Object.entries(ground.units)) units[station] = lines.map(copyOf);
  const people = ground.people.map(copyOf);
  const next = jobs.map(() => 0);
  const ends = jobs.map(() => ground.start);
  const rests = jobs.map(() => 0);
  const lastPerson = jobs.map(() => -1);
  const visits: PlacedVisit[] = [];
  const unplaced: Unplaced[] = [...ground.refused];
  let tooEarly = 0;
  for (const j of turns) {
    const job = jobs[j]!;
    const at = next[j]!++;
    const visit = job.visits[at]!;
    const length = plannedMinutes(visit.minutes);
    const ready = Math.max(ends[j]! + rests[j]!, roundUp(visit.release));
    const stands = ground.pins[j]![at]!;
    const put =
      stands === null || typeof stands === 'string'
        ? place(job, visit, ready, length, lastPerson[j]!)
        : stands;
    if (typeof put === 'string') {
      unplaced.push({ jobId: job.id, visitId: visit.id, why: put });
      ends[j] = Infinity;
      continue;
    }
    if (put.from < ready) {
      tooEarly += Math.min(put.to - put.from + ready - put.from, 1e6);
      unplaced.push({ jobId: job.id, visitId: visit.id, why: 'tooEarly' });
    }
    lastPerson[j] = put.person;
    rests[j] = roundUp(visit.restAfter ?? 0);
    ends[j] = Math.max(ends[j]!, put.to);
    if (!keep) continue;
    const { appointment } = job;
    visits.push({
      jobId: job.id,
      name: job.name,
      visitId: visit.id,
      station: visit.station,
      unit: put.unit,
      person: staff[put.person]!.name,
      from: put.from,
      to: put.to,
      archer: visit.archer,
      steps: visit.steps,
      pinned: put === stands,
      toArrange:
        visit.archer && !(appointment && put.from >= appointment.from && put.to <= appointment.to),
    });
  }
  return { visits, unplaced, ends, tooEarly };

  function place(
    job: CalendarJob,
    visit: CalendarVisit,
    ready: number,
    length: number,
    before: number,
  ): Put | Hindrance {
    if (!Number.isFinite(ready)) return 'tooEarly';
    if (length > ground.longestShift) return ground.longestShift > 0 ? 'tooLong' : 'noHours';
    const lines = units[visit.station] ?? [];
    const { appointment } = job;
    // While the archer is there first; a second visit has to be arranged where it does not fit.
    const wanted = visit.archer && appointment ? Math.max(ready, roundUp(appointment.from)) : ready;
    let from = earliest(lines, wanted, length);
    if (visit.archer && appointment && from + length > appointment.to) {
      from = earliest(lines, Math.max(ready, appointment.from), length);
    }
    if (!Number.isFinite(from)) return 'noHours';
    const unit = lines.findIndex((line) => isFree(line, from, length));
    const person =
      before >= 0 && isFree(people[before]!, from, length)
        ? before
        : people.findIndex((line) => isFree(line, from, length));
    take(lines[unit]!, from, from + length);
    take(people[person]!, from, from + length);
    return { from, to: from + length, unit, person };
  }

  /** Earliest time a unit and a person are free together. */
  function earliest(lines: readonly Timeline[], ready: number, length: number): number {
    let at = ready;
    for (;;) {
      const unit = least(lines, at, length);
      const both = least(people, unit, length);
      if (both === unit || !Number.isFinite(both)) return both;
      at = both;
    }
  }
}

function least(lines: readonly Timeline[], at: number, length: number): number {
  let best = Infinity;
  for (const line of lines) {
    const free = nextFree(line, at, length);
    if (free === at) return at;
    if (free < best) best = free;
  }
  return best;
}
