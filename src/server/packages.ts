import { derive, type JobPart, type JobSnapshot } from '@/core/job';
import {
  choosePackages,
  packageFrontier,
  partOf,
  type CatalogueItem,
  type PackagePoint,
  type PackagesAnswer,
  type PackagesInput,
} from '@/core/kit';
import { jobTotal } from '@/core/quote';
import { addDays, daysBetween } from '@/core/units';
import { db, type Db } from '@/data/db';
import { notFound } from './problem';
import { loadSnapshot } from './load-snapshot';
import { itemsFor } from './stock';
import { solve } from './solver';

/** How often the work is counted anew for the parts it turned out to be for. */
const MOST_ROUNDS = 4;

/**
 * Whole packages for a job: the parts chosen already stay, the job's wishes are kept. The budget holds
 * the work of the package that takes most of it.
 */
export async function packagesFor(jobId: string, from: Db = db()): Promise<PackagesAnswer> {
  const { snapshot, ...input } = wishesOf(jobId, from);
  let workCents = workWith(snapshot, []);
  for (let round = 1; ; round++) {
    const answer = await choosePackages({ ...input, workCents }, solve);
    const most = Math.max(
      ...answer.packages.map(({ parts }) =>
        workWith(
          snapshot,
          parts.map(({ item }) => item),
        ),
      ),
    );
    if (most <= workCents || round === MOST_ROUNDS) return answer;
    workCents = most;
  }
}

/** What more money buys, for the same wishes. */
export async function frontierFor(jobId: string, from: Db = db()): Promise<PackagePoint[]> {
  return packageFrontier(wishesOf(jobId, from), solve);
}

function wishesOf(
  jobId: string,
  from: Db,
): Omit<PackagesInput, 'workCents'> & { readonly snapshot: JobSnapshot } {
  const snapshot = loadSnapshot(jobId, from);
  if (!snapshot) throw notFound('job');
  const { job, today, shop } = snapshot;
  const { without, extra } = job.kitWishes;
  return {
    snapshot,
    catalogue: itemsFor(jobId, from),
    context: derive(snapshot).kitContext,
    budgetCents: job.budgetCents,
    without,
    extra,
    weights: shop.kit.weights,
    daysLeft: job.promisedDay === null ? null : daysBetween(today, job.promisedDay),
    inTime: ({ stock, deliveryDays }) =>
      stock > 0 || job.promisedDay === null || addDays(today, deliveryDays) <= job.promisedDay,
  };
}

/** The bench's work with these parts on the bow as well: mounting what is chosen is work too. Cents. */
function workWith(snapshot: JobSnapshot, items: readonly CatalogueItem[]): number {
  const then = { ...snapshot, parts: [...snapshot.parts, ...items.map(asChosen)] };
  return jobTotal(then, derive(then)).workCents;
}

const asChosen = (item: CatalogueItem): JobPart => ({
  ...partOf(item),
  slot: item.slot,
  arrivesDay: null,
  orderedAt: null,
  arrivedAt: null,
  handedOver: false,
  short: [],
  build: null,
});
