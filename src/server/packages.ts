import { derive } from '@/core/job';
import {
  choosePackages,
  packageFrontier,
  type PackagePoint,
  type PackagesAnswer,
  type PackagesInput,
} from '@/core/kit';
import { jobTotal } from '@/core/quote';
import { addDays, daysBetween } from '@/core/units';
import { db, type Db } from '@/data/db';
import { notFound } from './problem';
import { loadSnapshot } from './snapshot';
import { itemsFor } from './stock';
import { solve } from './solver';

/** Whole packages for a job: the parts chosen already stay, the job's wishes are kept. */
export async function packagesFor(jobId: string, from: Db = db()): Promise<PackagesAnswer> {
  return choosePackages(wishesOf(jobId, from), solve);
}

/** What more money buys, for the same wishes. */
export async function frontierFor(jobId: string, from: Db = db()): Promise<PackagePoint[]> {
  return packageFrontier(wishesOf(jobId, from), solve);
}

function wishesOf(jobId: string, from: Db): PackagesInput {
  const snapshot = loadSnapshot(jobId, from);
  if (!snapshot) throw notFound('job');
  const { job, today, shop } = snapshot;
  const { without, extra } = job.kitWishes;
  const derived = derive(snapshot);
  return {
    catalogue: itemsFor(jobId, from),
    context: derived.kitContext,
    workCents: jobTotal(snapshot, derived).workCents,
    budgetCents: job.budgetCents,
    without,
    extra,
    weights: shop.kit.weights,
    daysLeft: job.promisedDay === null ? null : daysBetween(today, job.promisedDay),
    inTime: ({ stock, deliveryDays }) =>
      stock > 0 || job.promisedDay === null || addDays(today, deliveryDays) <= job.promisedDay,
  };
}
