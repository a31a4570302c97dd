import { resolve } from 'node:path';
import { checkFile } from '@/data/backup';
import { dbPath } from '@/data/db';
import { NotTaken, readWhole } from '@/data/whole-read';

/** npm run import -- FILE.zip: an export becomes the shop's file, which must not be there yet. */
const named = process.argv[2];
if (!named) {
  console.error('Name the export: npm run import -- /path/to/waffenrad-export.zip');
  process.exit(1);
}
try {
  const { madeAt } = readWhole(resolve(named), dbPath());
  const { jobs, archers, readings, sheets, ok, faults } = checkFile(dbPath());
  if (!ok) throw new NotTaken(`What was read is not whole: ${faults.join(' ')}`);
  console.log(
    `Read, as it was made ${madeAt}: ${dbPath()}\n${jobs} jobs, ${archers} archers, ${readings} readings, ${sheets} build sheets.`,
  );
} catch (error) {
  console.error(error instanceof NotTaken ? error.message : error);
  process.exit(1);
}
