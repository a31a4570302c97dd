import type { JobSnapshot } from '@/core/job';
import { allJobs } from '@/data/jobs';
import type { Db } from '@/data/db';
import { seedDemo } from '../../../demo/seed';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { copies } from './new-db';

/** The demo shop with its people and jobs; the clock is the true one afterwards. */
export const demoDb = copies(seedDemo);

/** The demo shop as it is at an instant, which the clock keeps; `pretendNow(null)` ends that. */
export function demoAt(instant = '2026-11-24T10:20:00+01:00'): Db {
  // It is made for the day it is made on, and sets the clock right when it is done.
  pretendNow(new Date(instant));
  const db = demoDb();
  pretendNow(new Date(instant));
  return db;
}

/** Its jobs by the first name of their archer. */
export const demoJobs = (db: Db): ReadonlyMap<string, JobSnapshot> =>
  new Map(
    allJobs(db)
      .map(({ id }) => loadSnapshot(id, db)!)
      .map((snapshot) => [snapshot.archer.name.split(' ')[0]!, snapshot]),
  );
