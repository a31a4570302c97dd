import { bowName } from '@/core/bow';
import {
  dayOfMinute,
  remeasureDay,
  stageStates,
  type JobSnapshot,
  type Ticket,
  type TicketState,
  type TodayView,
} from '@/core/job';
import { setupValue } from '@/core/setup';
import { stationName } from '@/core/bench';
import { USUAL_SHIFT, type LateJob } from '@/core/calendar';
import { COME_BACK_DAYS } from '@/core/sheet';
import { addDays } from '@/core/units';
import { db, type Db } from '@/data/db';
import { ordersForTheShelf as forTheShelf } from '@/data/orders';
import { shopSettings } from '@/data/settings';
import { calendarView } from './calendar';
import { now, shopDay, shopMinutes } from './clock';
import { readJobs, type ReadJob } from './read-jobs';

/** The home screen: tickets in order of what to do next, the bench's day, arrivals, returns. */
export function todayView(from: Db = db()): TodayView {
  const shop = shopSettings(from);
  const day = shopDay(shop.timeZone);
  const minutesNow = shopMinutes(shop.timeZone, now());
  const { jobs: all, unreadable } = readJobs(from);
  const jobs = all.map(({ snapshot }) => snapshot);
  const openJobs = all.filter(({ snapshot }) => !snapshot.job.deliveredAt);
  // Who was measured anew in a later job is asked back for that one.
  const newest = new Map(
    [...jobs].sort((a, b) => a.job.number - b.job.number).map(({ job }) => [job.archerId, job.id]),
  );
  const calendar = calendarView(from, openJobs);
  const late = new Map(calendar.plan.late.map((entry) => [entry.jobId, entry]));
  const tickets = all.map((job) =>
    ticketOf(job, day, lateWords(late.get(job.snapshot.job.id), day)),
  );
  const shifts = calendar.input.people.flatMap((person) =>
    person.shifts.filter((shift) => shift.from < 1440),
  );
  return {
    day,
    minutesNow,
    tickets: tickets.sort(byUrgency),
    visits: calendar.plan.visits.filter((visit) => visit.from < 1440),
    calendar,
    closedFor: shop.closed.find((closed) => closed.day === day)?.name ?? null,
    arriving: [
      ...jobs.flatMap((snapshot) =>
        awaited(snapshot).map(({ day: on, label }) => ({
          day: on,
          label,
          name: snapshot.archer.name,
          jobId: snapshot.job.id,
        })),
      ),
      ...forTheShelf(from).map(({ label, arrivesDay }) => ({
        day: arrivesDay,
        label,
        name: '',
        jobId: null,
      })),
    ].sort((a, b) => a.day.localeCompare(b.day)),
    comingBack: jobs
      .flatMap(({ job, archer, fitReadings }) => {
        const entry = { name: archer.name, jobId: job.id };
        const measure = newest.get(archer.id) === job.id ? remeasureDay(archer, fitReadings) : null;
        return [
          ...(job.deliveredAt
            ? [
                {
                  ...entry,
                  day: comeBackDay(shop.timeZone, job.deliveredAt),
                  why: 'visit' as const,
                },
              ]
            : []),
          ...(measure === null ? [] : [{ ...entry, day: measure, why: 'measure' as const }]),
        ];
      })
      .sort((a, b) => a.day.localeCompare(b.day)),
    unreadable,
    shopName: shop.name,
    people: shop.people,
    timeZone: shop.timeZone,
    opens: Math.min(...shifts.map((shift) => shift.from), USUAL_SHIFT.to),
    closes: shifts.length > 0 ? Math.max(...shifts.map((shift) => shift.to)) : USUAL_SHIFT.to,
  };
}

/** What a job waits for or got, the bow first, with its day. */
const awaited = ({ bow, bowHeld, parts }: JobSnapshot) => [
  ...(bow && bowHeld?.arrivesDay && !bowHeld.handedOver
    ? [{ what: 'bow', day: bowHeld.arrivesDay, label: bowName(bow) }]
    : []),
  ...parts.flatMap(({ arrivesDay, label, handedOver }) =>
    arrivesDay && !handedOver ? [{ what: 'part', day: arrivesDay, label }] : [],
  ),
];

/** The day of the second visit, by the shop's own calendar. */
const comeBackDay = (timeZone: string, instant: string) =>
  addDays(shopDay(timeZone, instant), COME_BACK_DAYS);

const ORDER: Record<TicketState, number> = { again: 0, going: 0, waits: 1, delivered: 2 };

const byUrgency = (a: Ticket, b: Ticket) =>
  ORDER[a.state] - ORDER[b.state] ||
  (a.promisedDay ?? '9999').localeCompare(b.promisedDay ?? '9999') ||
  a.number - b.number;

/** Said early: what the plan of the bench does not bring home in time. */
const lateWords = (late: LateJob | undefined, day: string): string | null =>
  late ? `done ${dayOfMinute(day, late.endsAt - 1)} by the plan` : null;

function ticketOf({ snapshot, derived }: ReadJob, day: string, planned: string | null): Ticket {
  const { job, archer, bow } = snapshot;
  const states = stageStates(snapshot, derived);
  const { stale, visits } = derived.plan;
  const waiting = awaited(snapshot).find((thing) => thing.day > day);
  const base = {
    jobId: job.id,
    number: job.number,
    name: archer.name,
    about: [
      bow ? bow.model : 'no bow yet',
      archer.hand === 'left' ? 'left hand' : '',
      archer.minor ? `minor, with ${archer.guardianName || '?'}` : '',
    ]
      .filter(Boolean)
      .join(' · '),
    promisedDay: job.promisedDay,
    appointmentAt: job.appointmentAt,
    late:
      lateness(job.promisedDay, waiting, day, job.deliveredAt !== null) ??
      (job.deliveredAt ? null : planned),
    place: job.place,
    nextDay: null,
    comeBackDay: job.deliveredAt ? comeBackDay(snapshot.shop.timeZone, job.deliveredAt) : null,
  };
  if (job.deliveredAt)
    return {
      ...base,
      state: 'delivered',
      tag: 'delivered',
      next: 'Second visit: peep, stretch, sight',
    };
  if (stale.length > 0) {
    const names = stale.slice(0, 2).map((entry) => setupValue(entry.key).name.toLowerCase());
    return {
      ...base,
      state: 'again',
      tag: `${stale.length} again`,
      next: `${capital(names.join(', '))} again`,
    };
  }
  const early = states.find(
    (stage) => ['fit', 'bow', 'kit'].includes(stage.id) && stage.open.length > 0,
  );
  if (waiting)
    return {
      ...base,
      state: 'waits',
      tag: waiting.what === 'bow' ? 'waits for the bow' : 'waits for a part',
      next: `${waiting.label} arrives`,
      nextDay: waiting.day,
    };
  if (early)
    return {
      ...base,
      state: 'going',
      tag: early.name.toLowerCase(),
      next: `${early.name}: ${early.open[0]}`,
    };
  const visit = visits[0];
  const step = visit && derived.plan.steps.find((s) => s.id === visit.steps[0]);
  if (step)
    return {
      ...base,
      state: 'going',
      tag: stationName(visit.station).toLowerCase(),
      next: step.template.title,
    };
  return { ...base, state: 'going', tag: 'handover', next: 'Ready to hand over' };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function lateness(
  promised: string | null,
  waiting: ReturnType<typeof awaited>[number] | undefined,
  day: string,
  delivered: boolean,
): string | null {
  if (!promised || delivered) return null;
  if (promised < day) return 'was promised earlier';
  return waiting && waiting.day > promised
    ? `${waiting.what} arrives after the promised day`
    : null;
}
