import { bowName } from '@/core/bow';
import { withAge, type EarlierJob, type Job, type JobSnapshot } from '@/core/job';
import { db, type Db } from '@/data/db';
import { aimCount } from '@/data/aims';
import { curvesOf } from '@/data/curves';
import { paymentsOf } from '@/data/payments';
import { photosOf } from '@/data/photos';
import { jobsOfSerial, leftBow } from '@/data/register';
import { archerById, heldBow, jobById, jobsOfArcher, partsOf } from '@/data/jobs';
import { acknowledgedOf, exceptionsOf, readingsOf, stepTimes } from '@/data/records';
import { eventsOf, redoable } from '@/data/events';
import { sheetsOf } from '@/data/sheets';
import { quotesOf } from '@/data/quotes';
import { shopSettings } from '@/data/settings';
import { bowById } from '@/data/stock';
import { nowIso, shopDay } from './clock';

/** One job as its screens need it; null when there is none of that id. */
export function loadSnapshot(jobId: string, from: Db = db()): JobSnapshot | null {
  const job = jobById(from, jobId);
  if (!job) return null;
  const shop = shopSettings(from);
  const { bow, bowHeld } = bowOf(from, job);
  return {
    job,
    archer: withAge(archerById(from, job.archerId)!, shopDay(shop.timeZone), shop.persons),
    bow,
    bowHeld,
    parts: partsOf(from, jobId),
    ...readingsOf(from, jobId, job.bowId),
    exceptions: exceptionsOf(from, jobId),
    acknowledged: acknowledgedOf(from, jobId),
    events: eventsOf(from, jobId),
    canRedo: redoable(from, jobId) !== null,
    sheets: sheetsOf(from, jobId),
    quotes: quotesOf(from, jobId),
    payments: paymentsOf(from, jobId),
    curves: job.bowId ? curvesOf(from, job.bowId) : [],
    aimed: aimCount(from, jobId, job.bowId),
    sameSerial: sameSerial(from, job),
    shotsSince: leftBow(from, jobId)?.shotsSince ?? null,
    photos: photosOf(from, jobId),
    earlier: earlierJobs(from, job),
    stepTimes: stepTimes(from),
    shop,
    today: shopDay(shop.timeZone),
    now: nowIso(),
  };
}

/** A bow that was brought along may have left this shop before, with another archer. */
function sameSerial(from: Db, { id, bowId, elsewhere }: Job): JobSnapshot['sameSerial'] {
  if (!elsewhere || bowId === null) return [];
  const read = readingsOf(from, id, bowId).readings.findLast(({ key }) => key === 'serialNumber');
  const serial = read?.choice ?? null;
  return serial === null ? [] : jobsOfSerial(from, serial).filter(({ jobId }) => jobId !== id);
}

/** The bow at the price it was taken for, and how it is held. */
function bowOf(from: Db, { id, bowId }: Job): Pick<JobSnapshot, 'bow' | 'bowHeld'> {
  const bow = bowId === null ? null : bowById(from, bowId);
  const row = bow && heldBow(from, id);
  if (!bow || !row) return { bow, bowHeld: null };
  const { jobId: _job, bowId: _bow, ...bowHeld } = row;
  return { bow: { ...bow, priceCents: bowHeld.priceCents }, bowHeld };
}

/** Other jobs of the same archer, opened before this one, with the newest reading of each thing. */
function earlierJobs(from: Db, { archerId, number }: Job): EarlierJob[] {
  return jobsOfArcher(from, archerId)
    .filter((job) => job.number < number)
    .map((job) => {
      const bow = job.bowId ? bowById(from, job.bowId) : null;
      const { readings, fitReadings } = readingsOf(from, job.id, job.bowId);
      const newest = new Map(
        [...fitReadings, ...readings].map(({ key, si, entered }) => [key, { key, si, entered }]),
      );
      return {
        jobId: job.id,
        number: job.number,
        createdAt: job.createdAt,
        deliveredAt: job.deliveredAt,
        bow: bow ? bowName(bow) : null,
        sheetRevision: sheetsOf(from, job.id)[0]?.revision ?? null,
        readings: [...newest.values()],
      };
    });
}
