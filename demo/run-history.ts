import { existsSync } from 'node:fs';
import { dbPath, openDb } from '@/data/db';
import { seedHistory } from './history';
import { givePins } from './people';
import { seedDemo } from './seed';

/** Makes a demo shop with years of history where WAFFENRAD_DB says: delivered bows, open jobs, seed. */
const [delivered = 10_000, open = 100, seed = 1] = process.argv.slice(2).map(Number);
const path = dbPath();
if (existsSync(path)) {
  console.log(`The database ${path} is there already; nothing was changed.`);
} else {
  const db = openDb(path);
  seedDemo(db);
  await givePins(db);
  const before = performance.now();
  seedHistory(db, { delivered, open, seed });
  db.close();
  const seconds = ((performance.now() - before) / 1000).toFixed(0);
  console.log(
    `${delivered} delivered bows and ${open} open jobs, seed ${seed}: ${seconds} s, ${path}`,
  );
}
