import { chmodSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { backupBefore, OWNER_ALONE } from './backup';
import { migrate, refuseForeign } from './migrate';
import { hasShop, NoShop } from './no-shop';

export type Db = Database.Database;

const DEFAULT_DB = 'var/waffenrad.sqlite';

export const dbPath = () =>
  resolve(/* turbopackIgnore: true */ process.env.WAFFENRAD_DB ?? DEFAULT_DB);

/** Where backups go: a folder of choice, best on another disk; beside the shop’s file where none is named. */
export function backupFolder(path = dbPath()): string | null {
  const named = process.env.WAFFENRAD_BACKUPS;
  // A demo or a test wants none.
  if (named === 'off') return null;
  return resolve(/* turbopackIgnore: true */ named ?? join(dirname(path), 'backups'));
}

/**
 * Opens (and makes) the file, sets the pragmas, brings the schema up to date.
 *
 * @param bytes what a database in memory begins with; empty where they are left out.
 */
export function openDb(path: string, bytes?: Buffer): Db {
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
  // Two that begin side by side on a new file wait for each other.
  const db = new Database(bytes ?? path, { timeout: OPENING_WAIT_MS });
  try {
    if (path !== ':memory:') keepToOwner(path);
    refuseForeign(db);
    whileOthersOpen(() => db.pragma('journal_mode = WAL'));
    // An acknowledged entry must survive a killed process and a pulled plug.
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    const folder = backupFolder(path);
    migrate(db, undefined, (version) => {
      if (folder !== null && path !== ':memory:') backupBefore(db, folder, version);
    });
    db.pragma(`busy_timeout = ${WAIT_MS}`);
    return withKeptStatements(db);
  } catch (error) {
    db.close();
    throw error;
  }
}

/** While the file is opened nobody is served yet. */
const OPENING_WAIT_MS = 10_000;
const LOOK_AGAIN_MS = 20;

/** The log's kind is changed by one alone, and SQLite does not wait for that by itself. */
function whileOthersOpen(work: () => void): void {
  for (let waited = 0; ; waited += LOOK_AGAIN_MS) {
    try {
      return work();
    } catch (error) {
      if ((error as { code?: unknown }).code !== 'SQLITE_BUSY' || waited >= OPENING_WAIT_MS)
        throw error;
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, LOOK_AGAIN_MS);
    }
  }
}

/** Whoever else writes has so long; the one thread of the server waits with it, so not longer. */
const WAIT_MS = 40;

/** The file, and its log where one was left by a program that ended at once, are read by nobody else. */
function keepToOwner(path: string): void {
  for (const tail of ['', '-wal', '-shm']) {
    const file = path + tail;
    if (!existsSync(file)) continue;
    const mode = statSync(file).mode & 0o777;
    // What its owner made read-only stays so.
    if ((mode & ~OWNER_ALONE) !== 0) chmodSync(file, mode & OWNER_ALONE);
  }
}

/** The same for a program that serves: where nothing stands nothing is made, a mistyped name would be an empty shop. */
export function openShopFile(path: string): Db {
  if (!hasShop(path)) throw new NoShop(`There is no shop at ${path}.`);
  return openDb(path);
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

// Pages are bundled apart from each other: what all share hangs on the process.
const held = globalThis as typeof globalThis & {
  waffenradDb?: Db;
  waffenradOpens?: (path: string) => Db;
};

/** How this process, or thread, opens the shop’s file when it first asks for it; to read and write otherwise. */
export const openBy = (opens: (path: string) => Db): void => void (held.waffenradOpens = opens);

/** The process's one connection; kept over hot reloads in development. */
export const db = (): Db => (held.waffenradDb ??= (held.waffenradOpens ?? openDb)(dbPath()));

/** The same where somebody has asked for it; null else. */
export const openedDb = (): Db | null => held.waffenradDb ?? null;
