import { backupsIn, checkFile, type BackupFile, type FileCheck } from '@/data/backup';
import { backupFolder, dbPath } from '@/data/db';
import { NewerFile } from '@/data/migrate';
import {
  comingOf,
  dropComing,
  lastWritten,
  layOver,
  makeReady,
  sinceBackup,
  type PutBackBy,
  type SinceBackup,
} from '@/data/put-back';
import { notFound, Problem } from './problem';

/** What a backup holds, and what was entered since. */
export interface BackupLook extends Pick<BackupFile, 'name' | 'at' | 'bytes'> {
  readonly holds: FileCheck;
  readonly since: SinceBackup;
}

/** One of the backups in the folder, by its name. */
export function backupNamed(name: string): BackupFile {
  const folder = backupFolder();
  const found = folder === null ? undefined : backupsIn(folder).find((one) => one.name === name);
  if (!found) throw notFound('backup');
  return found;
}

const notWhole = (faults: readonly string[]) =>
  new Problem(422, 'backup-not-whole', 'This backup is not whole', {
    detail: `It was not taken: ${faults.join(' ')} Take another one.`,
  });

/** Reads through a whole backup: in a thread. */
export function backupLook(wanted: string): BackupLook {
  const { name, at, bytes, path } = backupNamed(wanted);
  const holds = checkFile(path);
  if (!holds.ok) throw notWhole(holds.faults);
  return { name, at, bytes, holds, since: sinceBackup(path, dbPath()) };
}

/**
 * Puts a whole backup in the shop’s place: in a thread. `kept` is the backup of what stands there, made since nobody
 * else writes.
 */
export async function backupBack(name: string, kept: string, by: PutBackBy): Promise<void> {
  const { path } = backupNamed(name);
  const look = checkFile(path);
  if (!look.ok) throw notWhole(look.faults);
  const live = dbPath();
  const coming = comingOf(live);
  try {
    makeReady(path, live, coming, by);
    const ready = checkFile(coming);
    if (!ready.ok) throw notWhole(ready.faults);
    if (lastWritten(live) !== lastWritten(backupNamed(kept).path))
      throw new Problem(409, 'more-since', 'More was entered meanwhile', {
        detail: 'Something was entered in this very moment. Look at the backup again.',
      });
    await layOver(coming, live);
  } catch (error) {
    if (error instanceof NewerFile) throw notWhole([error.message]);
    throw error;
  } finally {
    dropComing(live);
  }
}
