import { randomUUID } from 'node:crypto';
import { createReadStream, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { db } from '@/data/db';
import { writeWhole } from '@/data/whole-write';

/** Everything the shop holds, as one ZIP in a file of its own; its path. Made in a thread. */
export function wholeFile(madeAt: string): string {
  const path = join(tmpdir(), `waffenrad-${randomUUID()}.zip`);
  writeWhole(db(), path, madeAt);
  return path;
}

/** The file piece by piece; it goes from the disk with its last one, or where nobody takes them. */
export function sentOnce(path: string): { readonly body: ReadableStream; readonly bytes: number } {
  const { size } = statSync(path);
  const stream = createReadStream(path);
  stream.once('close', () => rmSync(path, { force: true }));
  return { body: Readable.toWeb(stream) as ReadableStream, bytes: size };
}
