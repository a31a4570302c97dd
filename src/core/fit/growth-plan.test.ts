import { newton } from '../units';
import { growthPlan, GROWTH_STEP_N } from './growth-plan';

describe('the growth plan', () => {
  test('two pounds a fortnight, up to what the limbs give', () => {
    expect(growthPlan(newton(180), newton(200), '2026-12-20')).toEqual([
      { day: '2027-01-03', peakN: 189 },
      { day: '2027-01-17', peakN: 198 },
      { day: '2027-01-31', peakN: 200 },
    ]);
  });
  test('never more than the step at once, never past the top, never further than asked', () => {
    const plan = growthPlan(newton(150), newton(400), '2026-02-20', { most: 8 });
    expect(plan).toHaveLength(8);
    plan.forEach(({ peakN }, i) => {
      expect(peakN - (i === 0 ? 150 : plan[i - 1]!.peakN)).toBeLessThanOrEqual(
        GROWTH_STEP_N + 1e-9,
      );
    });
    expect(plan[0]!.day).toBe('2026-03-06');
  });
  test('a child: a pound a month, from the same start', () => {
    // 1 lb is 4.448 N: 26.0, 27.0, 28.0 lb from 25.0.
    const plan = growthPlan(newton(111.2), newton(200), '2026-12-20', { isChild: true, most: 3 });
    expect(plan.map(({ day, peakN }) => [day, Number((peakN / 4.4482216).toFixed(2))])).toEqual([
      ['2027-01-19', 26],
      ['2027-02-18', 27],
      ['2027-03-20', 28],
    ]);
  });
  test('never past what strained, also where that is under the start', () => {
    const end = { strainedN: 190 };
    expect(growthPlan(newton(180), newton(200), '2026-12-20', end).at(-1)!.peakN).toBe(190);
    expect(growthPlan(newton(195), newton(200), '2026-12-20', end)).toEqual([]);
  });
  test.each([
    ['at the top', 200, 200],
    ['above it', 210, 200],
  ])('%s there is no room to grow', (_, start, top) => {
    expect(growthPlan(newton(start), newton(top), '2026-12-20')).toEqual([]);
  });
});
