import { seeded } from '../numerics';
import { told } from '../testing/told';
import { CalendarSearch, planCalendar } from './search';
import { decode, groundOf, plannedMinutes } from './decode';
import { latenessBound } from './bound';
import { remediesFor } from './remedies';
import type { CalendarInput, CalendarJob, CalendarPlan, CalendarVisit } from './types';

const DAY = 1440;
const shifts = (days: number, from = 9, to = 18) =>
  Array.from({ length: days }, (_, d) => ({ from: d * DAY + from * 60, to: d * DAY + to * 60 }));
const visit = (
  station: string,
  minutes: number,
  more: Partial<CalendarVisit> = {},
): CalendarVisit => ({
  id: `${station}-${minutes}`,
  station,
  archer: false,
  minutes,
  steps: 2,
  release: 0,
  pinnedAt: null,
  ...more,
});
const job = (
  id: string,
  visits: CalendarVisit[],
  more: Partial<CalendarJob> = {},
): CalendarJob => ({
  id,
  name: id,
  weight: 1,
  due: null,
  visits,
  appointment: null,
  ...more,
});
const shop = (jobs: CalendarJob[], more: Partial<CalendarInput> = {}): CalendarInput => ({
  now: 9 * 60,
  stations: { counter: 2, vice: 2, press: 1, drawBoard: 1, lane: 1 },
  people: [{ name: 'T. Okoro', shifts: shifts(20) }],
  jobs,
  ...more,
});
const plan = (input: CalendarInput, looks = 400): CalendarPlan =>
  planCalendar(input, seeded(7), looks);

/** Nothing on top of something else, nobody at two places, everything in its order and hours. */
function expectWorks(input: CalendarInput, { visits }: CalendarPlan) {
  const apart = (same: (a: (typeof visits)[number], b: (typeof visits)[number]) => boolean) => {
    for (const a of visits)
      for (const b of visits)
        if (a !== b && same(a, b)) expect(a.to <= b.from || b.to <= a.from).toBe(true);
  };
  apart((a, b) => a.station === b.station && a.unit === b.unit);
  apart((a, b) => a.person === b.person);
  apart((a, b) => a.jobId === b.jobId);
  for (const placed of visits) {
    const own = input.jobs.find(({ id }) => id === placed.jobId)!;
    const at = own.visits.findIndex(({ id }) => id === placed.visitId);
    expect(placed.to - placed.from).toBe(plannedMinutes(own.visits[at]!.minutes));
    expect(placed.from).toBeGreaterThanOrEqual(Math.max(input.now, own.visits[at]!.release));
    expect(placed.unit).toBeLessThan(input.stations[placed.station]!);
    const { shifts: hours } = input.people.find(({ name }) => name === placed.person)!;
    expect(hours.some(({ from, to }) => from <= placed.from && placed.to <= to)).toBe(true);
    if (at > 0) {
      const before = visits.find(
        ({ jobId, visitId }) => jobId === own.id && visitId === own.visits[at - 1]!.id,
      )!;
      expect(before.to).toBeLessThanOrEqual(placed.from);
    }
  }
}

/** A shop of its own making, the same for the same seed. */
function aShop(seed: number, count: number, visitsEach: number, days = 6): CalendarInput {
  const random = seeded(seed);
  const some = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const stations = ['vice', 'press', 'drawBoard', 'vice', 'lane', 'counter'];
  const jobs = Array.from({ length: count }, (_, j) =>
    job(
      `job-${j}`,
      Array.from({ length: visitsEach }, (_, v) =>
        visit(stations[some(0, 5)]!, some(5, 70), {
          id: `v${v}`,
          release: v === 0 ? some(0, 2 * DAY) : 0,
        }),
      ),
      { due: some(0, days) * DAY + 18 * 60, weight: some(1, 3) },
    ),
  );
  return shop(jobs, {
    people: [
      { name: 'T. Okoro', shifts: shifts(40) },
      { name: 'M. Lindauer', shifts: shifts(40, 12, 20) },
    ],
  });
}

