import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDb, openReader } from '@/data/db';
import { health } from './health';
import { problemOf } from './testing/problem-of';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-health-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const file = () => join(folder, 'shop.sqlite');

test('well while it can be read and written', () => {
  const db = openDb(file());
  expect(health(() => db)).toMatchObject({ ok: true });
  db.close();
});

test.each<[string, () => ReturnType<typeof openDb>]>([
  [
    'newer than the program',
    () => {
      const db = openDb(file());
      db.pragma('user_version = 9999');
      db.close();
      return openDb(file());
    },
  ],
  [
    'damaged',
    () => {
      writeFileSync(file(), 'x'.repeat(9000));
      return openDb(file());
    },
  ],
  [
    'read only',
    () => {
      openDb(file()).close();
      return openReader(file());
    },
  ],
  [
    'full',
    () => {
      const db = openDb(file());
      db.pragma('query_only = ON');
      return db;
    },
  ],
])('a file that is %s is told to a supervisor, with what to look at', (_, open) => {
  const problem = problemOf(() => health(open));
  expect(problem).toMatchObject({ status: 503, reason: 'database' });
  expect(problem.message).toMatch(/disk full, the file read-only, damaged/);
});
