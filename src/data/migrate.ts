import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { fold } from './spelling';

const DIRECTORY = join(/* turbopackIgnore: true */ process.cwd(), 'src/data/migrations');

/** The file was made by a newer program: this one leaves it alone. */
export class NewerFile extends Error {
  /** Pages and threads are bundled apart: known by its name, not by its class. */
  static override [Symbol.hasInstance](value: unknown): boolean {
    return value instanceof Error && value.name === 'NewerFile';
  }
  override readonly name = 'NewerFile';
}

/** The file is a database of something else: nothing is written into it. */
export class ForeignFile extends Error {
  static override [Symbol.hasInstance](value: unknown): boolean {
    return value instanceof Error && value.name === 'ForeignFile';
  }
  override readonly name = 'ForeignFile';
}

/** Nothing is written into a database that is of something else. */
export function refuseForeign(db: Database): void {
  const version = db.pragma('user_version', { simple: true }) as number;
  const tables = db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table'")
    .pluck()
    .all() as string[];
  if (version > 0 ? !tables.includes('setting') : tables.length > 0)
    throw new ForeignFile('The file is a database, but not of a shop.');
}

/**
 * Runs every migration newer than the file's `user_version`, each in one transaction with the
 * version it brings. A half-done migration leaves nothing behind.
 *
 * @param before called with the version there is, before anything of a shop that is older is changed.
 * @param upTo the newest that runs: an export of an older file is read into a file of its day.
 * @returns the numbers that ran.
 */
export function migrate(
  db: Database,
  directory = DIRECTORY,
  before: (version: number) => void = () => undefined,
  upTo = Infinity,
): number[] {
  // The schema calls it: names are found whatever their accents.
  db.function('folded', { deterministic: true }, (text) => fold(String(text ?? '')));
  const files = readdirSync(directory)
    .filter((name) => /^\d{4}-[a-z-]+\.sql$/.test(name))
    .sort();
  const have = db.pragma('user_version', { simple: true }) as number;
  const ahead = files.length > 0 ? Number(files.at(-1)!.slice(0, 4)) : 0;
  if (have > ahead || (Number.isFinite(upTo) && upTo > ahead)) {
    throw new NewerFile(
      `The database is of version ${Math.max(have, Number.isFinite(upTo) ? upTo : 0)}; this program knows ${ahead}. Start the newer program, or name another file in WAFFENRAD_DB.`,
    );
  }
  if (have > 0 && have < ahead) before(have);
  const ran: number[] = [];
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    if (number <= have || number > upTo) continue;
    db.transaction(() => {
      // Another program may have begun on the same file in the same instant.
      if ((db.pragma('user_version', { simple: true }) as number) >= number) return;
      db.exec(readFileSync(join(directory, name), 'utf8'));
      db.pragma(`user_version = ${number}`);
      ran.push(number);
    }).immediate();
  }
  return ran;
}
