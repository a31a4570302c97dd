import type { Slot } from '../kit';
import type { Visit } from './types';
import type { JobStep } from './job-step';

export interface VisitReasons {
  /** Why it is needed, or why it cannot be done with an earlier one: step ids. */
  readonly why: VisitWhy;
  /** Open steps elsewhere that have to be finished before it is begun, in their order. */
  readonly ready: readonly string[];
  /** Parts that must lie ready. */
  readonly parts: readonly Slot[];
}

export type VisitWhy =
  /** The first one at this station: what follows waits for it. */
  | { readonly kind: 'opens'; readonly step: string; readonly then: readonly string[] }
  /** Again at this station: `step` could not be done before, since `after` comes between. */
  | { readonly kind: 'again'; readonly step: string; readonly after: string }
  /** Nothing waits for it: the work itself is what is left. */
  | { readonly kind: 'last'; readonly step: string };

/** Why each visit of the cheapest route is made, and what has to be ready for it. */
export function explainVisits(visits: readonly Visit[], steps: readonly JobStep[]): VisitReasons[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const visitOf = new Map(visits.flatMap((visit, i) => visit.steps.map((id) => [id, i] as const)));
  const needsOf = (id: string) => byId.get(id)!.template.needs.filter((need) => byId.has(need));
  return visits.map((visit, i) => {
    const earlier = visits.findLastIndex(
      (other, k) => k < i && other.station === visit.station && other.archer === visit.archer,
    );
    return {
      why: earlier < 0 ? opens(visit, i) : again(visit, earlier),
      ready: readyFor(visit),
      parts: [...new Set(visit.steps.flatMap((id) => byId.get(id)!.template.uses ?? []))],
    };
  });

  /** The step that kept the visit from being made with the earlier one, and what it waited for. */
  function again(visit: Visit, earlier: number): VisitWhy {
    for (const id of visit.steps) {
      const after = needsOf(id).find(
        (need) => visitOf.get(need)! > earlier && !visit.steps.includes(need),
      );
      if (after) return { kind: 'again', step: id, after };
    }
    return { kind: 'last', step: visit.steps[0]! };
  }

  function opens(visit: Visit, at: number): VisitWhy {
    const waiting = steps.filter(
      ({ id }) => visitOf.get(id)! > at && needsOf(id).some((need) => visit.steps.includes(need)),
    );
    if (waiting.length === 0) return { kind: 'last', step: visit.steps[0]! };
    const step = visit.steps.find((id) => waiting.some((other) => needsOf(other.id).includes(id)))!;
    return { kind: 'opens', step, then: waiting.map(({ id }) => id) };
  }

  /** Everything open that its steps rest on, through any number of others, done in other visits. */
  function readyFor(visit: Visit): string[] {
    const found = new Set<string>();
    const walk = (id: string): void =>
      needsOf(id).forEach((need) => {
        if (found.has(need)) return;
        found.add(need);
        walk(need);
      });
    visit.steps.forEach(walk);
    return visits
      .flatMap(({ steps: ids }) => ids)
      .filter((id) => found.has(id) && !visit.steps.includes(id));
  }
}