/** Least lateness by trying every order of turns: only for a handful of visits. */
function bruteForce(input: CalendarInput): number {
  let best = Infinity;
  const left = input.jobs.map(({ visits }) => visits.length);
  const walk = (turns: number[]): void => {
    if (left.every((n) => n === 0)) {
      best = Math.min(best, lateness(input, turns));
      return;
    }
    left.forEach((n, j) => {
      if (n === 0) return;
      left[j]!--;
      walk([...turns, j]);
      left[j]!++;
    });
  };
  walk([]);
  return best;
}
function lateness(input: CalendarInput, turns: number[]): number {
  const { ends } = decode(groundOf(input), turns);
  return input.jobs.reduce(
    (sum, { due, weight }, j) => sum + weight * Math.max(0, ends[j]! - (due ?? Infinity)),
    0,
  );
}

describe('a plan of the bench', () => {
  test.each([1, 2, 3, 4, 5, 6])(
    'seed %i: everything has its place, and nothing clashes',
    (seed) => {
      const input = aShop(seed, 10, 5);
      const found = plan(input);
      expect(found.unplaced).toEqual([]);
      expect(found.visits).toHaveLength(50);
      expectWorks(input, found);
      expect(found.lateness).toBeGreaterThanOrEqual(found.bound - 1e-6);
    },
  );

  test.each([11, 12, 13, 14, 15, 16, 17, 18])('seed %i: as good as every order tried', (seed) => {
    const input = aShop(seed, 3, 3, 1);
    const best = bruteForce(input);
    expect(plan(input, 1500).lateness).toBeCloseTo(best, 6);
    expect(latenessBound(input)).toBeLessThanOrEqual(best + 1e-6);
  });

  test.each([31, 32, 33, 34, 35, 36])(
    'seed %i: the bound is never above the plan, also with visits put somewhere and some without a place',
    (seed) => {
      const shop = aShop(seed, 8, 4, 1);
      const random = seeded(seed);
      const shift = shop.people[0]!.shifts[0]!;
      const jobs = shop.jobs.map((job, j) => ({
        ...job,
        visits: job.visits.map((visit, i) => {
          const pinned = random() < 0.3 ? shift.from + Math.floor(random() * 30) * 30 : null;
          // Some are longer than anybody works in one go.
          const tooLong = (j + i + seed) % 11 === 0;
          return { ...visit, pinnedAt: pinned, minutes: tooLong ? 2000 : visit.minutes };
        }),
      }));
      const found = plan({ ...shop, jobs });
      expect(found.unplaced.length).toBeGreaterThan(0);
      expect(found.bound).toBeLessThanOrEqual(found.lateness + 1e-6);
    },
  );

  test('never later than earliest due first, and the same for the same seed', () => {
    for (const seed of [21, 22, 23]) {
      const input = aShop(seed, 12, 5, 3);
      const search = new CalendarSearch(input, seeded(seed), 400);
      while (!search.done) search.step(50);
      expect(search.plan().lateness).toBeLessThanOrEqual(search.firstDuePlan().lateness);
      expect(planCalendar(input, seeded(seed), 400)).toEqual(search.plan());
      expect(search.progress).toBe(1);
    }
  });

  test('one press: two bows one after the other, by who is due first', () => {
    const found = plan(
      shop(
        [
          job('later', [visit('press', 60)], { due: 2 * DAY }),
          job('first', [visit('press', 60)], { due: 600 }),
        ],
        {
          people: [
            { name: 'A', shifts: shifts(5) },
            { name: 'B', shifts: shifts(5) },
          ],
        },
      ),
    );
    expect(found.visits.map(({ jobId, from }) => [jobId, from])).toEqual([
      ['first', 540],
      ['later', 600],
    ]);
    expect(found.late).toEqual([]);
  });

  test('two vices and two people work at once; one person alone does not', () => {
    const jobs = [job('a', [visit('vice', 30)]), job('b', [visit('vice', 30)])];
    const two = [
      { name: 'A', shifts: shifts(5) },
      { name: 'B', shifts: shifts(5) },
    ];
    expect(plan(shop(jobs, { people: two })).visits.map(({ from }) => from)).toEqual([540, 540]);
    expect(plan(shop(jobs)).visits.map(({ from }) => from)).toEqual([540, 570]);
  });

  test('a part that comes on Thursday holds its visit, not the ones before', () => {
    const found = plan(
      shop([job('a', [visit('vice', 30), visit('press', 30, { release: 3 * DAY + 540 })])]),
    );
    expect(found.visits.map(({ from }) => from)).toEqual([540, 3 * DAY + 540]);
  });

  test('the archer’s visit waits for the appointment; one without is to be arranged', () => {
    const with16 = { from: 16 * 60, to: 19 * 60 };
    const found = plan(
      shop([
        job('a', [visit('vice', 30), visit('lane', 40, { archer: true })], { appointment: with16 }),
        job('b', [visit('lane', 40, { archer: true })]),
      ]),
    );
    expect(found.visits.find(({ jobId, archer }) => jobId === 'a' && archer)).toMatchObject({
      from: 16 * 60,
      toArrange: false,
    });
    expect(found.visits.find(({ jobId }) => jobId === 'b')).toMatchObject({ toArrange: true });
  });

  test('nothing is cut in two by the evening', () => {
    const found = plan(shop([job('a', [visit('vice', 60)])], { now: 17.5 * 60 }));
    expect(found.visits[0]).toMatchObject({ from: DAY + 540, to: DAY + 600 });
  });

  test('what nobody can do is said, with the reason', () => {
    const long = plan(shop([job('a', [visit('vice', 600), visit('press', 20)])]));
    expect(long.visits).toEqual([]);
    expect(long.unplaced.map(({ why }) => why)).toEqual(['tooLong', 'tooEarly']);
    expect(plan(shop([job('a', [visit('vice', 30)])], { people: [] })).unplaced[0]!.why).toBe(
      'noHours',
    );
    expect(plan(shop([])).visits).toEqual([]);
  });
});

