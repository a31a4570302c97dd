import { aFitReading, aSnapshot } from '../testing/fixtures';
import { newton } from '../units';
import { jobGrowth } from './growth';
import type { Archer } from './types';

const anArcher = (changes: Partial<Archer>) => ({ ...aSnapshot().archer, ...changes });

const job = (outcome: 'smooth' | 'strained' | null) => ({
  ...aSnapshot({ job: { promisedDay: '2026-12-20' } }),
  archer: anArcher({ ageBand: '16to59', hand: 'right' }),
  fitReadings: outcome
    ? [{ ...aFitReading(1, 'weightTrial', 200, outcome), hand: 'right' as const }]
    : [],
});
const BOW = { maxPeakN: newton(230) };
const plan = (of: Parameters<typeof jobGrowth>[0]) => jobGrowth(of, BOW, newton(190));

test('two pounds a fortnight from the promised day up to what the limbs give', () => {
  const { steps, testN, isStrained } = plan(job(null));
  expect(steps.map(({ day }) => day).slice(0, 2)).toEqual(['2027-01-03', '2027-01-17']);
  expect(steps.at(-1)!.peakN).toBe(230);
  expect([testN, isStrained]).toEqual([230, false]);
});

test('what was strained is tested before it is passed; what was smooth limits nothing', () => {
  const { steps, testN, isStrained } = plan(job('strained'));
  expect(steps.at(-1)!.peakN).toBe(200);
  expect([testN, isStrained]).toEqual([200, true]);
  expect(plan(job('smooth')).isStrained).toBe(false);
});

test('a trial of the other hand is none', () => {
  expect(plan({ ...job('strained'), archer: anArcher({ hand: 'left' }) }).isStrained).toBe(false);
});

test('a child goes a pound a month', () => {
  const child = { ...job(null), archer: anArcher({ ageBand: 'under12' }) };
  expect(plan(child)).toMatchObject({ isChild: true });
  expect(plan(child).steps[0]).toMatchObject({ day: '2027-01-19' });
});
