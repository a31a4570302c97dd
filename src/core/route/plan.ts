import {
  type BuildContext,
  shopTemplates,
  valueLookup,
  ARCHER_CALL_COST,
  STATIONS,
  type Station,
  type StepTemplate,
} from '../bench';
import { workableRoute } from './order';
import type { Visit } from './types';
import { latest, setupValue, standing, targetOf, type SetupKey } from '../setup';
import { staleValues, type Stale } from '../ripple';
import { explainVisits, type VisitReasons } from './why-visit';
import {
  isFinished,
  type Exception,
  type JobStep,
  type StepState,
  type ValueState,
} from './job-step';

export type PlanVisit = Visit &
  VisitReasons & {
    readonly minutes: number;
    /** What was done in it has to stand so long before the next visit: glue dries. */
    readonly dryMinutes: number;
  };

export interface WorkPlan {
  readonly steps: readonly JobStep[];
  /** What is left, grouped by station in the cheapest order. */
  readonly visits: readonly PlanVisit[];
  readonly minutesLeft: number;
  readonly stale: readonly Stale[];
  /** Steps of the job that are finished. */
  readonly doneCount: number;
  /** Where the bow stands: station of the last work, and whether the archer was there. */
  readonly present: Present | null;
}

export interface Present {
  readonly station: Station;
  readonly archer: boolean;
}

/** Keys the job reads: a bow with one module has no top module. */
export const applicableKeys = (template: StepTemplate, context: BuildContext): SetupKey[] =>
  template.reads.filter((key) => setupValue(key).applies?.(context) ?? true);

/** The job's steps with their state, and the route over what is left (docs/models.md section 12). */
export function workPlan(context: BuildContext, exceptions: readonly Exception[]): WorkPlan {
  const stale = staleValues(context.history, valueLookup(context.shopSteps));
  const byKey = new Map(stale.map((entry) => [entry.key, entry]));
  const { leftOut } = context;
  const templates = shopTemplates(context).filter(
    (template) => template.applies(context) && !leftOut.includes(template.id),
  );
  const ids = new Set(templates.map((template) => template.id));
  const half = templates.map((template) => stateOf(template, context, byKey, exceptions));
  const finished = new Set(half.filter(isFinished).map((step) => step.id));
  const steps = half.map((step) => ({
    ...step,
    missing: step.template.needs.filter((id) => ids.has(id) && !finished.has(id)),
  }));
  const present = presentAt(steps);
  const visits = visitsOf(steps, present);
  return {
    steps,
    visits,
    minutesLeft: visits.reduce((sum, visit) => sum + visit.minutes, 0),
    stale,
    doneCount: finished.size,
    present,
  };
}

/** The station of the step read last, with the archer where it needs them. */
function presentAt(steps: readonly JobStep[]): Present | null {
  let newest: { seq: number; at: Present } | null = null;
  for (const { template, values } of steps)
    for (const { reading } of values)
      if (reading && (newest === null || reading.seq > newest.seq))
        newest = { seq: reading.seq, at: template };
  return newest && { station: newest.at.station, archer: newest.at.archer };
}

function stateOf(
  template: StepTemplate,
  context: BuildContext,
  stale: ReadonlyMap<SetupKey, Stale>,
  exceptions: readonly Exception[],
): Omit<JobStep, 'missing'> {
  const values = applicableKeys(template, context).map((key) => valueState(key, context, stale));
  const newest = Math.max(0, ...values.map((value) => value.reading?.seq ?? 0));
  const exception =
    exceptions.filter((e) => e.stepId === template.id && e.seq > newest).at(-1) ?? null;
  return { id: template.id, template, exception, values, state: decide(values, exception) };
}

export function valueState(
  key: SetupKey,
  context: BuildContext,
  stale: ReadonlyMap<SetupKey, Stale>,
): ValueState {
  const reading = latest(context.history, key);
  const target = targetOf(key, context);
  return {
    key,
    reading,
    target,
    standing: reading ? standing(reading, target) : null,
    stale: stale.get(key) ?? null,
  };
}

function decide(values: readonly ValueState[], exception: Exception | null): StepState {
  const again = values.some(
    (value) => value.stale && (!exception || value.stale.cause.seq > exception.seq),
  );
  if (exception && !again) return 'signed';
  if (values.some((value) => !value.reading)) return 'open';
  if (again) return 'again';
  return values.some((value) => value.standing === 'out') ? 'out' : 'done';
}

function visitsOf(steps: readonly JobStep[], present: Present | null): PlanVisit[] {
  const left = steps.filter((step) => !isFinished(step));
  const open = new Set(left.map((step) => step.id));
  const byId = new Map(left.map((step) => [step.id, step]));
  const route = workableRoute({
    steps: left.map(({ id, template }) => ({
      id,
      station: template.station,
      archer: template.archer,
      needs: template.needs.filter((need) => open.has(need)),
    })),
    ...(present ? { start: present.station, startArcher: present.archer } : {}),
    changeCost: Object.fromEntries(STATIONS.map((s) => [s.id, s.changeCost])),
    archerCallCost: ARCHER_CALL_COST,
  });
  // Shipped steps are tested, a shop's own refused, when they have a cycle or an unknown station.
  if (!route.ok) throw new Error(`Step templates are broken: ${route.message}`);
  const visits = route.visits.flatMap((visit) => splitWhereDrying(visit, byId));
  const reasons = explainVisits(visits, left);
  return visits.map((visit, i) => ({
    ...visit,
    ...reasons[i]!,
    station: visit.station as Station,
    minutes: visit.steps.reduce((sum, id) => sum + byId.get(id)!.template.minutes, 0),
    dryMinutes: Math.max(0, ...visit.steps.map((id) => byId.get(id)!.template.dryMinutes ?? 0)),
  }));
}

/** What waits for glue to dry is another visit, although the station is the same. */
function splitWhereDrying(visit: Visit, byId: ReadonlyMap<string, JobStep>): Visit[] {
  const waits = new Set<string>();
  const now: string[] = [];
  const later: string[] = [];
  for (const id of visit.steps) {
    const { needs } = byId.get(id)!.template;
    const wet = now.filter((done) => byId.get(done)!.template.dryMinutes !== undefined);
    if (needs.some((need) => wet.includes(need) || waits.has(need))) {
      waits.add(id);
      later.push(id);
    } else now.push(id);
  }
  return later.length === 0
    ? [visit]
    : [{ ...visit, steps: now }, ...splitWhereDrying({ ...visit, steps: later }, byId)];
}
