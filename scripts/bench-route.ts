/** The route, the ripple and the calendar: how long, and how near to the best. */
import { aBow, aFinishedJob, aPart, anItem, FINISHED, FULL_KIT } from '@/core/testing/fixtures';
import { derive } from '@/core/job';
import { seeded } from '@/core/numerics';
import { bestRoute, type RouteInput } from '@/core/route';
import { CalendarSearch, type CalendarInput } from '@/core/calendar';
import { staleValues } from '@/core/ripple';
import { STATIONS, STEP_TEMPLATES } from '@/core/bench';
import { historyOf, REGISTRY } from '@/core/setup';

const DAY = 1440;

/** Median of several runs, ms. */
function median(runs: number, work: () => void): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

function route45(): RouteInput {
  const steps = STEP_TEMPLATES.slice(0, 45).map(({ id, station, archer, needs }) => ({
    id,
    station,
    archer,
    needs: needs.filter((need) => STEP_TEMPLATES.slice(0, 45).some((other) => other.id === need)),
  }));
  return {
    steps,
    changeCost: Object.fromEntries(STATIONS.map((s) => [s.id, s.changeCost])),
    archerCallCost: 8,
  };
}

/** 40 jobs of 8 visits, a fortnight of promises, two people. */
function busyShop(seed: number): CalendarInput {
  const random = seeded(seed);
  const some = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const way = ['vice', 'press', 'drawBoard', 'vice', 'lane', 'lane', 'press', 'counter'];
  const shifts = (from: number, to: number) =>
    Array.from({ length: 60 }, (_, d) => ({ from: d * DAY + from * 60, to: d * DAY + to * 60 }));
  return {
    now: 540,
    stations: { counter: 2, vice: 2, press: 1, drawBoard: 1, lane: 1 },
    people: [
      { name: 'A', shifts: shifts(9, 18) },
      { name: 'B', shifts: shifts(11, 20) },
    ],
    jobs: Array.from({ length: 40 }, (_, j) => {
      const arrives = random() < 0.3 ? some(0, 4) : 0;
      return {
        id: `job-${j}`,
        name: `job ${j}`,
        weight: some(1, 3),
        due: (arrives + some(1, 8)) * DAY + 1080,
        appointment: null,
        visits: way.map((station, v) => ({
          id: `v${v}`,
          station,
          archer: v === 5,
          minutes: some(10, 45),
          steps: 3,
          release: v === 0 ? arrives * DAY + 600 : 0,
          pinnedAt: null,
        })),
      };
    }),
  };
}

const input = route45();
const routeMs = median(15, () => void bestRoute(input));
console.log(`route, ${input.steps.length} steps: ${routeMs.toFixed(1)} ms`);

const readings = REGISTRY.map(({ key }, i) => ({ ...FINISHED[0]!, key, seq: i + 1, si: 1 }));
const changed = [...readings, { ...readings[0]!, key: 'stringTwists' as const, seq: 900, si: 4 }];
const history = historyOf(changed);
const rippleMs = median(2001, () => void staleValues(history));
console.log(
  `ripple over ${history.size} values, ${staleValues(history).length} stale: ${rippleMs.toFixed(3)} ms`,
);
const all = { ...FULL_KIT[0]!, ...aPart(anItem('quiver'), 'quiver') };
const fresh = aFinishedJob({ rest: { bow: aBow(), parts: [...FULL_KIT, all], readings: [] } });
console.log(
  `a whole job derived, nothing done yet: ${median(15, () => void derive(fresh)).toFixed(1)} ms`,
);

/** Against nothing late there is no ratio. */
const ratio = (a: number, b: number) =>
  b > 0 ? `${(a / b).toFixed(2)} to 1` : a > 0 ? 'against none' : 'the same';

for (const seed of [1, 2, 3, 4, 5]) {
  const shop = busyShop(seed);
  const start = performance.now();
  const search = new CalendarSearch(shop, seeded(seed), 2000);
  let looks = 0;
  while (!search.done && performance.now() - start < 2500) {
    search.step(20);
    looks += 20;
  }
  const ms = performance.now() - start;
  const plan = search.plan();
  const first = search.firstDuePlan();
  const hours = (minutes: number) => `${(minutes / 60).toFixed(0)} h`;
  console.log(
    `calendar, 40 jobs of 8 visits, seed ${seed}: ${ms.toFixed(0)} ms, ${looks} looks; weighted lateness ${hours(plan.lateness)}, bound ${hours(plan.bound)} (${ratio(plan.lateness, plan.bound)}), earliest due first ${hours(first.lateness)} (${ratio(first.lateness, plan.lateness)})`,
  );
}
