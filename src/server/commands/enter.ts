import type { JobSnapshot } from '@/core/job';
import type { By } from '@/core/people';
import { db, type Db } from '@/data/db';
import { mayNot } from '../access/pass';
import { invalid } from '../problem';
import { createJob } from './create-job';
import { runCommand } from './run';

/** What was sent, with who makes the entry: of the session. A body that names somebody is refused. */
export function madeBy(body: unknown, by: By): unknown {
  if (typeof body !== 'object' || body === null || Array.isArray(body)) return body;
  const said = (['who', 'tablet'] as const).find((field) => field in body);
  if (said)
    throw invalid([
      { pointer: `/${said}`, detail: 'is not sent: it is the person signed in, and their tablet' },
    ]);
  return { ...body, who: by.name, tablet: by.tablet };
}

/** One entry on a job, by who is signed in; refused where they may not make it. */
export const enter = (jobId: string, body: unknown, by: By, on: Db = db()): JobSnapshot =>
  runCommand(jobId, madeBy(body, by), on, (right) => {
    if (!by.rights.includes(right)) throw mayNot(right, by.role, on);
  });

/** A job opened by who is signed in. */
export const openJob = (body: unknown, by: By, on: Db = db()): JobSnapshot =>
  createJob(madeBy(body, by), on);
