import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
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

const opened = () => openDb(file());

test.each<[string, string, () => ReturnType<typeof openDb>, RegExp]>([
  [
    'newer than the program',
    'newer',
    () => {
      const db = opened();
      db.pragma('user_version = 9999');
      db.close();
      return opened();
    },
    /Start the newer program/,
  ],
  [
    'of another program',
    'foreign',
    () => {
      const other = new Database(file());
      other.exec('CREATE TABLE songs (title TEXT)');
      other.close();
      return opened();
    },
    /was not touched/,
  ],
  [
    'damaged',
    'damaged',
    () => {
      writeFileSync(file(), 'x'.repeat(9000));
      return opened();
    },
    /npm run restore/,
  ],
  [
    'read only',
    'read-only',
    () => {
      opened().close();
      return openReader(file());
    },
    /Let the user the program runs as write/,
  ],
  [
    'on a full disk',
    'full',
    () => {
      const db = opened();
      const pages = db.pragma('page_count', { simple: true }) as number;
      db.pragma(`max_page_count = ${pages}`);
      // Fills what is left of the pages there are.
      db.exec('CREATE TABLE filler (x)');
      return db;
    },
    /Make room on the disk/,
  ],
  [
    'held by another',
    'locked',
    () => {
      const db = opened();
      const other = new Database(file());
      other.exec('BEGIN IMMEDIATE');
      return db;
    },
    /another copy of the program/,
  ],
  ['a folder', 'not-opened', () => openDb(folder), /on a disk that answers/],
])('a file that is %s is told with what to do', (_, kind, open, whatToDo) => {
  const problem = problemOf(() => health(open));
  expect(problem).toMatchObject({ status: 503, reason: `file-${kind}` });
  expect(problem.message).toMatch(whatToDo);
  expect(problem.message).toContain(problem.title);
});
