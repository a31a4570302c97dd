import { existsSync, renameSync, rmSync } from 'node:fs';
import { dbPath, openDb } from '@/data/db';
import { givePins } from './people';
import { seedDemo } from './seed';

/** Makes the demo database where WAFFENRAD_DB says; an existing file is left alone. */
const path = dbPath();
// It has its name only once it is whole: half a demo shop, killed or broken, would be taken for one.
const part = `${path}.part`;
const tidy = () => {
  for (const tail of ['', '-wal', '-shm']) rmSync(part + tail, { force: true });
};
if (existsSync(path)) {
  console.log(`The database ${path} is there already; nothing was changed.`);
} else {
  tidy();
  const db = openDb(part);
  try {
    seedDemo(db);
    await givePins(db);
    db.close();
    renameSync(part, path);
    console.log(`Demo database made: ${path}`);
  } catch (error) {
    db.close();
    tidy();
    throw error;
  }
}
