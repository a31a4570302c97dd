import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { seeded } from '@/core/numerics';
import { ownPort, startServer } from '../../scripts/serve.cjs';
import { Asker, waiting } from './asking';
import { Writer } from './writer';

/** Every row of every table, and none of how they lie in the file. */
function digest(path: string): string {
  const db = new Database(path, { readonly: true });
  const hash = createHash('sha256');
  const tables = db
    .prepare(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND sql NOT LIKE '%VIRTUAL%' ORDER BY name",
    )
    .pluck()
    .all() as string[];
  for (const table of tables) {
    const rows = db.prepare(`SELECT * FROM "${table}"`).raw().all();
    hash.update(table).update(
      rows
        .map((row) => JSON.stringify(row))
        .sort()
        .join('\n'),
    );
  }
  db.close();
  return hash.digest('hex');
}

/** Entries by number: those up to the newest of the backup are the same in both. */
function entriesUpTo(path: string, most: number | null) {
  const db = new Database(path, { readonly: true });
  const newest = most ?? (db.prepare('SELECT max(id) FROM job_event').pluck().get() as number);
  const rows = db
    .prepare(
      'SELECT id, job_id, version, at, summary, key FROM job_event WHERE id <= ? ORDER BY id',
    )
    .raw()
    .all(newest);
  db.close();
  return { newest, text: JSON.stringify(rows) };
}

/** Backups made while tablets write, put in place of an empty place: the same as the backup, entry by entry. */
export async function backupWhileWriting(db: string, folder: string, env: Record<string, string>) {
  const backups = join(folder, 'backups');
  mkdirSync(backups);
  const { child, url } = await startServer({
    port: await ownPort(),
    db,
    env: { ...env, WAFFENRAD_BACKUPS: backups },
  });
  const asker = new Asker(url);
  const writers = [0, 1, 2].map((n) => new Writer(asker, `back${n}`, n, seeded(n + 3)));
  let over = false;
  const working = writers.map(async (writer) => {
    while (!over) if (!(await writer.write())) await waiting(10);
  });
  const written = () => writers.reduce((sum, { acknowledged }) => sum + acknowledged.length, 0);
  while (written() < writers.length) await waiting(20);
  const made = await asker.ask('/api/v1/backups', { method: 'POST' });
  const before = written();
  while (written() < before + writers.length) await waiting(20);
  over = true;
  await Promise.all(working);
  asker.close();
  const gone = new Promise((done) => child.once('exit', done));
  child.kill('SIGTERM');
  await gone;
  const [name] = readdirSync(backups).filter((one) => one.endsWith('.sqlite'));
  const backup = join(backups, name!);
  const place = join(folder, 'restored.sqlite');
  execFileSync('node_modules/.bin/tsx', ['scripts/restore.ts', backup, '--yes'], {
    env: { ...process.env, WAFFENRAD_DB: place, WAFFENRAD_BACKUPS: backups },
    stdio: 'pipe',
  });
  const of = entriesUpTo(place, null);
  return {
    status: made?.status ?? 0,
    /** Written before, while and after it was made. */
    entries: written(),
    same: digest(place) === digest(backup),
    sameEntries: of.text === entriesUpTo(db, of.newest).text,
  };
}
