import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { migrate } from './migrate';

export type Db = Database.Database;

const DEFAULT_DB = 'var/waffenrad.sqlite';

export const dbPath = () =>
  resolve(/* turbopackIgnore: true */ process.env.WAFFENRAD_DB ?? DEFAULT_DB);

/** Opens (and makes) the file, sets the pragmas, brings the schema up to date. */
export function openDb(path: string): Db {
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
  const db = new Database(path);
  db.pragma('journal_mode = WAL');
  // An acknowledged entry must survive a killed process and a pulled plug.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 3000');
  migrate(db);
  return withKeptStatements(db);
}

/** A second connection that only reads, for a thread of its own; the schema is up to date already. */
export function openReader(path: string): Db {
  const db = new Database(path, { readonly: true, fileMustExist: true });
  db.pragma('busy_timeout = 3000');
  return withKeptStatements(db);
}

/** Different statements kept at most: those built from what somebody looks for would never end. */
const KEPT = 400;

/** Compiling a statement costs more than most of ours take to run: each is compiled once. */
function withKeptStatements(db: Db): Db {
  const compile = db.prepare.bind(db) as (sql: string) => Database.Statement;
  const kept = new Map<string, Database.Statement>();
  const prepare = (sql: string): Database.Statement => {
    const known = kept.get(sql);
    // How its rows come back is asked for anew by each who runs it.
    if (known) return known.reader ? known.pluck(false) : known;
    const made = compile(sql);
    if (kept.size < KEPT) kept.set(sql, made);
    return made;
  };
  return Object.assign(db, { prepare });
}

const held = globalThis as typeof globalThis & { waffenradDb?: Db };

/** Makes a connection the one that everything here uses. */
export const holdDb = (db: Db): void => void (held.waffenradDb = db);

/** The process's one connection; kept over hot reloads in development. */
export const db = (): Db => (held.waffenradDb ??= openDb(dbPath()));
