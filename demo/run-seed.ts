import { existsSync, rmSync } from 'node:fs';
import { dbPath, openDb } from '@/data/db';
import { givePins } from './people';
import { seedDemo } from './seed';

/** Makes the demo database where WAFFENRAD_DB says; an existing file is left alone. */
const path = dbPath();
if (existsSync(path)) {
  console.log(`The database ${path} is there already; nothing was changed.`);
} else {
  const db = openDb(path);
  try {
    seedDemo(db);
    await givePins(db);
    db.close();
    console.log(`Demo database made: ${path}`);
  } catch (error) {
    db.close();
    // Half a demo shop would be taken for a whole one at the next start.
    for (const tail of ['', '-wal', '-shm']) rmSync(path + tail, { force: true });
    throw error;
  }
}
