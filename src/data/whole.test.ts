import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { unzipSync, zipSync, strToU8, strFromU8 } from 'fflate';
import { seedDemo } from '../../demo/seed';
import { checkFile } from './backup';
import { findJobs } from './job-find';
import { openDb } from './db';
import { migrate } from './migrate';
import { peopleOf, saveSecret } from './people';
import { beginSession, insertTablet } from './tablets';
import { insertPhoto } from './photos';
import { searchParts } from './part-search';
import { NotTaken, readWhole } from './whole-read';
import { writeWhole } from './whole-write';

const AT = '2026-11-24T12:00:00.000Z';
let folder: string;
let zip: string;
let jobs: number;
beforeAll(() => {
  process.env.WAFFENRAD_BACKUPS = 'off';
  folder = mkdtempSync(join(tmpdir(), 'waffenrad-whole-'));
  const db = openDb(join(folder, 'shop.sqlite'));
  seedDemo(db);
  saveSecret(db, 'okoro', 'a hash nobody is to have');
  insertTablet(db, { id: 't', name: 'Lane', pairedBy: 'T', pairedAt: AT, seenAt: AT, token: 'x' });
  beginSession(db, {
    hash: 'a session’s',
    mark: 'a mark',
    tabletId: 't',
    personId: 'okoro',
    at: AT,
  });
  const jobId = db.prepare('SELECT id FROM job LIMIT 1').pluck().get() as string;
  for (let i = 0; i < 2; i++)
    insertPhoto(
      db,
      { jobId, at: AT, who: 'T', about: 'bow', words: '', width: 4, height: 3, onRecord: false },
      { large: Buffer.from([255, 216, 1, i]), small: Buffer.from([255, 216, 2, i]) },
    );
  zip = join(folder, 'out.zip');
  writeWhole(db, zip, AT);
  jobs = db.prepare('SELECT count(*) FROM job').pluck().get() as number;
  db.close();
});
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
  delete process.env.WAFFENRAD_BACKUPS;
});

const files = (path: string) => unzipSync(new Uint8Array(readFileSync(path)));
const texts = (path: string) =>
  Object.fromEntries(
    Object.entries(files(path)).map(([name, bytes]) => [name, Buffer.from(bytes).toString('hex')]),
  );

test('what lets somebody in does not go out: no PIN, no tablet, no session', () => {
  const out = Object.values(files(zip)).map((bytes) => Buffer.from(bytes).toString('latin1'));
  for (const secret of ['a hash nobody is to have', 'a session', '"token_hash"'])
    expect(out.some((text) => text.includes(secret))).toBe(false);
  const path = join(folder, 'people.sqlite');
  readWhole(zip, path);
  const db = openDb(path);
  expect(peopleOf(db).map(({ name, canSignIn }) => [name, canSignIn])).toEqual([
    ['T. Okoro', false],
    ['M. Lindauer', false],
    ['P. Sander', false],
    ['J. Imhoff', false],
  ]);
  db.close();
});

test('everything goes out as open files, and read into an empty file goes out the same again', () => {
  const path = join(folder, 'again.sqlite');
  const { schema, tables } = readWhole(zip, path);
  expect(schema).toBeGreaterThan(20);
  expect(tables.length).toBeGreaterThan(20);
  expect(checkFile(path)).toMatchObject({ ok: true });
  const db = openDb(path);
  const again = join(folder, 'again.zip');
  writeWhole(db, again, AT);
  expect(texts(again)).toEqual(texts(zip));
  // It is a shop one can go on with: words find, numbers count on, what acts by itself acts.
  expect(findJobs(db, 'aino', 5)).toHaveLength(1);
  expect(searchParts(db, { text: 'kiebitz', kind: null, limit: 5, offset: 0 }).count).toBe(2);
  expect(() => db.exec('DELETE FROM reading')).toThrow(/never removed/);
  db.close();
});

test.each([12, 24])(
  'an export of a file of version %i is read and brought up to this program',
  (version) => {
    const older = new Database(join(folder, `older-${version}.sqlite`));
    migrate(older, undefined, undefined, version);
    older.prepare('INSERT INTO setting VALUES (?, ?)').run('shop', JSON.stringify({ name: 'Alt' }));
    const out = join(folder, `older-${version}.zip`);
    expect(writeWhole(older, out, AT).schema).toBe(version);
    older.close();
    const path = join(folder, `brought-${version}.sqlite`);
    readWhole(out, path);
    const db = openDb(path);
    expect(db.pragma('user_version', { simple: true })).toBeGreaterThan(version);
    expect(
      db.prepare("SELECT value_json ->> 'name' FROM setting WHERE key = 'shop'").pluck().get(),
    ).toBe('Alt');
    db.close();
  },
);

