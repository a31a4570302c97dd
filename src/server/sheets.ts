import { readSheet } from '@/contracts/sheet';
import type { JobSnapshot } from '@/core/job';
import { arrowParts } from '@/core/kit';
import type { DeliveryMoney, SheetDocument, SheetGround } from '@/core/sheet';
import { aimsOf } from '@/data/aims';
import { db, type Db } from '@/data/db';
import { jobById } from '@/data/jobs';
import { paymentsOf } from '@/data/payments';
import { shopSettings } from '@/data/settings';
import { sheetDocument, sheetsOf } from '@/data/sheets';
import { partById } from '@/data/stock';
import { shopDay } from './clock';
import { notFound, Problem } from './problem';

/** A build sheet as it was kept, in the version of its day; null for an unknown job or revision. */
export function keptSheet(jobId: string, revision: string, from: Db = db()): unknown {
  const number = /^[1-9]\d{0,5}$/.test(revision) ? Number(revision) : 0;
  return number > 0 ? sheetDocument(from, jobId, number) : null;
}

/** The same, brought up to the version of today. */
export function findSheet(jobId: string, revision: string, from: Db = db()): SheetDocument | null {
  const kept = keptSheet(jobId, revision, from);
  if (kept === null) return null;
  const read = readSheet(kept);
  if (!read.ok) throw new Error(`Sheet ${revision} of ${jobId} cannot be read: ${read.reason}`);
  return read.sheet;
}

/** The same, for the interface: an unknown one is a problem. */
export function loadSheet(jobId: string, revision: string, from: Db = db()): SheetDocument {
  const found = findSheet(jobId, revision, from);
  if (!found) throw notFound('build sheet');
  return found;
}

/** What a new sheet of a job needs beside the job itself. */
export function sheetGround(from: Db, { job, bow, parts, sheets }: JobSnapshot): SheetGround {
  const build = parts.find(({ slot }) => slot === 'arrows')?.build ?? null;
  const newest = sheets[0];
  return {
    arrowParts: build && arrowParts(build, (id) => partById(from, id)),
    aims: bow ? aimsOf(from, job.id, bow.id) : [],
    before: newest ? findSheet(job.id, String(newest.revision), from) : null,
  };
}

/** What the delivery note of the newest handover is made from. */
export function loadDelivery(
  jobId: string,
  from: Db = db(),
): {
  readonly sheet: SheetDocument;
  readonly money: DeliveryMoney;
} {
  const job = jobById(from, jobId);
  if (!job) throw notFound('job');
  const newest = sheetsOf(from, jobId)[0];
  if (!newest)
    throw new Problem(422, 'not-handed-over', 'There is no delivery note yet', {
      detail: 'It is made from what was handed over: hand the bow over first.',
    });
  const { timeZone } = shopSettings(from);
  return {
    sheet: loadSheet(jobId, String(newest.revision), from),
    money: {
      accepted: job.accepted,
      payments: paymentsOf(from, jobId),
      dayOf: (at) => shopDay(timeZone, at),
    },
  };
}
