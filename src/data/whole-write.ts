import { closeSync, openSync, renameSync, rmSync, writeSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { OWNER_ALONE } from './backup';
import {
  MANIFEST,
  manifestOf,
  SEQUENCES,
  sequencesOf,
  tableFile,
  wholeRows,
  wholeTables,
  type Manifest,
} from './whole';

/** Rows are laid down in pieces of about so many letters. */
const AT_ONCE = 400_000;

/** Writes everything into a new ZIP, table after table; it has its name only once it is whole. */
export function writeWhole(db: Database, path: string, madeAt: string): Manifest {
  const part = `${path}.part`;
  rmSync(part, { force: true });
  const file = openSync(part, 'wx', OWNER_ALONE);
  const manifest = db.transaction(() => {
    const zip = new Zip((error, chunk) => {
      if (error) throw error;
      writeSync(file, chunk);
    });
    const text = (name: string, lines: Iterable<string>) => {
      const entry = new ZipDeflate(name, { level: 6 });
      entry.mtime = madeAt;
      zip.add(entry);
      let held = '';
      for (const line of lines) {
        held += line;
        if (held.length < AT_ONCE) continue;
        entry.push(Buffer.from(held));
        held = '';
      }
      entry.push(Buffer.from(held), true);
    };
    const made = manifestOf(db, madeAt);
    text(MANIFEST, [`${JSON.stringify(made, null, 2)}\n`]);
    for (const table of wholeTables(db)) text(tableFile(table.name), linesOf(db, table));
    text(SEQUENCES, [`${JSON.stringify(sequencesOf(db))}\n`]);
    for (const table of wholeTables(db))
      for (const { pictures } of wholeRows(db, table))
        for (const { file: name, bytes } of pictures) {
          // A JPEG is small already.
          const entry = new ZipPassThrough(name);
          entry.mtime = madeAt;
          zip.add(entry);
          entry.push(bytes, true);
        }
    zip.end();
    return made;
  })();
  closeSync(file);
  renameSync(part, path);
  return manifest;
}

function* linesOf(db: Database, table: Parameters<typeof wholeRows>[1]): Iterable<string> {
  for (const { row } of wholeRows(db, table)) yield `${JSON.stringify(row)}\n`;
}
