import { strToU8, unzipSync, zipSync, type UnzipFileInfo } from 'fflate';
import {
  BUNDLE_BOWS,
  BUNDLE_FILE,
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  readBundle,
  type ArcherBundle,
} from '@/contracts/archer-bundle';
import { readBowFile, writeBowFile } from '@/contracts/bow-csv';
import { bowName, type BowRecord } from '@/core/bow';
import type { Job } from '@/core/job';
import { archerById, heldBow, jobsOfArcher, partsOf } from '@/data/jobs';
import { db, type Db } from '@/data/db';
import { eventPage } from '@/data/events';
import { paymentsOf } from '@/data/payments';
import { photosOf, pictureOf } from '@/data/photos';
import { quoteById, quotesOf } from '@/data/quotes';
import { readingsOf } from '@/data/records';
import { shopSettings } from '@/data/settings';
import { sheetDocument, sheetsOf } from '@/data/sheets';
import { bowById } from '@/data/stock';
import { notFound, Problem } from './problem';

type BundleJob = ArcherBundle['jobs'][number];

/** Entries of a job a bundle tells at most. */
const MOST_ENTRIES = 20_000;

const photoFile = (number: number, id: number) => `photos/${number}-${id}.jpg`;

/** What else was answered or told of the job; other shops read over it. */
const answersOf = (job: Job): object => ({
  lowLight: job.lowLight,
  electronicsForbidden: job.electronicsForbidden,
  budgetCents: job.budgetCents,
  legalMinimumN: job.legalMinimumN,
  legalPlace: job.legalPlace,
  visit: job.visit,
  closed: job.closed,
});

function jobOf(on: Db, job: Job): BundleJob {
  const { id, number, bowId } = job;
  const bow = bowId === null ? null : bowById(on, bowId);
  const { readings, fitReadings } = readingsOf(on, id, bowId);
  const entries = eventPage(on, id, { words: '', before: null, limit: MOST_ENTRIES });
  return {
    number,
    openedAt: job.createdAt,
    handedOverAt: job.deliveredAt,
    answers: {
      purpose: job.purpose,
      furthestM: job.furthestM,
      notes: job.notes,
      alreadyOwn: job.alreadyOwn,
      ...answersOf(job),
    },
    bow: bow && { id: bow.id, name: bowName(bow), untold: [...(bow.untold ?? [])] },
    serial: heldBow(on, id)?.serial ?? null,
    parts: partsOf(on, id).map(({ slot, label, owned, priceCents }) => ({
      slot,
      name: label,
      owned,
      priceCents,
    })),
    readings: [
      ...fitReadings.map(({ key, si, si2, choice, outcome, entered, who, at }) => ({
        ...{ key, si, si2, choice: choice ?? outcome, entered, method: 'typed', who, at },
      })),
      ...readings.map(({ key, si, si2, choice, entered, method, who, at }) => ({
        ...{ key, si, si2, choice, entered, method, who, at },
      })),
    ],
    sheets: sheetsOf(on, id).map(({ revision }) => sheetDocument(on, id, revision) as object),
    quotes: quotesOf(on, id).map(({ revision }) => quoteById(on, id, revision) as object),
    payments: paymentsOf(on, id).map(({ at, kind, way, cents }) => ({ at, kind, way, cents })),
    entries: entries.map(({ at, who, summary }) => ({ at, who, what: summary })).reverse(),
    photos: photosOf(on, id).map((photo) => ({
      ...{
        file: photoFile(number, photo.id),
        at: photo.at,
        about: photo.about,
        words: photo.words,
      },
    })),
  };
}

/** Everything the shop knows of one archer. */
export function bundleOf(archerId: string, madeAt: string, on: Db = db()): ArcherBundle {
  const known = archerById(on, archerId);
  if (!known) throw notFound('archer');
  const { id: _id, ...archer } = known;
  const { name, address, phone } = shopSettings(on);
  return {
    format: BUNDLE_FORMAT,
    formatVersion: BUNDLE_VERSION,
    madeAt,
    shop: { name, address, phone },
    archer,
    jobs: jobsOfArcher(on, archerId).map((job) => jobOf(on, job)),
  };
}

const READ_ME = `This file holds what a shop knows of one archer.

${BUNDLE_FILE}  everything, as JSON (docs/formats/archer.schema.json of Waffenrad)
${BUNDLE_BOWS}               the bows, one row each; a spreadsheet opens it
photos/               the photographs, JPEG

Another shop that works with Waffenrad reads it as it is: New job, "From an archer's file".
`;

/** The same as a ZIP, with bows and pictures. Made in a thread. */
export function bundleFile(archerId: string, madeAt: string, on: Db = db()): Uint8Array {
  const bundle = bundleOf(archerId, madeAt, on);
  const jobs = jobsOfArcher(on, archerId);
  const bows = new Map(
    jobs.flatMap(({ bowId }) => {
      const bow = bowId === null ? null : bowById(on, bowId);
      return bow ? [[bow.id, bow] as const] : [];
    }),
  );
  const pictures = jobs.flatMap(({ id, number }) =>
    photosOf(on, id).flatMap((photo) => {
      const bytes = pictureOf(on, id, photo.id, 'large');
      return bytes ? [[photoFile(number, photo.id), new Uint8Array(bytes)] as const] : [];
    }),
  );
  return zipSync(
    {
      'README.txt': strToU8(READ_ME),
      [BUNDLE_FILE]: strToU8(`${JSON.stringify(bundle, null, 1)}\n`),
      [BUNDLE_BOWS]: strToU8(writeBowFile([...bows.values()])),
      // A JPEG is small already.
      ...Object.fromEntries(
        pictures.map(([file, bytes]) => [file, [bytes, { level: 0 as const }]]),
      ),
    },
    { level: 6, mtime: madeAt },
  );
}

/** What each of the two files may hold unpacked. */
const FILE_BYTES = 8_000_000;

const notRead = (detail: string) =>
  new Problem(422, 'no-bundle', 'This file cannot be read', {
    detail,
    errors: [{ pointer: '/file', detail }],
  });

/** What was handed in, looked at: the bundle and its bows by id. Refused with why. Done in a thread. */
export function lookAtBundle(bytes: Uint8Array): {
  readonly bundle: ArcherBundle;
  readonly bows: Readonly<Record<string, BowRecord>>;
} {
  const wanted = ({ name, originalSize }: UnzipFileInfo) => {
    if (name !== BUNDLE_FILE && name !== BUNDLE_BOWS) return false;
    if (originalSize > FILE_BYTES)
      throw notRead(`${name} in it is larger than an archer’s file can be.`);
    return true;
  };
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, { filter: wanted });
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw notRead('It is no ZIP, or it was cut off on its way: fetch it once more.');
  }
  const text = (name: string) => {
    const file = files[name];
    if (!file) throw notRead(`There is no ${name} in it: this is another kind of file.`);
    try {
      return new TextDecoder('utf-8', { fatal: true }).decode(file);
    } catch {
      throw notRead(`${name} in it is damaged.`);
    }
  };
  let value: unknown;
  try {
    value = JSON.parse(text(BUNDLE_FILE));
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw notRead(`${BUNDLE_FILE} in it is damaged.`);
  }
  const read = readBundle(value);
  if (!read.ok) throw notRead(read.reason);
  const { bows, faults } = readBowFile(text(BUNDLE_BOWS));
  const [fault] = faults;
  if (fault) throw notRead(`${BUNDLE_BOWS}, line ${fault.line}, ${fault.column}: ${fault.message}`);
  return { bundle: read.bundle, bows: Object.fromEntries(bows.map(({ bow }) => [bow.id, bow])) };
}
