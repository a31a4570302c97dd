import { bowName } from '@/core/bow';
import {
  dayOfMinute,
  GROWS_DAYS,
  remeasureDay,
  stageStates,
  withAge,
  type JobSnapshot,
  type Ticket,
  type TodayView,
  openVisitOf,
  promisedOf,
  visitRows,
} from '@/core/job';
import { setupValue } from '@/core/setup';
import { stationName } from '@/core/bench';
import { USUAL_SHIFT, type LateJob } from '@/core/calendar';
import { addDays, spokenDay } from '@/core/units';
import { db, type Db } from '@/data/db';
import {
  allAwaited,
  deliveredPage,
  askedBack,
  growingMeasured,
  type DeliveredHead,
} from '@/data/job-heads';
import { archerById } from '@/data/jobs';
import { ordersForTheShelf as forTheShelf } from '@/data/orders';
import { readingsOf } from '@/data/records';
import { shopSettings } from '@/data/settings';
import { backupWarning } from './backups';
import { viewOf } from './calendar';
import { now, shopDay, shopInstant, shopMinutes } from './clock';
import { openJobs, type ReadJob } from './open-jobs';
import { othersFirst } from './others-first';

/** Delivered bows shown among the tickets; the others stand on a page of their own. */
const DELIVERED_SHOWN = 6;
/** Who was asked back so long ago and has not come stands there no more, days. Shop rule. */
const ASKED_BACK_DAYS = 30;
/** Later visits are asked for by months: they are told three weeks before. Shop rule. */
const AHEAD_DAYS = 21;
const MOST_COMING_BACK = 40;
const GROWN_YEARS = 18;

/** The home screen: tickets in order of what to do next, the bench’s day, arrivals, returns. */
export async function todayView(from: Db = db()): Promise<TodayView> {
  const open = await openJobs(from);
  const shop = shopSettings(from);
  const day = shopDay(shop.timeZone);
  const minutesNow = shopMinutes(shop.timeZone, now());
  const calendar = await viewOf(from, open.jobs);
  await othersFirst();
  const late = new Map(calendar.plan.late.map((entry) => [entry.jobId, entry]));
  const tickets = open.jobs.map((job) =>
    ticketOf(job, day, lateWords(late.get(job.snapshot.job.id), day)),
  );
  const shifts = calendar.input.people.flatMap((person) =>
    person.shifts.filter((shift) => shift.from < 1440),
  );
  return {
    day,
    minutesNow,
    tickets: [
      ...tickets.sort(byUrgency),
      ...deliveredPage(from, DELIVERED_SHOWN).map(deliveredTicket),
    ],
    calendar: {
      firstDay: calendar.firstDay,
      plan: {
        ...calendar.plan,
        visits: calendar.plan.visits.filter((visit) => visit.from < 1440),
        unplaced: [],
      },
    },
    closedFor: shop.closed.find((closed) => closed.day === day)?.name ?? null,
    arriving: [
      ...allAwaited(from),
      ...forTheShelf(from).map(({ label, arrivesDay }) => ({
        day: arrivesDay,
        label,
        name: '',
        jobId: null,
      })),
    ].sort((a, b) => a.day.localeCompare(b.day)),
    comingBack: comingBack(from, shop.timeZone, day),
    unreadable: open.unreadable,
    backup: backupWarning(),
    shopName: shop.name,
    people: shop.people,
    timeZone: shop.timeZone,
    opens: Math.min(...shifts.map((shift) => shift.from), USUAL_SHIFT.to),
    closes: shifts.length > 0 ? Math.max(...shifts.map((shift) => shift.to)) : USUAL_SHIFT.to,
  };
}

/** Who is asked back: for the second visit, or to be measured again since they grow. */
function comingBack(from: Db, timeZone: string, day: string): TodayView['comingBack'] {
  const since = (days: number) => shopInstant(timeZone, addDays(day, -days), 0);
  const visits = askedBack(
    from,
    addDays(day, -ASKED_BACK_DAYS),
    addDays(day, AHEAD_DAYS),
    MOST_COMING_BACK,
  ).map(({ jobId, name, comeBackDay }) => ({
    day: comeBackDay!,
    name,
    jobId,
    why: 'visit' as const,
  }));
  const rules = shopSettings(from).persons;
  const growing = {
    since: since(GROWS_DAYS + ASKED_BACK_DAYS),
    // Nobody older grows; how old exactly is asked of each.
    bornFrom: `${Number(day.slice(0, 4)) - GROWN_YEARS}${day.slice(4)}`,
  };
  const measures = growingMeasured(from, growing).flatMap(({ archerId, jobId }) => {
    const archer = archerById(from, archerId);
    // Who was measured anew in a later job is asked back for that one.
    const due =
      archer &&
      remeasureDay(withAge(archer, day, rules), readingsOf(from, jobId, null).fitReadings);
    return due ? [{ day: due, name: archer.name, jobId, why: 'measure' as const }] : [];
  });
  return [...visits, ...measures]
    .sort((a, b) => a.day.localeCompare(b.day))
    .slice(0, MOST_COMING_BACK);
}

/** What a job waits for, the bow first, with its day. */
const awaited = ({ bow, bowHeld, parts }: JobSnapshot) => [
  ...(bow && bowHeld?.arrivesDay && !bowHeld.handedOver
    ? [{ what: 'bow', day: bowHeld.arrivesDay, label: bowName(bow) }]
    : []),
  ...parts.flatMap(({ arrivesDay, label, handedOver }) =>
    arrivesDay && !handedOver ? [{ what: 'part', day: arrivesDay, label }] : [],
  ),
];

const byUrgency = (a: Ticket, b: Ticket) =>
  Number(a.state === 'waits') - Number(b.state === 'waits') ||
  (a.promisedDay ?? '9999').localeCompare(b.promisedDay ?? '9999') ||
  a.number - b.number;

/** Said early: what the plan of the bench does not bring home in time. */
const lateWords = (late: LateJob | undefined, day: string): string | null =>
  late ? `done ${spokenDay(dayOfMinute(day, late.endsAt - 1))} by the plan` : null;

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
    promisedDay: promisedOf(job),
    appointmentAt: job.appointmentAt,
    late: lateness(promisedOf(job), waiting, day) ?? planned,
    place: job.place,
    nextDay: null,
    comeBackDay: null,
  };
  const back = openVisitOf(job);
  if (back) {
    const rows = visitRows(back, derived.history);
    const read = rows.filter(({ now }) => now !== null).length;
    return {
      ...base,
      state: 'going',
      tag: 'back in the shop',
      next: `${read} of ${rows.length} looked at`,
      place: 'handover',
    };
  }
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

/** A delivered bow: nothing of it is computed again. */
const deliveredTicket = ({
  deliveredAt: _at,
  maker: _maker,
  model,
  hand,
  minor,
  guardianName,
  ...head
}: DeliveredHead): Ticket => ({
  ...head,
  about: [
    model ?? 'no bow of ours',
    hand === 'left' ? 'left hand' : '',
    minor ? `minor, with ${guardianName || '?'}` : '',
  ]
    .filter(Boolean)
    .join(' · '),
  late: null,
  nextDay: null,
  state: 'delivered',
  tag: 'delivered',
  next: 'Second visit: peep, stretch, sight',
});

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function lateness(
  promised: string | null,
  waiting: ReturnType<typeof awaited>[number] | undefined,
  day: string,
): string | null {
  if (!promised) return null;
  if (promised < day) return 'was promised earlier';
  return waiting && waiting.day > promised
    ? `${waiting.what} arrives after the promised day`
    : null;
}
