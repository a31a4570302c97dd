import { isChild, type AgeBand } from '../fit';
import { addDays } from '../units';
import { isMethod, type FitReading } from './fit-readings';
import type { PersonRules } from './shop-types';
import type { Archer } from './types';

const OLDEST_YEARS = 110;
const YOUNGEST_YEARS = 3;

/** Whole years on a day; both YYYY-MM-DD. Somebody born on 29 February is a year older on 1 March. */
export function ageOn(birthDay: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(birthDay.slice(0, 4));
  return day.slice(5) < birthDay.slice(5) ? years - 1 : years;
}

const bandOf = (years: number): AgeBand =>
  years < 12 ? 'under12' : years < 16 ? '12to15' : years < 60 ? '16to59' : 'from60';

/**
 * An archer as old as they are today, where the birth date is known; as they were put down otherwise.
 *
 * @param adultFromYears of age from this birthday on, as the shop has it.
 */
export function withAge(
  archer: Archer,
  today: string,
  { adultFromYears }: Pick<PersonRules, 'adultFromYears'>,
): Archer {
  if (archer.birthDay === null) return archer;
  const years = ageOn(archer.birthDay, today);
  return { ...archer, ageBand: bandOf(years), minor: years < adultFromYears };
}

/** Why a birth date cannot be one; null where it can. */
export function birthDayFault(birthDay: string, today: string): string | null {
  const years = ageOn(birthDay, today);
  if (birthDay > today) return 'A birth date is past.';
  if (years > OLDEST_YEARS) return `That makes ${years} years: look at the year.`;
  return years < YOUNGEST_YEARS ? `That makes ${years} years: too young to draw a bow.` : null;
}

/** About how old, where no birth date is told: one answer for age and being of age. */
type AgeGroup = 'under12' | '12to15' | '16to17' | '18to59' | 'from60';

export const AGE_GROUPS: readonly { readonly id: AgeGroup; readonly name: string }[] = [
  { id: 'under12', name: 'under 12' },
  { id: '12to15', name: '12 to 15' },
  { id: '16to17', name: '16 or 17' },
  { id: '18to59', name: '18 to 59' },
  { id: 'from60', name: '60 and over' },
];

type Aged = Pick<Archer, 'ageBand' | 'minor'>;

export const ageGroupOf = ({ ageBand, minor }: Aged): AgeGroup =>
  ageBand === '16to59' ? (minor ? '16to17' : '18to59') : ageBand;

export const ofAgeGroup = (group: AgeGroup): Aged => ({
  ageBand: group === '16to17' || group === '18to59' ? '16to59' : group,
  minor: group !== '18to59' && group !== 'from60',
});

/** So long a draw length of somebody who grows is trusted, days. Shop rule: about a quarter inch. */
export const GROWS_DAYS = 91;

/**
 * The day a growing archer's draw length is to be measured again.
 *
 * @returns YYYY-MM-DD; null for somebody grown, or never measured.
 */
export function remeasureDay(
  { ageBand }: Pick<Archer, 'ageBand'>,
  readings: readonly FitReading[],
): string | null {
  const last = readings.findLast(({ key }) => isMethod(key));
  return last && isChild(ageBand) ? addDays(last.at.slice(0, 10), GROWS_DAYS) : null;
}
