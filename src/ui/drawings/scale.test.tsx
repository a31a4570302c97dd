import { scale, ticks } from './scale';

describe('rulers', () => {
  test('a scale puts its ends inside the inset', () => {
    const s = scale(25, 30, 528);
    expect(s.x(25)).toBe(14);
    expect(s.x(30)).toBe(514);
    expect(s.x(27.5)).toBe(264);
  });
  test('an inch in eighths: whole, half, quarters, eighths', () => {
    expect(ticks({ from: 27, to: 28 }, 1, 8).map((tick) => tick.rank)).toEqual([
      0, 3, 2, 3, 1, 3, 2, 3, 0,
    ]);
  });
  test('starts at the first tick inside', () => {
    expect(ticks({ from: 26.9, to: 27.3 }, 1, 8).map((tick) => tick.value)).toEqual([
      27, 27.125, 27.25,
    ]);
  });
  test('tens', () => {
    const ten = ticks({ from: 700, to: 710 }, 10, 10);
    expect(ten).toHaveLength(11);
    expect(ten[5]).toEqual({ value: 705, rank: 1 });
  });
});
