import type { Archer, Job, JobBow, JobPart } from '@/core/job';
import { arrowParts, arrowsItem, type ArrowChoice } from '@/core/kit';
import type { Db } from './db';
import { boolean, booleanOrNull, json, plain, RowMapping } from './mapping';
import { itemById, partById } from './stock';

export const archerMapping = new RowMapping<Archer>('archer', {
  id: plain('id'),
  name: plain('name'),
  phone: plain('phone'),
  email: plain('email'),
  minor: boolean('minor'),
  guardianName: plain('guardianName'),
  guardianPhone: plain('guardianPhone'),
  hand: plain('hand'),
  dominantEye: plain('dominantEye'),
  ageBand: plain('ageBand'),
  build: plain('build'),
  experience: plain('experience'),
  birthDay: plain('birthDay'),
  injured: plain('injured'),
  injury: plain('injury'),
  eyesight: plain('eyesight'),
  release: plain('release'),
  wall: plain('wall'),
  eyeHandling: plain('eyeHandling'),
});

/** A job there is still work to come of: as the index for what is asked every day says it, word for word. */
export const OPEN = `delivered_at IS NULL AND closed_json = 'null'`;

export const jobMapping = new RowMapping<Job>('job', {
  id: plain('id'),
  number: plain('number'),
  archerId: plain('archerId'),
  version: plain('version'),
  purpose: plain('purpose'),
  furthestM: plain('furthestM'),
  lowLight: boolean('lowLight'),
  electronicsForbidden: boolean('electronicsForbidden'),
  budgetCents: plain('budgetCents'),
  promisedDay: plain('promisedDay'),
  appointmentAt: plain('appointmentAt'),
  alreadyOwn: plain('alreadyOwn'),
  notes: plain('notes'),
  bowId: plain('bowId'),
  bowReason: plain('bowReason'),
  loopCounts: booleanOrNull('loopCounts'),
  schools: json('schools'),
  legalMinimumN: plain('legalMinimumN'),
  legalPlace: plain('legalPlace'),
  asked: json('asked'),
  skipped: json('skipped'),
  drawOff: json('drawOff'),
  kitWishes: json('kitWishes'),
  arrows: json('arrows'),
  moduleStepMm: plain('moduleStepMm'),
  moduleReason: plain('moduleReason'),
  peakTargetN: plain('peakTargetN'),
  peakReason: plain('peakReason'),
  extras: json('extras'),
  accepted: json('accepted'),
  visit: json('visit'),
  closed: json('closed'),
  comeBackDay: plain('comeBackDay'),
  like: json('like'),
  elsewhere: json('elsewhere'),
  place: plain('place'),
  createdAt: plain('createdAt'),
  deliveredAt: plain('deliveredAt'),
});

export interface StoredPart extends Omit<JobPart, 'item'> {
  readonly jobId: string;
  readonly itemId: string | null;
}

export const partMapping = new RowMapping<StoredPart>('job_part', {
  jobId: plain('jobId'),
  slot: plain('slot'),
  itemId: plain('itemId'),
  owned: boolean('owned'),
  label: plain('label'),
  priceCents: plain('priceCents'),
  arrivesDay: plain('arrivesDay'),
  orderedAt: plain('orderedAt'),
  arrivedAt: plain('arrivedAt'),
  handedOver: boolean('handedOver'),
  short: json('short'),
  build: json('build'),
});

export interface StoredBow extends JobBow {
  readonly jobId: string;
  readonly bowId: string;
}

export const jobBowMapping = new RowMapping<StoredBow>('job_bow', {
  jobId: plain('jobId'),
  bowId: plain('bowId'),
  serial: plain('serial'),
  condition: plain('condition'),
  priceCents: plain('priceCents'),
  arrivesDay: plain('arrivesDay'),
  orderedAt: plain('orderedAt'),
  arrivedAt: plain('arrivedAt'),
  handedOver: boolean('handedOver'),
});

export const insertArcher = (db: Db, archer: Archer) => archerMapping.insert(db, archer);
export const updateArcher = (db: Db, archer: Archer) => archerMapping.update(db, archer, 'id');
export const insertJob = (db: Db, job: Job) => jobMapping.insert(db, job);
export const updateJob = (db: Db, job: Job) => jobMapping.update(db, job, 'id');

export const nextJobNumber = (db: Db): number =>
  (db.prepare('SELECT coalesce(max(number), 1000) + 1 AS next FROM job').get() as { next: number })
    .next;

export function archerById(db: Db, id: string): Archer | null {
  const row = db.prepare(`SELECT ${archerMapping.columnList} FROM archer WHERE id = ?`).get(id);
  return row ? archerMapping.fromRow(row) : null;
}

