import { resolve } from 'node:path';
import { checkFile, tidyBackups, writeBackup } from '@/data/backup';
import { backupFolder, dbPath, openReader } from '@/data/db';

/** npm run backup [-- folder]: writes one beside the running shop, looks through it, tidies the folder. */
const named = process.argv[2];
const folder = named ? resolve(named) : backupFolder();
if (folder === null) {
  console.error('WAFFENRAD_BACKUPS is “off”: name a folder, npm run backup -- /path/to/folder.');
  process.exit(1);
}
const db = openReader(dbPath());
const path = await writeBackup(db, folder, new Date().toISOString());
db.close();
const { jobs, archers, readings, sheets } = checkFile(path);
console.log(
  `Written and looked through: ${path}\n${jobs} jobs, ${archers} archers, ${readings} readings, ${sheets} build sheets.`,
);
const gone = tidyBackups(folder);
if (gone.length > 0) console.log(`No longer kept: ${gone.join(', ')}`);
