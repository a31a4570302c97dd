import { clockText, readShift, shiftText, USUAL_WEEK, weekday } from './hours';

test.each<[string, ReturnType<typeof readShift>]>([
  ['9-18', { from: 540, to: 1080 }],
  [' 9:30–17:00 ', { from: 570, to: 1020 }],
  ['9.30 to 12', { from: 570, to: 720 }],
  ['0-24', { from: 0, to: 1440 }],
  ['', null],
  ['off', null],
  ['OFF', null],
  ['–', null],
  ['-', null],
  ['9', undefined],
  ['18-9', undefined],
  ['9-9', undefined],
  ['9-24:01', undefined],
  ['9-25', undefined],
  ['9-17:60', undefined],
  ['9-12-17', undefined],
  ['nine to five', undefined],
  ['9-late', undefined],
  ['early-17', undefined],
])('%j as somebody types it', (typed, wanted) => expect(readShift(typed)).toEqual(wanted));

test('what is read is written as one types it again', () => {
  for (const typed of ['9–18', '9:05–17:30', '0–24', ''])
    expect(shiftText(readShift(typed)!)).toBe(typed);
  expect(clockText(545)).toBe('9:05');
});
test('weeks begin on Monday', () => {
  // 2026-11-23 is a Monday.
  expect(['2026-11-23', '2026-11-28', '2026-11-29'].map(weekday)).toEqual([0, 5, 6]);
  expect(USUAL_WEEK).toHaveLength(7);
});