test('rows are JSON one can read, JSON in them is JSON, pictures are files', () => {
  const all = files(zip);
  const rows = strFromU8(all['tables/bow.ndjson']!).trim().split('\n');
  expect(JSON.parse(rows[0]!)).toMatchObject({
    maker: expect.any(String),
    modules_json: expect.any(Array),
  });
  const picture = Object.keys(all).filter((name) => name.startsWith('pictures/'));
  expect(picture).toHaveLength(4);
  expect([...all[picture[0]!]!.slice(0, 2)]).toEqual([255, 216]);
  expect(JSON.parse(strFromU8(all['waffenrad-export.json']!))).toMatchObject({
    format: 'waffenrad-export',
    tables: expect.arrayContaining([expect.objectContaining({ name: 'job', rows: jobs })]),
  });
});

describe('what is no whole export is refused, and nothing is left', () => {
  const made = (change: (all: Record<string, Uint8Array>) => Record<string, Uint8Array>) => {
    const path = join(folder, 'wrong.zip');
    writeFileSync(path, zipSync(change({ ...files(zip) })));
    return path;
  };
  const manifest = (change: object) => (all: Record<string, Uint8Array>) => ({
    ...all,
    'waffenrad-export.json': strToU8(
      JSON.stringify({ ...JSON.parse(strFromU8(all['waffenrad-export.json']!)), ...change }),
    ),
  });
  const line = (text: string) => (all: Record<string, Uint8Array>) => ({
    ...all,
    'tables/job.ndjson': strToU8(text),
  });
  test.each<[string, (all: Record<string, Uint8Array>) => Record<string, Uint8Array>, RegExp]>([
    ['another ZIP', () => ({ 'a.txt': strToU8('x') }), /no export of this program/],
    ['an empty ZIP', () => ({}), /no export of this program, or it is empty/],
    ['another format', manifest({ format: 'x' }), /no export/],
    ['a later version', manifest({ formatVersion: 9 }), /Bring the program up to date/],
    ['a later schema', manifest({ schema: 9999 }), /newer program/],
    [
      'an unknown table',
      manifest({ tables: [{ name: 'x', rows: 0, columns: [] }] }),
      /nobody knows/,
    ],
    ['a row that is no JSON', line('{"id":'), /damaged/],
    ['a row with a strange column', line('{"id":"x","strange":1}\n'), /no column “strange”/],
    ['rows missing', line(''), /says \d+ rows and holds 0/],
    ['a file nobody asked for', (all) => ({ ...all, '../evil': strToU8('x') }), /nobody asked for/],
    [
      'a picture missing',
      (all) =>
        Object.fromEntries(Object.entries(all).filter(([name]) => !name.includes('-1-large'))),
      /picture is missing/,
    ],
    [
      'an archer missing',
      (all) => {
        const rows = strFromU8(all['tables/archer.ndjson']!).trim().split('\n').slice(1);
        const count = (text: Uint8Array) => {
          const said = JSON.parse(strFromU8(text)) as { tables: { name: string; rows: number }[] };
          said.tables.find(({ name }) => name === 'archer')!.rows -= 1;
          return strToU8(JSON.stringify(said));
        };
        return {
          ...all,
          'waffenrad-export.json': count(all['waffenrad-export.json']!),
          'tables/archer.ndjson': strToU8(`${rows.join('\n')}\n`),
        };
      },
      /speaks of a archer that is missing|is missing/,
    ],
  ])('%s', (_, change, says) => {
    const path = join(folder, 'new.sqlite');
    expect(() => readWhole(made(change), path)).toThrow(says);
    expect(() => readWhole(made(change), path)).toThrow(NotTaken);
    expect(readdirSync(folder).filter((name) => name.startsWith('new.sqlite'))).toEqual([]);
  });

  test('half a file, no file at all; a shop that is there is not written over', () => {
    const half = join(folder, 'half.zip');
    const all = readFileSync(zip);
    writeFileSync(half, all.subarray(0, all.length / 2));
    const path = join(folder, 'new.sqlite');
    expect(() => readWhole(half, path)).toThrow(NotTaken);
    const text = join(folder, 'text.zip');
    writeFileSync(text, 'not a zip');
    expect(() => readWhole(text, path)).toThrow(/no export/);
    expect(() => readWhole(zip, join(folder, 'shop.sqlite'))).toThrow(/already/);
  });
});
