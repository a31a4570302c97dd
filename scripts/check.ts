import { resolve } from 'node:path';
import { checkFile } from '@/data/backup';
import { dbPath } from '@/data/db';
import { loadSnapshot } from '@/server/load-snapshot';
import { openReader } from '@/data/db';

/** npm run check [-- file]: looks through the shop’s file, or another, and changes nothing. */
const path = process.argv[2] ? resolve(process.argv[2]) : dbPath();
const { ok, faults, version, jobs, archers, readings, sheets, newestAt } = checkFile(path);
console.log(path);
if (version > 0)
  console.log(
    `Version ${version}: ${jobs} jobs, ${archers} archers, ${readings} readings, ${sheets} build sheets; newest entry ${newestAt ?? 'none'}.`,
  );
for (const fault of faults) console.error(fault);
if (ok) {
  const db = openReader(path);
  const newest = db.prepare('SELECT id, number FROM job ORDER BY number DESC LIMIT 1').get() as
    { id: string; number: number } | undefined;
  if (newest && loadSnapshot(newest.id, db)) console.log(`Job ${newest.number} can be read whole.`);
  db.close();
}
console.log(ok ? 'Whole.' : 'Not whole: bring a backup back with npm run restore.');
process.exit(ok ? 0 : 1);
