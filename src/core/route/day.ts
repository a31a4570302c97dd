export interface DayJob {
  readonly jobId: string;
  readonly name: string;
  readonly visits: readonly {
    readonly station: string;
    readonly archer: boolean;
    readonly steps: readonly string[];
    readonly minutes: number;
  }[];
  /** When the archer is there today, minutes since midnight; null when not. */
  readonly archerAt: number | null;
}

export interface PlannedVisit {
  readonly jobId: string;
  readonly name: string;
  readonly station: string;
  readonly archer: boolean;
  readonly steps: number;
  /** Minutes since midnight. */
  readonly from: number;
  readonly to: number;
}

/** Nothing is drawn shorter than this: hands are washed, the phone rings. */
const LEAST_MINUTES = 15;
const ROUND_TO = 5;

/**
 * A first plan of the day: jobs in the order given, each visit at the earliest time its station
 * is free, the archer only from the appointment on. What does not end before closing is left out
 * with all that follows it. Greedy, so no claim of being the best (models.md section 12).
 */
export function placeVisits(
  jobs: readonly DayJob[],
  opens: number,
  closes: number,
): PlannedVisit[] {
  const taken = new Map<string, PlannedVisit[]>();
  const planned: PlannedVisit[] = [];
  for (const { jobId, name, visits, archerAt } of jobs) {
    let ready = Math.ceil(opens / ROUND_TO) * ROUND_TO;
    for (const { station, archer, steps, minutes } of visits) {
      if (archer && archerAt === null) break;
      if (archer) ready = Math.max(ready, archerAt!);
      const length = Math.max(LEAST_MINUTES, Math.ceil(minutes / ROUND_TO) * ROUND_TO);
      const from = firstGap(taken.get(station) ?? [], ready, length);
      if (from + length > closes) break;
      const visit = { jobId, name, station, archer, steps: steps.length, from, to: from + length };
      taken.set(station, [...(taken.get(station) ?? []), visit]);
      planned.push(visit);
      ready = visit.to;
    }
  }
  return planned;
}

function firstGap(taken: readonly PlannedVisit[], ready: number, length: number): number {
  let from = ready;
  for (const visit of [...taken].sort((a, b) => a.from - b.from)) {
    if (from + length <= visit.from) return from;
    from = Math.max(from, visit.to);
  }
  return from;
}
