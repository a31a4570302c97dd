import { db, dbPath } from '@/data/db';
import { bePresent } from '@/data/presence';
import { keepBackups } from './backups';
import { startPool } from './heavy';

/** What fails here is told with every page that asks; the program itself goes on and says so. */
function tried(work: () => unknown): void {
  try {
    work();
  } catch (error) {
    console.error('The shop’s file:', error);
  }
}

/** Once for a process that serves the shop: threads, nightly backups, and word that it is open. */
export function openShop(): void {
  // Made, or brought up to date, before anybody asks.
  tried(() => db());
  startPool();
  // Held until the process ends: nobody puts another file in place of one that is worked with.
  tried(() => bePresent(dbPath()));
  keepBackups();
}
