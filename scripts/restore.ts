import { existsSync, renameSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { backupsIn, checkFile, putBackup, type FileCheck } from '@/data/backup';
import { backupFolder, dbPath } from '@/data/db';
import { beAlone } from '@/data/presence';
import Database from 'better-sqlite3';

/** npm run restore [-- file] [--yes]: puts a backup in the place of the shop’s file, which is kept. */
const stop = (text: string): never => {
  console.error(text);
  process.exit(1);
};
const told = ({ version, jobs, archers, readings, sheets, newestAt }: FileCheck) =>
  `${jobs} jobs, ${archers} archers, ${readings} readings, ${sheets} build sheets, newest entry ${newestAt ?? 'none'} (version ${version})`;

const path = dbPath();
const folder = backupFolder();
const named = process.argv.slice(2).find((arg) => !arg.startsWith('--'));
const newest = folder === null ? undefined : backupsIn(folder)[0]?.path;
const from = named ? resolve(named) : newest;
if (!from) stop('There is no backup. Name a file: npm run restore -- /path/to/backup.sqlite.');
const alone = beAlone(path);
if (!alone) stop(`The shop is open: stop the program that serves ${path} first.`);
const backup = checkFile(from!);
if (!backup.ok) stop(`${from} is not whole and is not taken: ${backup.faults.join(' ')}`);
const there = existsSync(path) ? checkFile(path) : null;
console.log(`Will be put in place: ${from}\n  ${told(backup)}`);
console.log(
  there === null
    ? `There is no file at ${path} yet.`
    : `Will be replaced, and kept beside it: ${path}\n  ${there.version > 0 ? told(there) : there.faults.join(' ')}`,
);
if (!process.argv.includes('--yes')) {
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asking.question('Type “restore” to do it: ');
  asking.close();
  if (answer.trim() !== 'restore') stop('Nothing was changed.');
}
const kept = `${path}.replaced-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}Z`;
if (there) {
  try {
    // What still stands beside the file belongs into it.
    const old = new Database(path);
    old.pragma('wal_checkpoint(TRUNCATE)');
    old.close();
  } catch (error) {
    console.error(
      `The old file could not be closed properly and is kept as it is: ${String(error)}`,
    );
  }
  for (const tail of ['-wal', '-shm'])
    if (existsSync(path + tail)) renameSync(path + tail, kept + tail);
  renameSync(path, kept);
}
let now: FileCheck;
try {
  now = putBackup(from!, path);
} catch (error) {
  alone!.leave();
  stop(`${(error as Error).message} The old file: ${kept}`);
}
alone!.leave();
console.log(`Done: ${told(now!)}.`);
if (there) console.log(`The old file: ${kept}`);
