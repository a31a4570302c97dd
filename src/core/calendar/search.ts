import { latenessBound } from './bound';
import { decode, groundOf, type Decoded, type Ground } from './decode';
import type { CalendarInput, CalendarPlan, Unplaced } from './types';

/** Weighs a visit that found no place, so that a plan with it always wins. */
const UNPLACED_COST = 1e7;
/** Looks without anything better after which a plan as good as the bound is let be. */
const ENOUGH_WHEN_PROVEN = 200;

/**
 * Looks for the plan with the least weighted lateness, then the earliest ends: from orders of turns
 * (earliest due first and others), changed a little again and again, worse ones taken with a
 * falling chance (simulated annealing). Not exact; `bound` says how far it may be from the best.
 * Nothing of chance but the numbers passed in.
 */
export class CalendarSearch {
  private readonly ground: Ground;
  private readonly bound: number;
  private readonly baseline: readonly number[];
  private turns: number[];
  private cost: number;
  private best: { readonly turns: number[]; readonly cost: number };
  /** Jobs late in the plan last looked at, and in the one it stands at. */
  private seen: readonly number[] = [];
  private late: readonly number[] = [];
  private looks = 0;
  private sinceBetter = 0;

  constructor(
    private readonly input: CalendarInput,
    private readonly random: () => number,
    private readonly total: number,
  ) {
    this.ground = groundOf(input);
    this.bound = latenessBound(input);
    this.baseline = firstDue(input);
    const starts = [this.baseline, slackOrder(input), inTurn(input, this.baseline)];
    const rated = starts.map((turns) => ({ turns: [...turns], cost: this.rate(turns) }));
    this.best = rated.reduce((a, b) => (b.cost < a.cost ? b : a));
    this.turns = [...this.best.turns];
    this.cost = this.best.cost;
  }

  /** Part of the way gone, 0 to 1. */
  get progress(): number {
    return this.done ? 1 : this.looks / this.total;
  }

  get done(): boolean {
    return (
      this.turns.length < 2 ||
      this.looks >= this.total ||
      (this.proven && this.sinceBetter >= ENOUGH_WHEN_PROVEN)
    );
  }

  private get proven(): boolean {
    const decoded = decode(this.ground, this.best.turns, false);
    return decoded.unplaced.length === 0 && this.lateOf(decoded) <= this.bound + 1e-6;
  }

  /** Goes on for so many looks, or until there is nothing more to find. */
  step(looks: number): void {
    for (let i = 0; i < looks && this.looks < this.total && this.turns.length > 1; i++) {
      this.looks++;
      const turns = this.changed();
      const cost = this.rate(turns);
      const heat = 0.015 * (1 - this.looks / this.total) ** 2;
      const worse = (cost - this.cost) / Math.max(1, this.cost);
      if (worse <= 0 || this.random() < Math.exp(-worse / Math.max(heat, 1e-9))) {
        this.turns = turns;
        this.cost = cost;
        this.late = this.seen;
      }
      if (cost < this.best.cost - 1e-9) {
        this.best = { turns: [...turns], cost };
        this.sinceBetter = 0;
      } else this.sinceBetter++;
    }
    if (this.sinceBetter >= ENOUGH_WHEN_PROVEN && this.proven) this.looks = this.total;
  }

  /** Two jobs exchanged, one job's turns shifted, or single turns moved. */
  private changed(): number[] {
    const turns = [...this.turns];
    const at = () => Math.floor(this.random() * turns.length);
    const kind = this.random();
    if (kind < 0.4) {
      // Late ones oftener: they are what it is about.
      const late = this.late.length > 0 && this.random() < 0.5;
      const job = late ? this.late[Math.floor(this.random() * this.late.length)]! : turns[at()]!;
      return exchanged(turns, job, turns[at()]!);
    }
    if (kind < 0.7) {
      const job = turns[at()]!;
      const by = Math.floor((this.random() - 0.5) * 0.4 * turns.length);
      return shifted(turns, job, by);
    }
    const [a, b] = [at(), at()];
    if (kind < 0.85) [turns[a], turns[b]] = [turns[b]!, turns[a]!];
    else turns.splice(b, 0, ...turns.splice(a, 1));
    return turns;
  }

  private rate(turns: readonly number[]): number {
    const decoded = decode(this.ground, turns, false);
    this.seen = this.input.jobs.flatMap(({ due }, j) =>
      due !== null && decoded.ends[j]! > due ? [j] : [],
    );
    const ends = decoded.ends.reduce((sum, end) => sum + (Number.isFinite(end) ? end : 1e5), 0);
    return (
      (decoded.unplaced.length - this.ground.refused.length) * UNPLACED_COST +
      decoded.tooEarly * 1e3 +
      this.lateOf(decoded) +
      ends * 1e-4
    );
  }

