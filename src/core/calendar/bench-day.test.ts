import { benchDay } from './bench-day';
import type { PlacedVisit } from './types';

const visit = (from: number, to: number) => ({ from, to }) as PlacedVisit;
const person = (...shifts: [number, number][]) => ({
  name: 'T.',
  skills: [],
  shifts: shifts.map(([from, to]) => ({ from, to })),
});

test('a day holds what begins in it, and is open while anybody works', () => {
  const visits = [visit(600, 660), visit(1430, 1500), visit(1440 + 540, 1440 + 600)];
  const people = [person([540, 1080], [1440 + 480, 1440 + 900]), person([600, 1200])] as never;
  expect(benchDay(visits, people, 0)).toEqual({
    visits: visits.slice(0, 2),
    opens: 540,
    closes: 1200,
  });
  expect(benchDay(visits, people, 1)).toEqual({ visits: [visits[2]], opens: 480, closes: 900 });
});

test('where nobody works there is no time between opening and closing', () => {
  const { opens, closes } = benchDay([], [], 3);
  expect(opens).toBe(closes);
});
