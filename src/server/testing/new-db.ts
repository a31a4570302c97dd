import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDb, type Db } from '@/data/db';
import { insertItem } from '@/data/stock';
import { demoCatalogue } from '../../../demo/load-csv';

const MIGRATIONS = 'src/data/migrations';

/**
 * A new shop’s file as the migrations make it. They take longer than most tests: made once, kept under the digest of
 * what makes it, and read by every test file after it.
 */
function newBytes(): Buffer {
  const hash = createHash('sha256');
  for (const name of readdirSync(MIGRATIONS).sort())
    hash.update(name).update(readFileSync(join(MIGRATIONS, name)));
  const path = join(tmpdir(), `waffenrad-new-${hash.digest('hex').slice(0, 16)}.sqlite`);
  if (!existsSync(path)) {
    const db = openDb(':memory:');
    const part = `${path}.${process.pid}`;
    writeFileSync(part, db.serialize());
    db.close();
    renameSync(part, path);
  }
  return readFileSync(path);
}

/** Opens a shop that is filled once; each call has a copy of its own, in memory or as a file of its own. */
export function copies(fill: (db: Db) => void): (path?: string) => Db {
  let bytes: Buffer | null = null;
  return (path) => {
    if (!bytes) {
      const first = openDb(':memory:', newBytes());
      fill(first);
      bytes = first.serialize();
      first.close();
    }
    if (path === undefined) return openDb(':memory:', bytes);
    writeFileSync(path, bytes);
    return openDb(path);
  };
}

export const newDb = copies(() => undefined);

/** With the demo shop’s parts on the shelves. */
export const catalogueDb = copies((db) => demoCatalogue().forEach((part) => insertItem(db, part)));
