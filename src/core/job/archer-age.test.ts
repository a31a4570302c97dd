import { aFitReading, aSnapshot } from '../testing/fixtures';
import {
  AGE_GROUPS,
  ageGroupOf,
  ageOn,
  birthDayFault,
  firstTrialN,
  injuryNow,
  ofAgeGroup,
  PERSON_RULES,
  remeasureDay,
  weightTrials,
  withAge,
  type Archer,
} from '.';

const archer = (changes: Partial<Archer> = {}): Archer => ({ ...aSnapshot().archer, ...changes });

describe('age from the birth date', () => {
  test.each([
    ['2013-05-17', '2026-05-16', 12],
    ['2013-05-17', '2026-05-17', 13],
    ['2012-02-29', '2026-02-28', 13],
    ['2012-02-29', '2026-03-01', 14],
    ['1960-12-31', '2026-11-26', 65],
  ])('born %s, on %s: %i years', (born, day, years) => expect(ageOn(born, day)).toBe(years));

  test.each([
    ['2015-11-27', 'under12', true],
    ['2014-11-26', '12to15', true],
    ['2010-11-27', '12to15', true],
    ['2010-11-26', '16to59', true],
    ['2008-11-27', '16to59', true],
    ['2008-11-26', '16to59', false],
    ['1966-11-26', 'from60', false],
  ])('born %s they are %s, a minor: %s', (birthDay, ageBand, minor) =>
    expect(withAge(archer({ birthDay }), '2026-11-26', PERSON_RULES)).toMatchObject({
      ageBand,
      minor,
    }),
  );
  test.each([
    [20, '2006-11-27', true],
    [20, '2006-11-26', false],
    [16, '2010-11-26', false],
  ])('of age from %d years, born %s: a minor %s', (adultFromYears, birthDay, minor) =>
    expect(withAge(archer({ birthDay }), '2026-11-26', { adultFromYears }).minor).toBe(minor),
  );
  test('without one they are as they were put down', () => {
    const told = archer({ ageBand: 'from60', minor: false });
    expect(withAge(told, '2026-11-26', PERSON_RULES)).toBe(told);
  });
  test.each([
    ['2026-11-27', 'is past'],
    ['1910-01-01', '116 years: look at the year'],
    ['2024-01-01', '2 years: too young'],
  ])('%s is none: %s', (day, words) => expect(birthDayFault(day, '2026-11-26')).toContain(words));
  test('a child’s and a great-grandfather’s do', () => {
    expect(birthDayFault('2019-06-01', '2026-11-26')).toBeNull();
    expect(birthDayFault('1931-06-01', '2026-11-26')).toBeNull();
  });
});

test.each(AGE_GROUPS)('about $name goes there and back', ({ id }) =>
  expect(ageGroupOf(ofAgeGroup(id))).toBe(id),
);

describe('a draw length that grows', () => {
  const span = { ...aFitReading(1, 'armSpan', 1500), at: '2026-08-20T09:00:00.000Z' };
  test('is measured again a quarter of a year after it last was', () => {
    expect(remeasureDay({ ageBand: '12to15' }, [span])).toBe('2026-11-19');
    const later = { ...span, seq: 2, at: '2026-10-01T09:00:00.000Z' };
    expect(remeasureDay({ ageBand: 'under12' }, [span, later])).toBe('2026-12-31');
  });
  test('of somebody grown, or never measured, it is not', () => {
    expect(remeasureDay({ ageBand: '16to59' }, [span])).toBeNull();
    expect(
      remeasureDay({ ageBand: '12to15' }, [aFitReading(1, 'weightTrial', 90, 'smooth')]),
    ).toBeNull();
  });
});

describe('what lowers the first trial', () => {
  const median = (changes: Partial<Archer>) => firstTrialN(archer(changes)) / 4.4482216152605;
  test('what hurts lowers it most, what is healed a little, nothing and not asked not at all', () => {
    const none = median({ injured: 'no' });
    expect(median({ injured: 'unknown', injury: 'elbow' })).toBeCloseTo(none, 9);
    expect(median({ injured: 'yes' }) / none).toBeCloseTo(0.85, 9);
    expect(median({ injured: 'healed' }) / none).toBeCloseTo(0.93, 9);
    expect(injuryNow({ injured: 'unknown' })).toBe('no');
  });
  test('who comes back after years starts under somebody who shot a little', () => {
    expect(median({ experience: 'returning' })).toBeLessThan(median({ experience: 'some' }));
    expect(median({ experience: 'returning' })).toBeGreaterThan(median({ experience: 'none' }));
  });
});

test('trials of the other hand count no more, those whose hand was not kept do', () => {
  const trial = (hand: 'right' | 'left' | null, si: number) => ({
    ...aFitReading(si, 'weightTrial', si, 'smooth'),
    hand,
  });
  const readings = [trial('right', 180), trial('left', 150), trial(null, 160)];
  expect(weightTrials(readings, { hand: 'right' }).map(({ peakN }) => peakN)).toEqual([180, 160]);
  expect(weightTrials(readings, { hand: 'left' }).map(({ peakN }) => peakN)).toEqual([150, 160]);
});
