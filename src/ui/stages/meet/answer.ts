import type { Archer, Job } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import type { Trouble } from '../../keep/post';

/** Saves what was answered, of the archer or of the job. */
interface Answer {
  readonly archer: (answers: Partial<Archer>) => Promise<Trouble | null>;
  readonly job: (answers: Partial<Job>) => Promise<Trouble | null>;
}

export function useAnswer(): Answer {
  const { send } = useJob();
  return {
    archer: (archer) => send({ name: 'setAnswers', archer: archer as never }),
    job: (job) => send({ name: 'setAnswers', job: job as never }),
  };
}
