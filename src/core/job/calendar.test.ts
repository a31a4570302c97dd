import { aFinishedJob, aShop, aSnapshot, FULL_KIT, aBow } from '../testing/fixtures';
import {
  calendarInput,
  clockOfMinute,
  dayOfMinute,
  minuteOf,
  staffOf,
  type CalendarGround,
} from './calendar';
import { derive } from './derive';
import type { JobSnapshot } from './types';

const DAY = 1440;
const TUESDAY = '2026-11-24';
const entry = (
  snapshot: JobSnapshot,
  appointment: CalendarGround['jobs'][number]['appointment'] = null,
) => ({
  snapshot,
  derived: derive(snapshot),
  appointment,
});
const ground = (more: Partial<CalendarGround> = {}): CalendarGround => ({
  shop: aShop({ people: ['T. Okoro'] }),
  now: { day: TUESDAY, minutes: 600 },
  jobs: [],
  pins: [],
  ...more,
});
const begun = (job: Partial<JobSnapshot['job']> = {}, parts: JobSnapshot['parts'] = FULL_KIT) =>
  aSnapshot({ job: { bowId: 'test-31-r', ...job }, rest: { bow: aBow(), parts } });

describe('minutes of the shop’s clock', () => {
  test.each([
    [TUESDAY, 0, 0],
    [TUESDAY, 615, 615],
    ['2026-11-25', 0, DAY],
    ['2026-12-01', 90, 7 * DAY + 90],
    ['2026-11-23', 600, 600 - DAY],
  ])('%s %i', (day, minutes, minute) => {
    expect(minuteOf(TUESDAY, { day, minutes })).toBe(minute);
    expect(dayOfMinute(TUESDAY, minute)).toBe(day);
    expect(clockOfMinute(minute)).toBe(minutes);
  });
});

describe('who works when', () => {
  const week = (shift: { from: number; to: number } | null) =>
    Array.from({ length: 7 }, () => shift);
  test('a week that nobody set is open every day', () =>
    expect(staffOf(aShop(), TUESDAY, 3)[0]!.shifts).toEqual([
      { from: 540, to: 1200 },
      { from: DAY + 540, to: DAY + 1200 },
      { from: 2 * DAY + 540, to: 2 * DAY + 1200 },
    ]));
  test('days off, closed days, and hours of each', () => {
    const shop = aShop({
      people: ['A', 'B'],
      hours: { A: week({ from: 600, to: 720 }).map((s, i) => (i === 2 ? null : s)), B: week(null) },
      closed: [{ day: '2026-11-26', name: 'x' }],
    });
    const [a, b] = staffOf(shop, TUESDAY, 4);
    // Tuesday, Wednesday off, Thursday closed, Friday.
    expect(a!.shifts.map(({ from }) => Math.floor(from / DAY))).toEqual([0, 3]);
    expect(b!.shifts).toEqual([]);
  });
});

describe('what is planned', () => {
  const input = (...jobs: CalendarGround['jobs']) => calendarInput(ground({ jobs }));
  test('a bow with a rest goes over the bench by its route', () => {
    const job = entry(begun({ promisedDay: '2026-12-04' }));
    const [planned] = input(job).jobs;
    expect(planned!.visits.map(({ station }) => station)).toEqual(
      job.derived.plan.visits.map(({ station }) => station),
    );
    expect(planned!.due).toBe(10 * DAY + 1200);
    expect(planned!.appointment).toBeNull();
  });
  test('without a bow and without an appointment there is nothing to plan', () =>
    expect(input(entry(aSnapshot())).jobs).toEqual([]));
  test('a first fit by appointment; its promise is the bow’s, not the talk’s', () => {
    const talk = entry(aSnapshot({ job: { promisedDay: TUESDAY } }), {
      day: TUESDAY,
      minutes: 900,
    });
    expect(input(talk).jobs[0]).toMatchObject({
      due: null,
      visits: [{ id: 'fit', station: 'counter', archer: true, release: 900 }],
    });
  });
  test('an appointment that is over counts no more', () => {
    const over = entry(begun(), { day: TUESDAY, minutes: 300 });
    expect(input(over).jobs[0]!.appointment).toBeNull();
  });
  test('only visits that need a part wait for it', () => {
    const parts = FULL_KIT.map((part) =>
      part.slot === 'peep' ? { ...part, arrivesDay: '2026-11-27' } : part,
    );
    const { visits } = input(entry(begun({}, parts))).jobs[0]!;
    expect(
      visits.filter(({ release }) => release > 0).map(({ station, release }) => [station, release]),
    ).toEqual([['press', 3 * DAY + 540]]);
  });
  test('a finished job has no visits left', () =>
    expect(input(entry(aFinishedJob())).jobs[0]!.visits).toEqual([]));
  test('a pin in the past is none; one to come stands', () => {
    const job = entry(begun());
    const id = job.derived.plan.visits[1]!.steps[0]!;
    const pinnedAt = (minutes: number) =>
      calendarInput(
        ground({
          jobs: [job],
          pins: [{ jobId: 'job-1', stepId: id, at: { day: TUESDAY, minutes } }],
        }),
      ).jobs[0]!.visits.find((visit) => visit.id === id)!.pinnedAt;
    expect(pinnedAt(500)).toBeNull();
    expect(pinnedAt(700)).toBe(700);
  });
  test('it looks past the last promise', () => {
    const far = entry(begun({ promisedDay: '2027-02-01' }));
    const last = input(far).people[0]!.shifts.at(-1)!;
    expect(last.to).toBeGreaterThan(minuteOf(TUESDAY, { day: '2027-02-10', minutes: 0 }));
  });
});
