import { db, dbPath } from '@/data/db';
import { bePresent } from '@/data/presence';
import { keepBackups } from './backups';
import { startPool } from './heavy';

/** Once for a process that serves the shop: threads, nightly backups, and word that it is open. */
export function openShop(): void {
  // Made, or brought up to date, before anybody asks.
  db();
  startPool();
  // Held until the process ends: nobody puts another file in place of one that is worked with.
  bePresent(dbPath());
  keepBackups();
}
