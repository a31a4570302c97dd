import { CHECK_SHOTS, nextCheck, readShots } from '.';

describe('when a bow is to be looked at next', () => {
  const left = { leftDay: '2026-11-01', askedDay: '2027-01-30' };
  test.each([
    // [shots, told, day, by]: 100 in 10 days reach 300 after 20 more; worked by hand.
    [0, '2026-11-11', '2027-01-30', 'asked'],
    [100, '2026-11-11', '2026-12-01', 'shots'],
    [150, '2026-11-16', '2026-12-01', 'shots'],
    [300, '2026-11-11', '2026-11-11', 'shots'],
    [2000, '2026-11-11', '2026-11-11', 'shots'],
    // Slowly shot: the day asked for comes first.
    [10, '2026-12-01', '2027-01-30', 'asked'],
    [1, '2027-01-29', '2027-01-30', 'asked'],
    // Told on the day it left: a day at least has passed.
    [100, '2026-11-01', '2026-11-03', 'shots'],
  ])('%i shots told on %s', (shots, told, day, by) => {
    expect(nextCheck({ ...left, shots }, told)).toEqual({ day, by });
  });
  test('a few hundred', () => expect(CHECK_SHOTS).toBe(300));
});

describe('shots as they are told', () => {
  test.each([
    ['250', 250],
    [' about 250 ', 250],
    ['ca. 1200', 1200],
    ['1 200', 1200],
    ['1,200', 1200],
    ['~40', 40],
    ['0', 0],
    ['', null],
    ['-5', null],
    ['2.5', null],
    ['many', null],
    ['1e3', null],
    ['100001', null],
    ['9999999', null],
  ])('“%s”', (typed, count) => expect(readShots(typed)).toBe(count));
});