describe('a visit somebody put', () => {
  const pinned = (at: number, more: Partial<CalendarInput> = {}) =>
    plan(
      shop(
        [
          job('a', [visit('vice', 30), visit('press', 30, { pinnedAt: at }), visit('lane', 30)]),
          job('b', [visit('press', 60)]),
        ],
        more,
      ),
    );
  test('stands where it was put, and the rest follows', () => {
    const found = pinned(13 * 60);
    const at = (id: string) => found.visits.find(({ visitId }) => visitId === id)!;
    expect(at('press-30')).toMatchObject({ from: 13 * 60, pinned: true });
    expect(at('vice-30').to).toBeLessThanOrEqual(13 * 60);
    expect(at('lane-30').from).toBeGreaterThanOrEqual(13 * 60 + 30);
    expect(found.unplaced).toEqual([]);
  });
  test.each([
    [8 * 60, 'tooEarly'],
    [9 * 60, 'tooEarly'],
    [20 * 60, 'nobodyFree'],
  ] as const)('at minute %i it cannot be: %s', (at, why) => {
    expect(pinned(at).unplaced).toEqual([{ jobId: 'a', visitId: 'press-30', why }]);
  });
  test('on top of another that was put there it cannot be', () => {
    const found = plan(
      shop(
        [
          job('a', [visit('press', 30, { pinnedAt: 600 })]),
          job('b', [visit('press', 60, { pinnedAt: 620 })]),
        ],
        {
          people: [
            { name: 'A', shifts: shifts(5) },
            { name: 'B', shifts: shifts(5) },
          ],
        },
      ),
    );
    expect(found.unplaced).toEqual([{ jobId: 'b', visitId: 'press-60', why: 'stationTaken' }]);
  });
});

