import { wantedWall } from '../bow';
import { BUILDS, EXPERIENCES, priorMedianN } from '../fit';
import { write, writeMoney } from '../units';
import { AGE_GROUPS, ageGroupOf, ageOn } from './archer-age';
import { eyeTest, oldBowFigures, type FitReading } from './fit-readings';
import { PURPOSES, type Archer, type Job, type JobSnapshot } from './types';

/** The questions of Meet, in the order a good salesperson asks them. */
export type QuestionId =
  | 'who'
  | 'purpose'
  | 'experience'
  | 'injury'
  | 'hand'
  | 'distance'
  | 'light'
  | 'rules'
  | 'release'
  | 'own'
  | 'money'
  | 'dates'
  | 'notes';

export type QuestionState = 'answered' | 'known' | 'later' | 'open';

export interface Question {
  readonly id: QuestionId;
  readonly state: QuestionState;
  /** The answer as it stands, short; empty when there is none. */
  readonly answer: string;
  /** Where the answer is used later, said with this archer's own figures. */
  readonly use: string;
}

interface QuestionRule {
  readonly id: QuestionId;
  /** Whether an answer stands; "asked" marks those whose answer may be the usual one. */
  readonly given: (snapshot: JobSnapshot) => boolean;
  readonly answer: (snapshot: JobSnapshot) => string;
  readonly use: (snapshot: JobSnapshot) => string;
}

const named = <T extends string>(list: readonly { id: T; name: string }[], id: T) =>
  list.find((entry) => entry.id === id)!.name;

const few = (...parts: (string | false | null)[]) => parts.filter(Boolean).join(', ');

/** As the first trial takes it: what nobody was asked is none. */
export const injuryNow = ({ injured }: Pick<Archer, 'injured'>) =>
  injured === 'unknown' ? 'no' : injured;

/** Median the first trial starts from; see fit/weight-prior.ts. */
export const firstTrialN = (archer: Archer) =>
  priorMedianN({
    ageBand: archer.ageBand,
    build: archer.build,
    experience: archer.experience,
    injury: injuryNow(archer),
  });

const INJURED = { unknown: 'none told', no: 'nothing hurts', yes: 'hurts now', healed: 'healed' };

/** Years where the birth date is known, else about how old. */
const ageText = (archer: Archer, today: string): string =>
  archer.birthDay === null
    ? `${named(AGE_GROUPS, ageGroupOf(archer))} years`
    : `${ageOn(archer.birthDay, today)} years`;

