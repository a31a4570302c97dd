import { addDays } from '@/core/units';
import { seeded } from '@/core/numerics';
import type { Db } from '@/data/db';
import { addEvent } from '@/data/events';
import {
  archerById,
  heldBow,
  insertArcher,
  insertJob,
  jobById,
  nextJobNumber,
  partsOf,
  putHeldBow,
  putPart,
} from '@/data/jobs';
import { openHeads, deliveredPage } from '@/data/job-heads';
import { appendReading, readingsOf } from '@/data/records';
import { insertSheet, sheetDocument } from '@/data/sheets';
import { storedPart } from '@/server/commands/hold';
import { now } from '@/server/clock';

const FIRST =
  'Anko Berit Dagny Eilika Fenja Gesa Hauke Ilvy Jorit Kaja Lasse Maite Nele Okke Petra Rieke Swantje Tamme Ubbo Wiebke'.split(
    ' ',
  );
const LAST =
  'Aalderk Brokhus Deichert Evers Folkerts Grunewoud Harmsen Ihnken Jansma Kolthoff Lürssen Menke Oltmer Poppinga Reents Siebels Tjarks Uphoff Wessels Zylmann'.split(
    ' ',
  );

/** Days a shop’s history goes back. */
const PAST_DAYS = 1500;
/** Entries of a job’s history. */
const ENTRIES = 12;
/** Jobs of one transaction. */
const AT_ONCE = 200;

interface History {
  readonly delivered: number;
  readonly open: number;
  readonly seed: number;
}

/**
 * Years of a busy shop, laid through the data layer onto a demo shop: its own jobs again and again, with
 * other archers, other days and their own tickets. The same seed makes the same shop.
 */
export function seedHistory(db: Db, { delivered, open, seed }: History): void {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const done = deliveredPage(db, 10).map(({ jobId }) => templateOf(db, jobId));
  const going = openHeads(db).map(({ id }) => templateOf(db, id));
  const wanted = [
    ...Array.from({ length: delivered }, (_, i) => ({
      of: pick(done),
      daysAgo: Math.round(PAST_DAYS * (1 - i / delivered)) + 1,
    })),
    ...Array.from({ length: open }, () => ({ of: pick(going), daysAgo: 0 })),
  ];
  const some = db.transaction((entries: typeof wanted) => {
    for (const { of, daysAgo } of entries) {
      const name = `${pick(FIRST)} ${pick(LAST)}`;
      const phone = `04421 ${String(Math.floor(random() * 1e6)).padStart(6, '0')}`;
      copyJob(db, of, { name, phone }, daysAgo);
    }
  });
  for (let i = 0; i < wanted.length; i += AT_ONCE) some(wanted.slice(i, i + AT_ONCE));
}

/** An instant so many days earlier. */
const earlier = (instant: string, days: number) =>
  `${addDays(instant.slice(0, 10), -days)}${instant.slice(10)}`;

/** A job of the demo shop with everything that is laid down again. */
function templateOf(db: Db, jobId: string) {
  const job = jobById(db, jobId)!;
  const { readings, fitReadings } = readingsOf(db, jobId, job.bowId);
  return {
    job,
    archer: archerById(db, job.archerId)!,
    bow: heldBow(db, jobId),
    parts: partsOf(db, jobId).flatMap(({ slot }) => storedPart(db, jobId, slot) ?? []),
    readings: [
      ...fitReadings.map((reading) => ({ ...reading, bowId: null, method: 'measured' })),
      ...readings.map((reading) => ({ ...reading, bowId: job.bowId })),
    ],
    newest: readings.at(-1)?.at ?? now().toISOString(),
    document: sheetDocument(db, jobId, 1),
  };
}
type Template = ReturnType<typeof templateOf>;

function copyJob(
  db: Db,
  { job, archer, bow, parts, readings, newest, document }: Template,
  person: { readonly name: string; readonly phone: string },
  daysAgo: number,
): void {
  const number = nextJobNumber(db);
  const jobId = `history-${number}`;
  const archerId = `archer-${number}`;
  const shift = (instant: string) => earlier(instant, daysAgo);
  insertArcher(db, { ...archer, ...person, id: archerId });
  insertJob(db, {
    ...job,
    ...{ id: jobId, archerId, number, createdAt: shift(job.createdAt) },
    promisedDay: job.promisedDay && addDays(job.promisedDay, -daysAgo),
    appointmentAt: daysAgo === 0 ? null : job.appointmentAt && shift(job.appointmentAt),
    deliveredAt: job.deliveredAt && shift(job.deliveredAt),
    comeBackDay: job.comeBackDay && addDays(job.comeBackDay, -daysAgo),
  });
  if (bow) putHeldBow(db, jobId, { ...bow, jobId, serial: null });
  for (const part of parts) putPart(db, jobId, part.slot, { ...part, jobId });
  for (const { bowId, key, si, si2, choice, entered, method, who, at } of readings)
    appendReading(db, {
      ...{ jobId, bowId, key, si, si2, choice, entered, method },
      ...{ who, at: shift(at), retracts: null },
    });
  for (let version = 1; version <= ENTRIES; version++)
    addEvent(db, {
      ...{ jobId, version, at: shift(newest), who: 'T. Okoro', stage: 'bench' },
      ...{ summary: `entry ${version}`, inverse: null },
    });
  if (document)
    insertSheet(db, jobId, { revision: 1, at: shift(newest), who: 'T. Okoro' }, document);
}
