import { basename } from 'node:path';
import type { TodayView } from '@/core/job';
import { backupsIn, tidyBackups, writeBackup, type BackupFile } from '@/data/backup';
import { backupFolder, db, dbPath, type Db } from '@/data/db';
import { hasShop } from '@/data/no-shop';
import { shopSettings } from '@/data/settings';
import { now, nowIso, shopDay, shopMinutes } from './clock';
import { Problem } from './problem';

/** So many are offered to be put back; older ones are named by their file. */
const OFFERED = 8;

/** What may be put back, without the path it lies at. */
export type OfferedBackup = Omit<BackupFile, 'path'>;

export const offered = (backups: readonly BackupFile[]): readonly OfferedBackup[] =>
  backups.slice(0, OFFERED).map(({ name, at, bytes }) => ({ name, at, bytes }));

interface BackupState {
  /** Null where backups are off. */
  readonly folder: string | null;
  readonly newest: BackupFile | null;
  readonly count: number;
  /** Whole days since the newest; null where there is none. */
  readonly ageDays: number | null;
  readonly backups: readonly OfferedBackup[];
}

const DAY_MS = 86_400_000;

export function backupState(): BackupState {
  const folder = backupFolder();
  const all = folder === null ? [] : backupsIn(folder);
  const newest = all[0] ?? null;
  return {
    folder,
    newest,
    count: all.length,
    ageDays: newest && Math.floor((now().getTime() - Date.parse(newest.at)) / DAY_MS),
    backups: offered(all),
  };
}

/** Older than this it is said on Today, days. */
const TOO_OLD_DAYS = 2;

/** What Today says of the backup: nothing while there is a fresh one. */
export function backupWarning(): TodayView['backup'] {
  const { folder, ageDays } = backupState();
  if (folder === null) return null;
  if (ageDays === null) return { days: null };
  return ageDays > TOO_OLD_DAYS ? { days: ageDays } : null;
}

let running: Promise<BackupState> | null = null;

function folderOrRefuse(): string {
  const folder = backupFolder();
  if (folder === null)
    throw new Problem(422, 'backups-off', 'Backups are off', {
      detail: 'WAFFENRAD_BACKUPS is “off”. Name a folder there and start again.',
    });
  return folder;
}

/** Writes one and says its name. */
async function written(from: Db, folder: string): Promise<string> {
  try {
    return basename(await writeBackup(from, folder, nowIso()));
  } catch (error) {
    throw new Problem(507, 'no-backup', 'The backup was not made', {
      detail: `${error instanceof Error ? error.message : String(error)} Folder: ${folder}. Is there room on the disk, and may it be written to?`,
    });
  }
}

/** Makes a backup now; one that is being made already is waited for. */
export function backUp(from: Db = db()): Promise<BackupState> {
  const folder = folderOrRefuse();
  running ??= (async () => {
    try {
      await written(from, folder);
      tidyBackups(folder);
      return backupState();
    } finally {
      running = null;
    }
  })();
  return running;
}

/** One of its own, and none of the others goes for it: one of them is about to be put back. Its name. */
export const backUpToKeep = (): Promise<string> => written(db(), folderOrRefuse());

/** One that is being made: resolves when it is done, well or not. */
export const backupOnItsWay = (): Promise<void> =>
  Promise.resolve(running).then(
    () => undefined,
    () => undefined,
  );

/** The shop’s night begins then, minutes after midnight. */
const NIGHT_MIN = 2 * 60;
const LOOK_EVERY_MS = 10 * 60_000;

/** Whether tonight’s backup is due: past two by the shop’s clock, and none made since. */
export function backupDue(from: Db = db()): boolean {
  if (backupFolder() === null) return false;
  const { timeZone } = shopSettings(from);
  const { newest } = backupState();
  if (shopMinutes(timeZone, now()) < NIGHT_MIN) return false;
  if (!newest) return true;
  const day = shopDay(timeZone);
  const made = shopDay(timeZone, newest.at);
  return made < day || (made === day && shopMinutes(timeZone, newest.at) < NIGHT_MIN);
}

/** Looks every ten minutes whether a backup is due, from now on; a failed one is tried again. */
export function keepBackups(): void {
  const look = () => {
    try {
      if (hasShop(dbPath()) && backupDue())
        backUp().catch((error: unknown) => console.error('Backup:', error));
    } catch (error) {
      console.error('Backup:', error);
    }
  };
  setTimeout(look, 5_000).unref();
  setInterval(look, LOOK_EVERY_MS).unref();
}