describe('late, and what to do about it', () => {
  const remedies = (input: CalendarInput) => {
    const found = plan(input);
    expect(found.late.length).toBeGreaterThan(0);
    return remediesFor(input, found, found.late[0]!, () => seeded(3));
  };
  const dueToday = { due: 18 * 60 };
  test('an hour in the evening, when that is all it lacks', () => {
    const [first, last] = remedies(
      shop([job('a', [visit('vice', 60), visit('press', 30)], dueToday)], { now: 17 * 60 }),
    );
    expect(first).toEqual({ kind: 'overtime', person: 'T. Okoro', days: [0] });
    expect(last).toEqual({ kind: 'promise', day: 1 });
  });
  test('a visit put too late by hand is let go', () => {
    const put = job('a', [visit('vice', 60, { pinnedAt: 2 * DAY + 600 })], { due: DAY + 1080 });
    expect(remedies(shop([put]))[0]).toEqual({
      kind: 'letGo',
      visitId: put.visits[0]!.id,
      was: 2 * DAY + 600,
    });
  });
  test('what would bring it home at the cost of another one is none', () => {
    // Nine hours of press in the day: both do not fit into it.
    const put = job('a', [visit('press', 60, { pinnedAt: DAY + 600 })], {
      due: 18 * 60,
      weight: 10,
    });
    const other = job('b', [visit('press', 510)], { due: 18 * 60 });
    expect(remedies(shop([put, other])).map(({ kind }) => kind)).toEqual(['promise']);
    const shorter = job('b', [visit('press', 450)], { due: 18 * 60 });
    expect(remedies(shop([put, shorter])).map(({ kind }) => kind)).toEqual(['letGo', 'promise']);
  });
  test('what has to dry holds the next visit up', () => {
    const glued = job('a', [visit('counter', 15, { restAfter: 240 }), visit('counter', 15)]);
    const { visits } = plan(shop([glued]));
    expect(visits[1]!.from - visits[0]!.to).toBeGreaterThanOrEqual(240);
  });
  test('a part by express, and another appointment', () => {
    const late = job('a', [visit('vice', 60, { release: 4 * DAY + 540 })], { due: 2 * DAY + 1080 });
    expect(remedies(shop([late]))).toEqual([
      { kind: 'express', day: 2, was: 4 },
      { kind: 'promise', day: 4 },
    ]);
    const comesLate = job('a', [visit('lane', 60, { archer: true })], {
      due: DAY + 1080,
      appointment: { from: 3 * DAY + 600, to: 3 * DAY + 780 },
    });
    expect(remedies(shop([comesLate]))[0]).toEqual({
      kind: 'appointment',
      from: 540,
      was: 3 * DAY + 600,
    });
  });
  test('the bound knows a job that alone cannot be in time, and a press that is full', () => {
    const alone = shop([job('a', [visit('vice', 60, { release: 4 * DAY + 540 })], { due: DAY })]);
    expect(latenessBound(alone)).toBe(4 * DAY + 600 - DAY);
    const full = shop(
      Array.from({ length: 10 }, (_, i) => job(`j${i}`, [visit('press', 120)], { due: 18 * 60 })),
    );
    expect(latenessBound(full)).toBeGreaterThan(5 * 900);
    expect(latenessBound(full)).toBeLessThanOrEqual(plan(full).lateness);
  });
});

describe('whole plans, as they were when somebody last read them', () => {
  const pin = (input: CalendarInput, j: number, at: number): CalendarInput => ({
    ...input,
    jobs: input.jobs.map((one, i) =>
      i === j
        ? { ...one, visits: one.visits.map((v, k) => (k === 0 ? { ...v, pinnedAt: at } : v)) }
        : one,
    ),
  });
  const inTime = aShop(11, 6, 3);
  test.each<[string, CalendarInput]>([
    ['six jobs', inTime],
    ['more than the days hold', aShop(12, 14, 4, 2)],
    ['one put on another day', pin(inTime, 2, DAY + 13 * 60)],
    ['one put where nobody works', pin(inTime, 2, DAY + 3 * 60)],
    [
      'archers who come, glue that dries, one press for all',
      shop(
        ['a', 'b', 'c', 'd'].map((id, i) =>
          job(
            id,
            [
              visit('press', 50, { id: `${id}1`, restAfter: 120 }),
              visit('vice', 25, { id: `${id}2`, release: i * 300 }),
              visit('lane', 40, { id: `${id}3`, archer: true }),
            ],
            {
              due: (i < 2 ? 0 : 1) * DAY + 18 * 60,
              weight: 1 + (i % 2),
              appointment: i === 1 ? { from: DAY + 10 * 60, to: DAY + 13 * 60 } : null,
            },
          ),
        ),
      ),
    ],
    ['nobody there', { ...inTime, people: [] }],
    ['a visit longer than any day', shop([job('long', [visit('vice', 700)])])],
  ])('%s', (_, input) => {
    const made = plan(input, 150);
    const remedies = made.late
      .slice(0, 2)
      .map((late) => remediesFor(input, made, late, () => seeded(3)));
    expect(told({ ...made, remedies, bound: latenessBound(input) })).toMatchSnapshot();
  });
});
