import { db, dbPath, openedDb } from '@/data/db';
import { overwriteErased } from '@/data/erase';
import { dropComing } from '@/data/put-back';
import { hasShop, NoShop } from '@/data/no-shop';
import { bePresent } from '@/data/presence';
import { backupOnItsWay, keepBackups } from './backups';
import { finishTakings } from './part-imports';
import { startPool, stopPool } from './heavy';

/** What fails here is told with every page that asks; the program itself goes on and says so. */
function tried(work: () => unknown): void {
  try {
    work();
  } catch (error) {
    // Said where it begins: the page asks what to do.
    if (error instanceof NoShop) return;
    console.error('The shop’s file:', error);
  }
}

/** Once for a process that serves the shop: threads, nightly backups, and word that it is open. */
export function openShop(): void {
  // Made, or brought up to date, before anybody asks.
  tried(() => overwriteErased(db()));
  tried(() => dropComing(dbPath()));
  startPool();
  if (hasShop(dbPath())) shopIsHere();
  keepBackups();
  held.waffenradClose = closeShop;
}

/** Once the shop's file stands there, from the beginning or later. */
export function shopIsHere(): void {
  // Held until the process ends: nobody puts another file in place of one that is worked with.
  tried(() => bePresent(dbPath()));
  // A file that was being taken in when the program ended.
  finishTakings().catch((error: unknown) => console.error('Imports:', error));
}

// What ends the process is bundled apart from it.
const held = globalThis as typeof globalThis & { waffenradClose?: () => Promise<void> };

/** Once every answer has gone: threads end, the backup is finished, all of the log goes into the file. */
async function closeShop(): Promise<void> {
  await backupOnItsWay();
  await stopPool();
  const open = openedDb();
  if (!open) return;
  open.pragma('wal_checkpoint(TRUNCATE)');
  open.close();
}
