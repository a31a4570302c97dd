import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dbPath, openReader } from '@/data/db';
import { writeWhole } from '@/data/whole-write';

/** npm run export [-- FILE.zip]: everything the shop holds, as open files in one ZIP, beside the running shop. */
const now = new Date().toISOString();
const path = resolve(process.argv[2] ?? `waffenrad-export-${now.slice(0, 10)}.zip`);
if (existsSync(path)) {
  console.error(`There is a file at ${path} already: name another one.`);
  process.exit(1);
}
const db = openReader(dbPath());
const { tables } = writeWhole(db, path, now);
db.close();
const rows = tables.reduce((sum, table) => sum + table.rows, 0);
console.log(
  `Written: ${path}\n${tables.length} tables, ${rows} rows. It holds names, telephones and pictures: keep it as you keep the shop’s file.`,
);