/** Somebody of the same name who is reached the same way; null where nobody is. */
export const archerLike = (
  db: Db,
  { name, phone, email }: Pick<Archer, 'name' | 'phone' | 'email'>,
): string | null =>
  (db
    .prepare(
      `SELECT id FROM archer WHERE name = @name AND erased_at IS NULL
       AND ((phone <> '' AND phone = @phone) OR (email <> '' AND email = @email)) LIMIT 1`,
    )
    .pluck()
    .get({ name, phone, email }) as string | undefined) ?? null;

export function jobById(db: Db, id: string): Job | null {
  const row = db.prepare(`SELECT ${jobMapping.columnList} FROM job WHERE id = ?`).get(id);
  return row ? jobMapping.fromRow(row) : null;
}

/** By the number of its ticket. */
export function jobByNumber(db: Db, number: number): Job | null {
  const row = db.prepare(`SELECT ${jobMapping.columnList} FROM job WHERE number = ?`).get(number);
  return row ? jobMapping.fromRow(row) : null;
}

/** Every job that can be read, promised first; those without a date last. */
export const allJobs = (db: Db): Job[] =>
  db
    .prepare(
      `SELECT ${jobMapping.columnList} FROM job ORDER BY promised_day IS NULL, promised_day, number`,
    )
    .all()
    .flatMap((row) => {
      try {
        return [jobMapping.fromRow(row)];
      } catch {
        // Named on Today; the others are none the worse for it.
        return [];
      }
    });

/**
 * Open jobs with an appointment from an instant on, promised first.
 *
 * @param jobId only this one; null for all.
 */
export const jobsAppointed = (db: Db, from: string, jobId: string | null): Job[] =>
  db
    .prepare(
      `SELECT ${jobMapping.columnList} FROM job
       WHERE ${OPEN} AND julianday(appointment_at) >= julianday(@from)
         AND (@jobId IS NULL OR id = @jobId)
       ORDER BY promised_day IS NULL, promised_day, number`,
    )
    .all({ from, jobId })
    .flatMap((row) => {
      try {
        return [jobMapping.fromRow(row)];
      } catch {
        // Named on Today; the others are none the worse for it.
        return [];
      }
    });

/** Jobs of one archer, newest first. */
export const jobsOfArcher = (db: Db, archerId: string): Job[] =>
  db
    .prepare(`SELECT ${jobMapping.columnList} FROM job WHERE archer_id = ? ORDER BY number DESC`)
    .all(archerId)
    .map((row) => jobMapping.fromRow(row));

/** Takes the next version if `version` is still the newest; false when somebody was quicker. */
export const claimVersion = (db: Db, jobId: string, version: number): boolean =>
  db
    .prepare('UPDATE job SET version = version + 1 WHERE id = ? AND version = ?')
    .run(jobId, version).changes === 1;

export const setPlace = (db: Db, jobId: string, place: string) =>
  db.prepare('UPDATE job SET place = ? WHERE id = ?').run(place, jobId);

export const partsOf = (db: Db, jobId: string): JobPart[] =>
  db
    .prepare(`SELECT ${partMapping.columnList} FROM job_part WHERE job_id = ? ORDER BY slot`)
    .all(jobId)
    .map((row) => {
      const { jobId: _job, itemId, ...part } = partMapping.fromRow(row);
      if (part.build) return { ...part, item: builtItem(db, part.build) };
      return { ...part, item: itemId === null ? null : itemById(db, itemId) };
    });

/** A built set from its parts as they stand; null where one of them is gone. */
function builtItem(db: Db, build: ArrowChoice) {
  const parts = arrowParts(build, (id) => partById(db, id));
  return parts && arrowsItem(build, parts);
}

/** Fills or empties one slot. */
export function putPart(db: Db, jobId: string, slot: string, part: StoredPart | null): void {
  db.prepare('DELETE FROM job_part WHERE job_id = ? AND slot = ?').run(jobId, slot);
  if (part) partMapping.insert(db, part);
}

/** The bow a job holds; null where it has none. */
export function heldBow(db: Db, jobId: string): StoredBow | null {
  const row = db
    .prepare(`SELECT ${jobBowMapping.columnList} FROM job_bow WHERE job_id = ?`)
    .get(jobId);
  return row ? jobBowMapping.fromRow(row) : null;
}

export function putHeldBow(db: Db, jobId: string, bow: StoredBow | null): void {
  db.prepare('DELETE FROM job_bow WHERE job_id = ?').run(jobId);
  if (bow) jobBowMapping.insert(db, bow);
}
