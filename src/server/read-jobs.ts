import { derive, type JobDerived, type JobSnapshot, type UnreadableJob } from '@/core/job';
import { isInstant } from '@/contracts/ajv';
import type { Db } from '@/data/db';
import { jobHeads } from '@/data/jobs';
import { loadSnapshot } from './load-snapshot';

/** What an earlier version took for an instant and no clock can read. */
function checkInstants({ job }: JobSnapshot): void {
  for (const instant of [job.appointmentAt, job.createdAt, job.deliveredAt])
    if (instant !== null && !isInstant(instant)) throw new Error(`“${instant}” is no instant`);
}

export interface ReadJob {
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
}

/**
 * Jobs with what follows from them. One whose record is damaged is named beside the others and never
 * takes them along.
 */
export function readJobs(
  from: Db,
  { openOnly = false } = {},
): { jobs: readonly ReadJob[]; unreadable: readonly UnreadableJob[] } {
  const jobs: ReadJob[] = [];
  const unreadable: UnreadableJob[] = [];
  for (const head of jobHeads(from)) {
    if (openOnly && head.deliveredAt !== null) continue;
    try {
      const snapshot = loadSnapshot(head.id, from)!;
      checkInstants(snapshot);
      jobs.push({ snapshot, derived: derive(snapshot) });
    } catch (error) {
      console.error(`Job ${head.number} cannot be read:`, error);
      unreadable.push({ jobId: head.id, number: head.number, name: head.name });
    }
  }
  return { jobs, unreadable };
}
