import { chmodSync } from 'node:fs';
import Database from 'better-sqlite3';
import { OWNER_ALONE } from './backup';

/** Held for as long as a process has the shop open; the system lets go of it however that ends. */
interface Presence {
  readonly leave: () => void;
}

const besideOf = (path: string) => `${path}.open`;

/** Says that the shop is open here; any number of processes may. */
export function bePresent(path: string): Presence {
  const lock = new Database(besideOf(path));
  chmodSync(besideOf(path), OWNER_ALONE);
  lock.pragma('busy_timeout = 2000');
  lock.exec('CREATE TABLE IF NOT EXISTS open (x)');
  lock.exec('BEGIN');
  // A shared lock lasts as long as the reading transaction.
  lock.prepare('SELECT count(*) FROM open').get();
  return { leave: () => void lock.close() };
}

/** The shop for oneself, for putting another file in its place; null while somebody has it open. */
export function beAlone(path: string): Presence | null {
  const lock = new Database(besideOf(path));
  lock.pragma('busy_timeout = 0');
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch {
    lock.close();
    return null;
  }
  return { leave: () => void lock.close() };
}
