import { closeSync, existsSync, openSync, readSync, renameSync, rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { ForeignFile, migrate, NewerFile } from './migrate';
import {
  finishWhole,
  MANIFEST,
  putTriggersAside,
  rowWriter,
  SEQUENCES,
  tableFile,
  WHOLE_FORMAT,
  WHOLE_VERSION,
  wholeTables,
  type Manifest,
  type WholeRow,
} from './whole';

type Db = Database.Database;

/** Longest row read: a sheet with a long record has some hundred thousand letters. */
const MOST_LETTERS = 30_000_000;
/** More than any shop has: a file that unpacks to more is made to harm. */
const MOST_BYTES = 20_000_000_000;
const MOST_FILES = 500_000;

/** Why a file was not taken in: nothing of it was. */
export class NotTaken extends Error {
  override readonly name = 'NotTaken';
}

/** What comes out of the ZIP, file after file and piece after piece. */
function unpack(
  path: string,
  begin: (name: string) => { piece: (bytes: Uint8Array) => void; end: () => void },
): void {
  const file = openSync(path, 'r');
  let bytes = 0;
  let files = 0;
  let trouble: unknown = null;
  // What is thrown inside of the unpacking does not come out of it: kept, and thrown after the piece.
  const tried = (work: () => void) => {
    if (trouble !== null) return;
    try {
      work();
    } catch (error) {
      trouble = error;
    }
  };
  const unzip = new Unzip((entry) =>
    tried(() => {
      if (++files > MOST_FILES) throw new NotTaken('There are more files in it than any shop has.');
      const taken = begin(entry.name);
      entry.ondata = (error, chunk, final) =>
        tried(() => {
          if (error) throw error;
          bytes += chunk.length;
          if (bytes > MOST_BYTES) throw new NotTaken('It unpacks to more than any shop has.');
          taken.piece(chunk);
          if (final) taken.end();
        });
      entry.start();
    }),
  );
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  try {
    const buffer = Buffer.alloc(1 << 20);
    for (;;) {
      const read = readSync(file, buffer, 0, buffer.length, null);
      unzip.push(new Uint8Array(buffer.subarray(0, read)), read === 0);
      if (trouble !== null) throw trouble as Error;
      if (read === 0) break;
    }
  } finally {
    closeSync(file);
  }
}

/**
 * Reads an export into a new file that must not be there yet. The schema is that of the export, brought up
 * to this program's by its migrations afterwards.
 *
 * @returns what the export said of itself.
 * @throws NotTaken with the reason where it is no export, a newer one, or damaged; nothing is left then.
 */
export function readWhole(zipPath: string, path: string): Manifest {
  if (existsSync(path))
    throw new NotTaken(`There is a file at ${path} already: name one that is free.`);
  const part = `${path}.part`;
  const tidy = () => {
    for (const tail of ['', '-wal', '-shm', '-journal']) rmSync(part + tail, { force: true });
  };
  tidy();
  const db = new Database(part);
  try {
    const manifest = fill(db, zipPath);
    migrate(db);
    db.close();
    renameSync(part, path);
    return manifest;
  } catch (error) {
    db.close();
    tidy();
    if (error instanceof NewerFile || error instanceof ForeignFile)
      throw new NotTaken(error.message);
    throw error instanceof NotTaken
      ? error
      : new NotTaken(`The export is damaged and was not taken: ${(error as Error).message}.`);
  }
}

function fill(db: Db, zipPath: string): Manifest {
  let manifest: Manifest | null = null;
  let back: (() => void) | null = null;
  let sequences: Record<string, number> = {};
  const writers = new Map<string, ReturnType<typeof rowWriter>>();
  const counts = new Map<string, number>();
  db.pragma('foreign_keys = OFF');
  const startWith = (made: Manifest) => {
    manifest = made;
    migrate(db, undefined, undefined, made.schema);
    db.exec('BEGIN IMMEDIATE');
    back = putTriggersAside(db);
    // What a migration lays down itself stands in the export too.
    for (const { name } of wholeTables(db)) db.exec(`DELETE FROM "${name}"`);
    const known = new Set(wholeTables(db).map(({ name }) => name));
    for (const table of made.tables) {
      if (!known.has(table.name))
        throw new NotTaken(`It has a table “${table.name}” nobody knows.`);
      writers.set(tableFile(table.name), rowWriter(db, table));
    }
  };
  unpack(zipPath, (name) => {
    if (manifest === null && name !== MANIFEST)
      throw new NotTaken(
        'This is no export of this program: it would begin with its own contents.',
      );
    if (name === MANIFEST) return whole((text) => startWith(manifestIn(text)));
    if (name === SEQUENCES)
      return whole((text) => {
        sequences = JSON.parse(text) as Record<string, number>;
      });
    const writer = writers.get(name);
    if (writer)
      return lines((line) => {
        writer.put(JSON.parse(line) as WholeRow);
        counts.set(name, (counts.get(name) ?? 0) + 1);
      });
    return bytes((picture) => {
      const taken = [...writers.values()].some((one) => one.picture(name, picture));
      if (!taken) throw new NotTaken(`It holds a file nobody asked for: “${name.slice(0, 80)}”.`);
    });
  });
  const made = manifest as Manifest | null;
  if (made === null) throw new NotTaken('This is no export of this program, or it is empty.');
  for (const { name, rows } of made.tables) {
    const read = counts.get(tableFile(name)) ?? 0;
    if (read !== rows)
      throw new NotTaken(`Of ${name} it says ${rows} rows and holds ${read}: it is not whole.`);
  }
  if ([...writers.values()].some(({ waiting }) => waiting.size > 0))
    throw new NotTaken('A picture is missing in it: it is not whole.');
  finishWhole(db, sequences);
  (back as (() => void) | null)?.();
  db.exec('COMMIT');
  return made;
}

function manifestIn(text: string): Manifest {
  const made = JSON.parse(text) as Manifest;
  if (made.format !== WHOLE_FORMAT) throw new NotTaken('This is no export of this program.');
  if (made.formatVersion > WHOLE_VERSION)
    throw new NotTaken(
      `It is of version ${made.formatVersion}; this program reads ${WHOLE_VERSION}. Bring the program up to date first.`,
    );
  return made;
}

const TOO_LONG = 'A row in it is longer than any of a shop.';

/** A file of lines, each as it comes. */
function lines(take: (line: string) => void) {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let held = '';
  const split = (text: string) => {
    const parts = (held + text).split('\n');
    held = parts.pop()!;
    if (held.length > MOST_LETTERS) throw new NotTaken(TOO_LONG);
    for (const line of parts) if (line !== '') take(line);
  };
  return {
    piece: (chunk: Uint8Array) => split(decoder.decode(chunk, { stream: true })),
    end: () => split(`${decoder.decode()}\n`),
  };
}

/** A file as one. */
function bytes(take: (all: Uint8Array) => void) {
  const pieces: Uint8Array[] = [];
  let size = 0;
  return {
    piece(chunk: Uint8Array) {
      size += chunk.length;
      if (size > MOST_LETTERS) throw new NotTaken(TOO_LONG);
      pieces.push(chunk.slice());
    },
    end: () => take(Buffer.concat(pieces)),
  };
}

const whole = (take: (text: string) => void) => bytes((all) => take(new TextDecoder().decode(all)));
