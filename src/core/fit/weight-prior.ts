import { N_PER_POUND, newton, type Newton } from '../units';

/** Shop rule: the median weight (lb) somebody like this draws comfortably half the time. */
export type AgeBand = 'under12' | '12to15' | '16to59' | 'from60';
export type Build = 'slight' | 'medium' | 'strong';
export type Experience = 'none' | 'some' | 'returning' | 'regular';
/** Something that hurts now, or did and is healed. */
type InjuryNow = 'no' | 'healed' | 'yes';

/** Still growing: under sixteen. */
export const isChild = (ageBand: AgeBand): boolean => ageBand === 'under12' || ageBand === '12to15';

export const BUILDS: readonly { readonly id: Build; readonly name: string }[] = [
  { id: 'slight', name: 'slight' },
  { id: 'medium', name: 'medium' },
  { id: 'strong', name: 'strong' },
];
export const EXPERIENCES: readonly { readonly id: Experience; readonly name: string }[] = [
  { id: 'none', name: 'first bow' },
  { id: 'some', name: 'shot a little' },
  { id: 'returning', name: 'coming back after years' },
  { id: 'regular', name: 'shoots regularly' },
];

const MEDIAN_LB: Record<AgeBand, Record<Build, number>> = {
  under12: { slight: 14, medium: 18, strong: 22 },
  '12to15': { slight: 24, medium: 30, strong: 36 },
  '16to59': { slight: 38, medium: 48, strong: 58 },
  from60: { slight: 32, medium: 40, strong: 48 },
};
/** Who comes back knows how, and has not the back of then: they overbow themselves first of all. */
const EXPERIENCE_FACTOR: Record<Experience, number> = {
  none: 0.92,
  some: 1,
  returning: 0.95,
  regular: 1.12,
};
/** An injury lowers the start; how far is the archer's and their doctor's affair. */
const INJURY_FACTOR: Record<InjuryNow, number> = { no: 1, healed: 0.93, yes: 0.85 };

/** Log standard deviation of the prior, the same for everyone. */
export const PRIOR_LOG_SD = 0.25;

interface WeightPerson {
  readonly ageBand: AgeBand;
  readonly build: Build;
  readonly experience: Experience;
  readonly injury: InjuryNow;
}

export const priorMedianN = (person: WeightPerson): Newton =>
  newton(
    MEDIAN_LB[person.ageBand][person.build] *
      EXPERIENCE_FACTOR[person.experience] *
      INJURY_FACTOR[person.injury] *
      N_PER_POUND,
  );
