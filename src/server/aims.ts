import type { AimShot } from '@/core/hold';
import { aimsOf, traceOf } from '@/data/aims';
import { db, type Db } from '@/data/db';
import { jobById } from '@/data/jobs';
import { notFound } from './problem';

/** Aimed shots of a job with its present bow. */
export function aims(jobId: string, on: Db = db()): AimShot[] {
  const job = jobById(on, jobId);
  if (!job) throw notFound('job');
  return job.bowId === null ? [] : aimsOf(on, jobId, job.bowId);
}

/** One shot's whole trace. */
export function aimTrace(jobId: string, id: string, on: Db = db()) {
  const trace = /^\d{1,12}$/.test(id) ? traceOf(on, jobId, Number(id)) : null;
  if (!trace) throw notFound('aimed shot');
  return trace;
}
