import { METRIC_UNITS, perWeight, spoken, spokenDay, TRADE_UNITS } from '.';

test.each([
  ['length', 12.7, 'half an inch', '13 mm'],
  ['force', 4.4482216, 'a pound', '4 N'],
  ['mass', 1.62, '25 gr', '1.6 g'],
] as const)('%s of %d is said “%s”, in a metric shop %s', (quantity, si, words, metric) => {
  expect(spoken(si, quantity, TRADE_UNITS, words)).toBe(words);
  expect(spoken(si, quantity, METRIC_UNITS, words)).toBe(metric);
});

test('mass for the weight, in each pair of units', () => {
  // 5 gr = 0.3240 g; 1 lb = 4.448 N: 0.0728 g for each newton.
  expect(perWeight(5, TRADE_UNITS)).toBe('5.0 gr per lb');
  expect(perWeight(5, METRIC_UNITS)).toBe('0.073 g per N');
  expect(perWeight(5, { ...TRADE_UNITS, mass: 'g' })).toBe('0.32 g per lb');
  expect(perWeight(5, { ...TRADE_UNITS, force: 'N' })).toBe('1.12 gr per N');
  expect(perWeight(6, METRIC_UNITS)).toBe('0.087 g per N');
});

test.each([
  ['2027-02-23', 'Tue 23 Feb 2027'],
  ['2024-02-29', 'Thu 29 Feb 2024'],
  ['2026-12-31', 'Thu 31 Dec 2026'],
])('%s is %s', (day, said) => expect(spokenDay(day)).toBe(said));
