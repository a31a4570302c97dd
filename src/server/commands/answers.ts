import { type Archer, type Job } from '@/core/job';
import { updateArcher, updateJob, jobById } from '@/data/jobs';
import { cannot, pick, spaced, type Handlers } from './types';

const GONE_PAST = ['asked', 'skipped'];

/** What the archer answered. */
export const ANSWERS = {
  setAnswers({ archer, job }, { db, snapshot }) {
    const before = snapshot.archer;
    const promised = job?.promisedDay;
    if (promised && promised < snapshot.today && promised !== snapshot.job.promisedDay)
      throw cannot(
        'promise-past',
        `That day is past: promise today, ${snapshot.today}, or a later day.`,
        '/command/job/promisedDay',
      );
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
} satisfies Partial<Handlers>;