  private lateOf({ ends }: Decoded): number {
    return this.input.jobs.reduce(
      (sum, { due, weight }, j) =>
        due === null || !Number.isFinite(ends[j]!)
          ? sum
          : sum + weight * Math.max(0, ends[j]! - due),
      0,
    );
  }

  /**
   * A plan that leaves a visit out, or has one before the work it needs, is held against what the
   * other jobs cannot do without: else the bound would count work this plan does not do.
   */
  private boundWithout(unplaced: readonly Unplaced[]): number {
    const out = new Set(unplaced.map(({ jobId }) => jobId));
    return latenessBound({
      ...this.input,
      jobs: this.input.jobs.filter(({ id }) => !out.has(id)),
    });
  }

  /** The best plan so far. */
  plan(): CalendarPlan {
    return this.planOf(this.best.turns);
  }

  /** Earliest due first, as a shop without a calendar works. */
  firstDuePlan(): CalendarPlan {
    return this.planOf(this.baseline);
  }

  private planOf(turns: readonly number[]): CalendarPlan {
    const decoded = decode(this.ground, turns);
    const { visits, unplaced, ends } = decoded;
    return {
      visits: [...visits].sort((a, b) => a.from - b.from),
      unplaced,
      late: this.input.jobs
        .flatMap(({ id, name, due, visits: own }, j) => {
          const end = ends[j]!;
          return due !== null && own.length > 0 && Number.isFinite(end) && end > due
            ? [{ jobId: id, name, minutes: end - due, endsAt: end }]
            : [];
        })
        .sort((a, b) => b.minutes - a.minutes),
      lateness: this.lateOf(decoded),
      bound: unplaced.length === 0 ? this.bound : this.boundWithout(unplaced),
      pressVisits: visits.filter(({ station }) => station === 'press').length,
    };
  }
}

/** Two jobs change places: the turns of both, dealt out again the other way round. */
function exchanged(turns: readonly number[], a: number, b: number): number[] {
  const left = { a: 0, b: 0 };
  for (const job of turns) {
    if (job === a) left.a++;
    else if (job === b) left.b++;
  }
  return turns.map((job) => {
    if (job !== a && job !== b) return job;
    const wantsB = job === a;
    if ((wantsB && left.b > 0) || left.a === 0) {
      left.b--;
      return b;
    }
    left.a--;
    return a;
  });
}

/** All of a job's turns together, so many places earlier or later than they began. */
function shifted(turns: readonly number[], job: number, by: number): number[] {
  const others = turns.filter((other) => other !== job);
  const to = Math.min(others.length, Math.max(0, turns.indexOf(job) + by));
  others.splice(to, 0, ...Array<number>(turns.length - others.length).fill(job));
  return others;
}

const whole = ({ jobs }: CalendarInput, order: readonly number[]) =>
  order.flatMap((j) => Array<number>(jobs[j]!.visits.length).fill(j));

const by = ({ jobs }: CalendarInput, key: (j: number) => number) =>
  jobs.map((_, j) => j).sort((a, b) => key(a) - key(b) || a - b);

/** Jobs one after the other by promise. */
const firstDue = (input: CalendarInput) =>
  whole(
    input,
    by(input, (j) => input.jobs[j]!.due ?? 1e9),
  );

/** Jobs by what is left between their work and their promise. */
const slackOrder = (input: CalendarInput) =>
  whole(
    input,
    by(input, (j) => {
      const { due, visits, weight } = input.jobs[j]!;
      const work = visits.reduce((sum, visit) => sum + visit.minutes, 0);
      return (due === null ? 1e9 : due - work) / weight;
    }),
  );

/** One visit of each in turn. */
function inTurn({ jobs }: CalendarInput, order: readonly number[]): number[] {
  const unique = [...new Set(order)];
  const most = Math.max(0, ...jobs.map(({ visits }) => visits.length));
  return Array.from({ length: most }, (_, k) =>
    unique.filter((j) => jobs[j]!.visits.length > k),
  ).flat();
}

/** A whole search in one go. */
export function planCalendar(
  input: CalendarInput,
  random: () => number,
  looks: number,
): CalendarPlan {
  const search = new CalendarSearch(input, random, looks);
  while (!search.done) search.step(100);
  return search.plan();
}
