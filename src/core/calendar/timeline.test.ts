import { seeded } from '../numerics';
import { union } from './bound';
import { plannedMinutes, roundUp } from './decode';
import {
  copyOf,
  emptyTimeline,
  freeWithin,
  isFree,
  nextFree,
  take,
  type Timeline,
} from './timeline';

const taken = (line: Timeline) => line.from.map((from, i) => [from, line.to[i]!] as const);
/** The same question asked of every minute, one after the other. */
function slowly(line: Timeline, at: number, length: number, until: number): number {
  for (let start = at; start < until; start++)
    if (taken(line).every(([from, to]) => start + length <= from || to <= start)) return start;
  return Infinity;
}

describe('what is taken of a thing’s time', () => {
  test('nothing taken: free at once', () => {
    expect(nextFree(emptyTimeline(), 17, 1000)).toBe(17);
    expect(isFree(emptyTimeline(), 0, 1)).toBe(true);
  });

  test.each([
    [100, 20, 100],
    [100, 60, 300],
    [150, 20, 200],
    [199, 1, 200],
    [200, 50, 200],
    [230, 21, 300],
    [400, 999, 400],
  ])('from %i on, %i minutes are free at %i', (at, length, free) => {
    const line = emptyTimeline();
    take(line, 120, 200);
    take(line, 250, 300);
    expect(nextFree(line, at, length)).toBe(free);
    expect(isFree(line, free, length)).toBe(true);
  });

  test('touching is not overlapping', () => {
    const line = emptyTimeline();
    take(line, 100, 200);
    take(line, 200, 300);
    take(line, 0, 100);
    expect(taken(line)).toEqual([
      [0, 100],
      [100, 200],
      [200, 300],
    ]);
    expect(nextFree(line, 0, 10)).toBe(300);
  });

  test('a copy is one of its own', () => {
    const line = emptyTimeline();
    const other = copyOf(line);
    take(other, 0, 10);
    expect(taken(line)).toEqual([]);
  });

  test('only within hours; past the last ones never', () => {
    const line = freeWithin([
      { from: 540, to: 600 },
      { from: 700, to: 900 },
    ]);
    expect(nextFree(line, 0, 30)).toBe(540);
    expect(nextFree(line, 580, 30)).toBe(700);
    expect(nextFree(line, 0, 100)).toBe(700);
    expect(nextFree(line, 0, 300)).toBe(Infinity);
    expect(nextFree(line, 880, 30)).toBe(Infinity);
    expect(nextFree(freeWithin([]), 0, 1)).toBe(Infinity);
  });

  test('the same as asking every minute, for a hundred days of chance', () => {
    const random = seeded(9);
    const some = (most: number) => Math.floor(random() * most);
    for (let day = 0; day < 100; day++) {
      const line = freeWithin([
        { from: 60 + some(100), to: 300 + some(100) },
        { from: 500, to: 900 },
      ]);
      for (let i = 0; i < 12; i++) {
        const length = 5 + some(60);
        const at = some(900);
        const free = nextFree(line, at, length);
        expect(free).toBe(slowly(line, at, length, 1000));
        if (Number.isFinite(free)) take(line, free, free + length);
      }
      const spans = taken(line);
      spans.slice(1).forEach(([from], i) => expect(from).toBeGreaterThanOrEqual(spans[i]![1]));
    }
  });
});

test('spans that overlap or touch become one', () => {
  expect(union([])).toEqual([]);
  expect(
    union([
      { from: 700, to: 800 },
      { from: 540, to: 600 },
      { from: 600, to: 650 },
      { from: 620, to: 640 },
    ]),
  ).toEqual([
    { from: 540, to: 650 },
    { from: 700, to: 800 },
  ]);
});

test('nothing is planned shorter than a quarter of an hour, all in whole fives', () => {
  expect([1, 14, 15, 16, 32].map(plannedMinutes)).toEqual([15, 15, 15, 20, 35]);
  expect([600, 601, 604.2].map(roundUp)).toEqual([600, 605, 605]);
});
