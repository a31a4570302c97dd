import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';

/** A backup that lies in the folder. */
export interface BackupFile {
  readonly name: string;
  readonly path: string;
  /** UTC instant it was made at. */
  readonly at: string;
  readonly bytes: number;
}

/** What a look into a file says: whether it is whole, and what it holds. */
export interface FileCheck {
  readonly ok: boolean;
  /** What is wrong; empty where nothing is. */
  readonly faults: readonly string[];
  /** Number of the newest migration in it. */
  readonly version: number;
  readonly jobs: number;
  readonly archers: number;
  readonly readings: number;
  readonly sheets: number;
  /** Instant of its newest entry; null where there is none. */
  readonly newestAt: string | null;
}

const NAME = /^waffenrad-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)Z\.sqlite$/;

/** "waffenrad-2026-11-24T092000Z.sqlite": names sort as the times they were made at. */
export const backupName = (at: string) =>
  `waffenrad-${at.slice(0, 10)}T${at.slice(11, 19).replaceAll(':', '')}Z.sqlite`;

/** Backups of a folder, the newest first; other files in it are left alone. */
export function backupsIn(folder: string): BackupFile[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): BackupFile[] => {
      const [, day, hour, minute, second] = NAME.exec(name) ?? [];
      if (!day) return [];
      const path = join(folder, name);
      return [
        { name, path, at: `${day}T${hour}:${minute}:${second}Z`, bytes: statSync(path).size },
      ];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Only the shop’s own user reads what the shop keeps. */
export const OWNER_ALONE = 0o600;

/** Nothing of it stands in a log beside it: it can be carried away as it is. */
function oneFile(path: string): void {
  const db = new Database(path);
  db.pragma('journal_mode = DELETE');
  db.close();
}

/** Under the second it is made in; where that one has a backup, which stays, under the next that has none. */
function freePath(folder: string, at: string): string {
  for (let ms = Date.parse(at); ; ms += 1000) {
    const path = join(folder, backupName(new Date(ms).toISOString()));
    if (!existsSync(path)) return path;
  }
}

/**
 * Writes a backup beside the running shop, page after page with others served between; it has its
 * name only once it is whole.
 */
export async function writeBackup(
  db: Database.Database,
  folder: string,
  at: string,
): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = freePath(folder, at);
  const part = `${path}.part`;
  rmSync(part, { force: true });
  try {
    await db.backup(part);
    chmodSync(part, OWNER_ALONE);
    oneFile(part);
    const { ok, faults } = checkFile(part);
    if (!ok) throw new Error(`The backup is not whole: ${faults.join(' ')}`);
    renameSync(part, path);
  } finally {
    for (const tail of ['', '-wal', '-shm', '-journal']) rmSync(part + tail, { force: true });
  }
  return path;
}

/** The same in one go, of a file nobody works with yet, before its schema changes; kept for good. */
export function backupBefore(db: Database.Database, folder: string, version: number): string {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = join(folder, `waffenrad-of-version-${version}.sqlite`);
  // Two that start side by side each write their own; it has its name only once it is whole.
  const part = `${path}.${process.pid}.part`;
  rmSync(part, { force: true });
  db.prepare('VACUUM INTO ?').run(part);
  chmodSync(part, OWNER_ALONE);
  renameSync(part, path);
  return path;
}

/** Opens a file for itself, without changing it, and looks whether all of it can be read. */
export function checkFile(path: string): FileCheck {
  const nothing = { version: 0, jobs: 0, archers: 0, readings: 0, sheets: 0, newestAt: null };
  const no = (fault: string): FileCheck => ({ ok: false, faults: [fault], ...nothing });
  if (!existsSync(path)) return no('There is no such file.');
  let db: Database.Database;
  try {
    db = new Database(path, { readonly: true, fileMustExist: true });
  } catch (error) {
    return no(`It cannot be opened: ${String(error)}`);
  }
  try {
    const whole = db.pragma('integrity_check(20)') as { integrity_check: string }[];
    const loose = db.pragma('foreign_key_check') as { table: string }[];
    const faults = [
      ...whole.flatMap(({ integrity_check: said }) => (said === 'ok' ? [] : [said])),
      ...[...new Set(loose.map(({ table }) => table))].map(
        (table) => `Rows of ${table} point to what is not there.`,
      ),
    ];
    const count = (table: string) =>
      db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
    const version = db.pragma('user_version', { simple: true }) as number;
    if (version === 0) return no('It holds no shop.');
    return {
      ok: faults.length === 0,
      faults,
      version,
      jobs: count('job'),
      archers: count('archer'),
      readings: count('reading'),
      sheets: count('sheet'),
      newestAt: db.prepare('SELECT max(at) FROM job_event').pluck().get() as string | null,
    };
  } catch (error) {
    return no(`It cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    db.close();
  }
}

/**
 * Lays a copy of a whole backup where the shop's file is to stand; it has its name only once it is there.
 *
 * @throws where what stands there afterwards is not what the backup holds.
 */
export function putBackup(from: string, path: string): FileCheck {
  const part = `${path}.part`;
  rmSync(part, { force: true });
  mkdirSync(dirname(path), { recursive: true });
  copyFileSync(from, part);
  chmodSync(part, OWNER_ALONE);
  renameSync(part, path);
  const [wanted, now] = [checkFile(from), checkFile(path)];
  if (!now.ok || now.readings !== wanted.readings || now.newestAt !== wanted.newestAt)
    throw new Error(`What stands there now is not the backup: ${now.faults.join(' ')}`);
  return now;
}

const DAYS = 7;
const WEEKS = 4;
const MONTHS = 12;
const DAY_MS = 86_400_000;

/** Weeks since a Monday long ago. */
const weekOf = (at: string) =>
  Math.floor((Date.parse(at.slice(0, 10)) - Date.UTC(1970, 0, 5)) / (7 * DAY_MS));

/**
 * Which backups stay: the newest of each of the last 7 days, 4 weeks and 12 months that have one. The
 * newest of all always does.
 *
 * @param all their instants, in any order.
 */
export function keptBackups(all: readonly string[]): ReadonlySet<string> {
  const newest = [...all].sort().reverse();
  const kept = new Set<string>();
  const firstOfEach = (period: (at: string) => string | number, most: number) => {
    const seen = new Set<string | number>();
    for (const at of newest) {
      const name = period(at);
      if (seen.has(name)) continue;
      if (seen.size === most) return;
      seen.add(name);
      kept.add(at);
    }
  };
  firstOfEach((at) => at.slice(0, 10), DAYS);
  firstOfEach(weekOf, WEEKS);
  firstOfEach((at) => at.slice(0, 7), MONTHS);
  return kept;
}

/** Removes what is kept no longer; what it removed. */
export function tidyBackups(folder: string): string[] {
  const all = backupsIn(folder);
  const kept = keptBackups(all.map(({ at }) => at));
  const gone = all.filter(({ at }) => !kept.has(at));
  for (const { path } of gone) rmSync(path, { force: true });
  return gone.map(({ name }) => name);
}