const RULES: readonly QuestionRule[] = [
  {
    id: 'who',
    given: ({ archer }) =>
      (archer.phone !== '' || archer.email !== '') && (!archer.minor || archer.guardianName !== ''),
    answer: ({ archer, today }) =>
      few(
        archer.phone || archer.email,
        ageText(archer, today),
        archer.minor && `minor, with ${archer.guardianName || '?'}`,
      ),
    use: ({ archer }) =>
      archer.minor
        ? 'Guardian decides, and has to be named before the bow is handed over.'
        : 'To be found again by name or phone, and called when it is ready.',
  },
  {
    id: 'purpose',
    given: () => false,
    answer: ({ job }) => named(PURPOSES, job.purpose),
    use: ({ job }) =>
      job.purpose === 'hunting'
        ? 'A legal least weight is asked for below; broadheads must clear the shelf.'
        : 'How much each part counts when packages are put together.',
  },
  {
    id: 'experience',
    given: () => false,
    answer: ({ archer }) =>
      few(named(EXPERIENCES, archer.experience), `${named(BUILDS, archer.build)} build`),
    use: ({ archer, shop }) =>
      `The first trial is near ${write(firstTrialN(archer), 'force', shop.units, { decimals: 0 })}; drawing decides, not the table.`,
  },
  {
    id: 'injury',
    given: ({ archer }) => archer.injured !== 'unknown',
    answer: ({ archer }) =>
      few(INJURED[archer.injured], archer.injured !== 'no' && archer.injury.trim()),
    use: ({ archer, shop }) => {
      if (injuryNow(archer) === 'no') return 'An injury lowers the first trial and is watched.';
      const without = firstTrialN({ ...archer, injured: 'no' });
      const less = without - firstTrialN(archer);
      return `The first trial starts ${write(less, 'force', shop.units, { decimals: 0 })} lower; stop at the first pain.`;
    },
  },
  {
    id: 'hand',
    given: ({ archer }) => archer.dominantEye !== 'unsure',
    answer: ({ archer, fitReadings }) =>
      few(
        `${archer.hand} hand`,
        archer.dominantEye === 'unsure' ? 'eye not known' : `${archer.dominantEye} eye`,
        eyeTest(fitReadings).settled && 'tested',
      ),
    use: ({ archer }) => {
      if (archer.dominantEye === 'unsure') return 'The eye is tested in Fit, in half a minute.';
      return archer.dominantEye === archer.hand
        ? `${archer.hand === 'right' ? 'Right' : 'Left'}-hand bows are looked for.`
        : 'Hand and eye do not match: Fit says what can be done.';
    },
  },
  {
    id: 'distance',
    given: ({ job }) => job.furthestM !== null,
    answer: ({ job, shop }) =>
      job.furthestM === null ? '' : write(job.furthestM, 'distance', shop.units, { decimals: 0 }),
    use: ({ job }) =>
      job.furthestM !== null && job.furthestM > 45
        ? 'Past 45 m all three axes of a sight must be adjustable.'
        : 'How far the sight has to reach, and how many pins.',
  },
  {
    id: 'light',
    given: ({ job, archer }) => job.lowLight || archer.eyesight !== '',
    answer: ({ job, archer }) => few(job.lowLight ? 'often dim' : 'daylight', archer.eyesight),
    use: ({ job }) =>
      job.lowLight
        ? 'Kit looks for fewer and larger pins, and a larger peep.'
        : 'Fine pins will do; glasses are worn when peep and sight are set.',
  },
  {
    id: 'rules',
    given: ({ job }) => job.electronicsForbidden || job.legalMinimumN !== null,
    answer: ({ job, shop }) =>
      few(
        job.electronicsForbidden ? 'no electronics' : 'electronics allowed',
        job.legalMinimumN !== null &&
          `at least ${write(job.legalMinimumN, 'force', shop.units, { decimals: 0 })}${job.legalPlace ? `, ${job.legalPlace}` : ''}`,
      ),
    use: ({ job }) =>
      job.legalMinimumN !== null
        ? 'The figure stands beside the start weight; their authority decides, not this program.'
        : 'A sight with a light is refused where it is forbidden.',
  },
  {
    id: 'release',
    given: ({ archer }) => archer.release !== 'unknown' || archer.wall !== 'unknown',
    answer: ({ archer }) =>
      few(
        archer.release !== 'unknown' && RELEASE_NAMES[archer.release],
        archer.wall !== 'unknown' && `${archer.wall} wall`,
      ),
    use: ({ archer }) => {
      const wall = wantedWall(archer.wall, archer.release);
      if (wall === null) return 'It decides how hard a wall they want; try both.';
      return wall === 'firm'
        ? 'A firm wall is looked for: limb stops.'
        : 'A softer wall is looked for: cable stops.';
    },
  },
  {
    id: 'own',
    given: ({ job }) => job.alreadyOwn.trim() !== '',
    answer: ({ job }) => job.alreadyOwn.trim(),
    use: ({ fitReadings, job }) => {
      if (Object.keys(oldBowFigures(fitReadings)).length > 0)
        return 'The old bow is measured: it is the target for the new one.';
      return job.alreadyOwn.trim() === ''
        ? 'What moves over costs nothing; a bow they like is measured as the target.'
        : 'What moves over costs nothing: mark it in Kit as brought along.';
    },
  },
  {
    id: 'money',
    given: ({ job }) => job.budgetCents !== null,
    answer: ({ job }) => (job.budgetCents === null ? '' : writeMoney(job.budgetCents)),
    use: () => 'When money is short it goes to rest and sight first.',
  },
  {
    id: 'dates',
    given: ({ job }) => job.promisedDay !== null,
    answer: ({ job }) => job.promisedDay ?? '',
    use: () => 'Bows and parts that would come later are marked so.',
  },
  {
    id: 'notes',
    given: ({ job }) => job.notes.trim() !== '',
    answer: ({ job }) => job.notes.trim(),
    use: () => 'Stands beside the work, on every stage.',
  },
];

/** Every question, in its order. */
export const QUESTION_IDS: readonly QuestionId[] = RULES.map(({ id }) => id);

export const RELEASE_NAMES = {
  thumb: 'thumb button',
  index: 'index finger',
  backTension: 'back tension',
} as const;

/** Answers that are the archer's own and not of this job: known from an earlier one. */
const OF_ARCHER: readonly QuestionId[] = ['who', 'experience', 'injury', 'hand', 'release'];

/**
 * Every question with its state: answered, known from an earlier job, put off, or open. A question
 * whose usual answer happens to be right is answered once somebody went past it (`job.asked`).
 */
export function conversation(snapshot: JobSnapshot): Question[] {
  const { job, earlier } = snapshot;
  return RULES.map(({ id, given, answer, use }): Question => {
    const known = earlier.length > 0 && OF_ARCHER.includes(id);
    const state =
      job.asked.includes(id) || given(snapshot)
        ? 'answered'
        : known
          ? 'known'
          : job.skipped.includes(id)
            ? 'later'
            : 'open';
    return { id, state, answer: answer(snapshot), use: use(snapshot) };
  });
}

/** The question to ask now: the first open one, then the first put off; null when all is said. */
export const nextQuestion = (questions: readonly Question[]): QuestionId | null =>
  (
    questions.find(({ state }) => state === 'open') ??
    questions.find(({ state }) => state === 'later')
  )?.id ?? null;

/** How a job changes when a question is gone past, or put off. */
export function asked(job: Pick<Job, 'asked' | 'skipped'>, id: QuestionId, later: boolean) {
  const without = (list: readonly string[]) => list.filter((other) => other !== id);
  return later
    ? { asked: without(job.asked), skipped: [...without(job.skipped), id] }
    : { asked: [...without(job.asked), id], skipped: without(job.skipped) };
}

/** Earlier readings that can stand for the bow they like, by the key they are taken over as. */
export const TAKEN_OVER: Readonly<Record<string, FitReading['key']>> = {
  peakWeight: 'oldPeak',
  holdingWeight: 'oldHolding',
  peepHeight: 'oldPeepHeight',
  peepTrueHeight: 'oldPeepTrueHeight',
  peepToPin: 'oldPeepToPin',
  braceHeight: 'oldBrace',
  axleToAxle: 'oldAxle',
  bowMass: 'oldMass',
};
