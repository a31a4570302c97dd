import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { Name } from '@/contracts/name';
import {
  calendarInput,
  clockOfMinute,
  dayOfMinute,
  minuteOf,
  type CalendarView,
  type ShopTime,
} from '@/core/job';
import { seeded } from '@/core/numerics';
import {
  clockText,
  groundOf,
  planCalendar,
  type CalendarInput,
  type CalendarPlan,
  type Hindrance,
} from '@/core/calendar';
import { stationName } from '@/core/bench';
import { db, type Db } from '@/data/db';
import { allPins, dropPin, putPin } from '@/data/pins';
import { shopSettings } from '@/data/settings';
import { now, shopDay, shopInstant, shopMinutes } from './clock';
import { heavy } from './heavy';
import { invalid, notFound, Problem } from './problem';
import { openJobs, type ReadJob } from './open-jobs';

const shopTime = (timeZone: string, instant: Date | string): ShopTime => ({
  day: shopDay(timeZone, instant),
  minutes: shopMinutes(timeZone, instant),
});

/** The bench from now on: what is to be planned, and a first plan of it. */
export const calendarView = async (from: Db = db()): Promise<CalendarView> =>
  viewOf(from, (await openJobs(from)).jobs);

/** Open jobs only: who has their bow has nothing left at the bench. */
export async function viewOf(from: Db, open: readonly ReadJob[]): Promise<CalendarView> {
  const { firstDay, input } = inputNow(from, open);
  return { firstDay, input, plan: await planned(input, from) };
}

interface Planned {
  readonly of: string;
  readonly plan: Promise<CalendarPlan>;
}
/** The newest plan of each file that is open: until the next minute, or the next entry, it stays the same. */
const newest = new WeakMap<Db, Planned>();

function planned(input: CalendarInput, from: Db): Promise<CalendarPlan> {
  const of = JSON.stringify(input);
  const known = newest.get(from);
  if (known?.of === of) return known.plan;
  const plan = heavy('plan', input);
  newest.set(from, { of, plan });
  // One that failed is not kept.
  plan.catch(() => newest.delete(from));
  return plan;
}

function inputNow(from: Db, open: readonly ReadJob[]) {
  const shop = shopSettings(from);
  const time = (instant: Date | string) => shopTime(shop.timeZone, instant);
  const here = time(now());
  const input = calendarInput({
    shop,
    now: here,
    jobs: open.map(({ snapshot, derived }) => ({
      snapshot,
      derived,
      appointment: snapshot.job.appointmentAt ? time(snapshot.job.appointmentAt) : null,
    })),
    pins: allPins(from).map(({ jobId, stepId, startsAt }) => ({
      jobId,
      stepId,
      at: time(startsAt),
    })),
  });
  return { firstDay: here.day, input, shop };
}

const PutRequest = Type.Object(
  {
    jobId: Type.String({ maxLength: 60 }),
    visitId: Type.String({ maxLength: 40 }),
    /** Null lets it go again: the plan puts it where it likes. */
    at: Type.Union([
      Type.Null(),
      Type.Object(
        {
          day: Type.String({ format: 'date', pattern: '^20' }),
          minutes: Type.Integer({ minimum: 0, maximum: 1439 }),
        },
        { additionalProperties: false },
      ),
    ]),
    who: Name(60),
    tablet: Type.Optional(Type.String({ maxLength: 60 })),
  },
  { additionalProperties: false },
);
const checkPut = checker(PutRequest);

/** Puts a visit at a time, or lets it go. Where it cannot stand, nothing changes and the reason is said. */
export async function putVisit(body: unknown, on: Db = db()): Promise<CalendarView> {
  const checked = checkPut(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { jobId, visitId, at, who } = checked.value;
  // Nobody else writes between this line and the transaction: both run in one go.
  const open = (await openJobs(on)).jobs;
  const run = on.transaction(() => {
    const { firstDay, input, shop } = inputNow(on, open);
    const job = input.jobs.find(({ id }) => id === jobId);
    const visit = job?.visits.find(({ id }) => id === visitId);
    if (!job || !visit) {
      if (!at) dropPin(on, jobId, visitId);
      else throw notFound('visit');
      return;
    }
    if (at === null) return void dropPin(on, jobId, visitId);
    const minute = minuteOf(firstDay, at);
    const tried = withPin(input, jobId, visitId, minute);
    const why = hindrance(tried, jobId, visitId);
    if (why)
      throw new Problem(422, `visit-${why.kind}`, 'It cannot stand there', {
        detail: say(why, firstDay, visit.station),
        errors: [{ pointer: '/at', detail: say(why, firstDay, visit.station) }],
      });
    putPin(on, {
      jobId,
      stepId: visitId,
      startsAt: shopInstant(shop.timeZone, at.day, at.minutes),
      who,
    });
  });
  run.immediate();
  return viewOf(on, open);
}

const withPin = (
  input: CalendarInput,
  jobId: string,
  visitId: string,
  pinnedAt: number | null,
): CalendarInput => ({
  ...input,
  jobs: input.jobs.map((job) =>
    job.id === jobId
      ? {
          ...job,
          visits: job.visits.map((visit) =>
            visit.id === visitId ? { ...visit, pinnedAt } : visit,
          ),
        }
      : job,
  ),
});

interface Why {
  readonly kind: Hindrance;
  /** Earliest time it could be, where that is what is wrong. */
  readonly earliest: number | null;
}

/** What keeps a visit from standing where it was put, by itself and with what others put. */
function hindrance(input: CalendarInput, jobId: string, visitId: string): Why | null {
  const mine = (entry: { jobId: string; visitId: string }) =>
    entry.jobId === jobId && entry.visitId === visitId;
  const alone = { ...input, jobs: input.jobs.filter(({ id }) => id === jobId) };
  const free = planCalendar(withPin(alone, jobId, visitId, null), seeded(1), 1);
  const earliest = free.visits.find(mine)?.from ?? null;
  const refused = groundOf(input).refused.find(mine);
  if (refused) return { kind: refused.why, earliest };
  const late = planCalendar(alone, seeded(1), 1).unplaced.find(mine);
  return late ? { kind: late.why, earliest } : null;
}

function say({ kind, earliest }: Why, firstDay: string, station: string): string {
  const from =
    earliest === null
      ? ''
      : ` Earliest: ${dayOfMinute(firstDay, earliest)} ${clockText(clockOfMinute(earliest))}.`;
  switch (kind) {
    case 'stationTaken':
      return `The ${stationName(station).toLowerCase()} is taken then by another visit that was put there.`;
    case 'nobodyFree':
      return 'Nobody works then, or everybody is at something that was put there.';
    case 'tooEarly':
      return `The work before it is not done by then, its part not there, or the time is past.${from}`;
    case 'tooLong':
      return 'It is longer than anybody works in one go.';
    case 'noHours':
      return 'Nobody works for as far as the plan looks. Set working hours in the shop’s settings.';
  }
}
