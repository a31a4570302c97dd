import type { JobSnapshot } from '@/core/job';
import { db, type Db } from '@/data/db';
import { archerById, jobById, partsOf } from '@/data/jobs';
import { acknowledgedOf, eventsOf, exceptionsOf, readingsOf, sheetsOf } from '@/data/records';
import { shopSettings } from '@/data/settings';
import { bowById } from '@/data/stock';
import { shopDay } from './clock';

/** One job as its screens need it; null when there is none of that id. */
export function loadSnapshot(jobId: string, from: Db = db()): JobSnapshot | null {
  const job = jobById(from, jobId);
  if (!job) return null;
  const shop = shopSettings(from);
  return {
    job,
    archer: archerById(from, job.archerId)!,
    bow: job.bowId ? bowById(from, job.bowId) : null,
    parts: partsOf(from, jobId),
    ...readingsOf(from, jobId, job.bowId),
    exceptions: exceptionsOf(from, jobId),
    acknowledged: acknowledgedOf(from, jobId),
    events: eventsOf(from, jobId),
    sheets: sheetsOf(from, jobId),
    shop,
    today: shopDay(shop.timeZone),
  };
}
