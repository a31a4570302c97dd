import { seeded } from '@/core/numerics';
import {
  CalendarSearch,
  remediesFor,
  type CalendarInput,
  type CalendarPlan,
  type Remedy,
} from '@/core/calendar';

/** Plans looked at between two words about how far it is. */
const PIECE = 60;
const LOOKS = 1500;
const SEED = 20;
/** Late jobs whose remedies are tried; each is several plans more. */
const MOST_REMEDIED = 4;

export interface JobRemedies {
  readonly jobId: string;
  readonly remedies: readonly Remedy[];
}

export type CalendarSaid =
  | { readonly say: 'progress'; readonly part: number; readonly plan: CalendarPlan }
  | {
      readonly say: 'plan';
      readonly plan: CalendarPlan;
      /** Of the jobs that stay late, latest first. */
      readonly remedies: readonly JobRemedies[];
    }
  | { readonly say: 'refused'; readonly message: string };

const isInput = (data: unknown): data is CalendarInput =>
  typeof data === 'object' &&
  data !== null &&
  Array.isArray((data as CalendarInput).jobs) &&
  Array.isArray((data as CalendarInput).people) &&
  Number.isFinite((data as CalendarInput).now);

/** Plans the bench piece by piece; what runs it may stop between two pieces and keep the last plan. */
export function* planPieces(data: unknown): Generator<CalendarSaid> {
  if (!isInput(data)) return yield { say: 'refused', message: 'That is nothing to plan.' };
  const search = new CalendarSearch(data, seeded(SEED), LOOKS);
  while (!search.done) {
    search.step(PIECE);
    yield { say: 'progress', part: search.progress, plan: search.plan() };
  }
  const plan = search.plan();
  const remedies = plan.late.slice(0, MOST_REMEDIED).map((late) => ({
    jobId: late.jobId,
    remedies: remediesFor(data, plan, late, () => seeded(SEED)),
  }));
  yield { say: 'plan', plan, remedies };
}
