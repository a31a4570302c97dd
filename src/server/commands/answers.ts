import {
  birthDayFault,
  MOST_DAYS_AHEAD,
  plannedDayFault,
  type Archer,
  type Injured,
  type Job,
  type Shop,
} from '@/core/job';
import { updateArcher, updateJob, jobById } from '@/data/jobs';
import { archerEntry } from '@/data/events';
import { addDays } from '@/core/units';
import { shopDay } from '../clock';
import { Problem } from '../problem';
import { ofStage, cannot, pick, spaced, type Handlers, type Work } from './types';

interface PlannedDays {
  readonly promisedDay?: string | null;
  readonly appointmentAt?: string | null;
}

/** A promise and an appointment lie between today and two years; what stands already may be older. */
export function checkPlannedDays(
  answers: PlannedDays,
  { job, today, shop }: { job: PlannedDays; today: string; shop: Pick<Shop, 'timeZone'> },
  pointer: string,
): void {
  const { promisedDay, appointmentAt } = answers;
  const appointed = appointmentAt ? shopDay(shop.timeZone, appointmentAt) : null;
  const planned = [
    ['promise', 'promisedDay', promisedDay, promisedDay],
    ['appoint', 'appointmentAt', appointmentAt, appointed],
  ] as const;
  for (const [verb, field, value, day] of planned) {
    const fault = day && value !== job[field] ? plannedDayFault(day, today) : null;
    if (!fault) continue;
    throw cannot(
      `${verb}-${fault}`,
      fault === 'past'
        ? `That day is past: ${verb} today, ${today}, or a later day.`
        : `That is over two years off: ${verb} a day up to ${addDays(today, MOST_DAYS_AHEAD)}.`,
      `${pointer}/${field}`,
    );
  }
}

/** A birth date is one somebody can have who draws a bow. */
export function checkBirthDay(
  birthDay: string | null | undefined,
  today: string,
  pointer: string,
): void {
  const fault = birthDay ? birthDayFault(birthDay, today) : null;
  if (fault) throw cannot('birth-day', fault, `${pointer}/birthDay`);
}

/** Words of an injury nobody was asked about before mean that there is one. */
export const withInjury = <A extends { readonly injured?: Injured; readonly injury?: string }>(
  before: Pick<Archer, 'injured'>,
  archer: A,
): A =>
  archer.injury?.trim() && archer.injured === undefined && before.injured === 'unknown'
    ? { ...archer, injured: 'yes' }
    : archer;

type Answers = Partial<Omit<Archer, 'id'>>;

/** The archer is the same in all their jobs: what another one changed meanwhile is not overwritten in silence. */
function notOverwritten(
  said: Answers,
  seen: Answers,
  { db, snapshot }: Pick<Work, 'db' | 'snapshot'>,
): void {
  const { archer, job } = snapshot;
  const moved = (Object.keys(said) as (keyof Answers)[]).filter(
    (field) => field in seen && archer[field] !== seen[field] && archer[field] !== said[field],
  );
  if (moved.length === 0) return;
  throw new Problem(409, 'archer-changed', 'Somebody was quicker', {
    detail: `${moved.map((field) => `${capital(spaced(field))} was changed in another job meanwhile`).join('; ')}. What you entered is kept in its field; look at what stands there now and enter it again.`,
    errors: moved.map((field) => ({
      pointer: `/command/archer/${field}`,
      detail: `is now ${JSON.stringify(archer[field])}`,
    })),
    changed: moved.flatMap((field) => archerEntry(db, archer.id, job.id, field) ?? []),
    snapshot,
  });
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const GONE_PAST = ['asked', 'skipped'];

/** What the archer answered. */
export const ANSWERS = ofStage('meet', {
  setAnswers({ archer: said, job, seen }, { db, snapshot }) {
    const before = snapshot.archer;
    if (said && seen) notOverwritten(said, seen, { db, snapshot });
    const archer = said && withInjury(before, said);
    checkPlannedDays(job ?? {}, snapshot, '/command/job');
    checkBirthDay(archer?.birthDay, snapshot.today, '/command/archer');
    if (archer && Object.keys(archer).length > 0)
      updateArcher(db, { ...before, ...archer } as Archer);
    if (job && Object.keys(job).length > 0)
      updateJob(db, { ...jobById(db, snapshot.job.id)!, ...job } as Job);
    const changed = [...Object.keys(archer ?? {}), ...Object.keys(job ?? {})].filter(
      (field) => !GONE_PAST.includes(field),
    );
    // Where the conversation stands is no entry anybody would want to take back.
    if (changed.length === 0) return { summary: 'Meet: the next question', inverse: null };
    return {
      ...(job?.schools ? { stage: 'bench' as const } : {}),
      summary: `Answered: ${changed.map(spaced).join(', ')}`,
      inverse: {
        do: 'restore',
        ...(archer
          ? {
              archer: pick(before, Object.keys(archer) as (keyof Archer)[]),
              archerLeft: archer as Partial<Archer>,
            }
          : {}),
        ...(job ? { job: pick(snapshot.job, Object.keys(job) as (keyof Job)[]) } : {}),
      },
    };
  },
} satisfies Partial<Handlers>);
