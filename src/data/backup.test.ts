import {
  chmodSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
  truncateSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { aSnapshot } from '@/core/testing/fixtures';
import { addDays } from '@/core/units';
import { backupName, backupsIn, checkFile, keptBackups, tidyBackups, writeBackup } from './backup';
import { openDb, openReader } from './db';
import { insertArcher, insertJob, jobById, nextJobNumber } from './jobs';
import { beAlone, bePresent } from './presence';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-backup-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const AT = '2026-11-24T09:20:05.123Z';
const shop = () => join(folder, 'shop.sqlite');
const backups = () => join(folder, 'backups');

function filled() {
  const db = openDb(shop());
  const { archer, job } = aSnapshot();
  insertArcher(db, { ...archer, id: 'a' });
  const add = () => {
    const number = nextJobNumber(db);
    insertJob(db, { ...job, id: `j${number}`, number, archerId: 'a', bowId: null });
    return number;
  };
  add();
  return { db, add };
}

describe('a backup', () => {
  test('holds what was acknowledged, is readable by its owner alone, and is named by its time', async () => {
    const { db, add } = filled();
    add();
    const path = await writeBackup(db, backups(), AT);
    expect(backupsIn(backups())).toMatchObject([
      { name: 'waffenrad-2026-11-24T092005Z.sqlite', at: '2026-11-24T09:20:05Z', path },
    ]);
    expect(checkFile(path)).toMatchObject({ ok: true, faults: [], jobs: 2, archers: 1 });
    for (const file of [path, shop()]) expect(statSync(file).mode & 0o077).toBe(0);
    const reader = openReader(path);
    expect(jobById(reader, 'j1001')).toEqual(jobById(db, 'j1001'));
    reader.close();
    db.close();
  });
  test('made while others write is whole, and lacks nothing that was there when it began', async () => {
    const { db, add } = filled();
    for (let i = 0; i < 300; i++) add();
    const before = nextJobNumber(db) - 1;
    const making = writeBackup(db, backups(), AT);
    let going = true;
    const writing = (async () => {
      while (going) {
        add();
        await new Promise((resolve) => setImmediate(resolve));
      }
    })();
    const path = await making;
    going = false;
    await writing;
    const { ok, jobs } = checkFile(path);
    expect(ok).toBe(true);
    expect(jobs).toBeGreaterThanOrEqual(before - 1000);
    expect(readdirSync(backups())).toHaveLength(1);
    db.close();
  });
  test('that cannot be written leaves nothing behind', async () => {
    const { db } = filled();
    writeFileSync(backups(), 'a file where the folder should be');
    await expect(writeBackup(db, backups(), AT)).rejects.toThrow();
    expect(readdirSync(folder).filter((name) => name.includes('part'))).toEqual([]);
    db.close();
  });
});

test('a log that others could read is closed to them when the shop opens', () => {
  const { db } = filled();
  // Killed, so that the log stays; and written when nobody saw to it yet.
  chmodSync(`${shop()}-wal`, 0o644);
  const again = openDb(shop());
  for (const tail of ['', '-wal', '-shm']) expect(statSync(shop() + tail).mode & 0o077).toBe(0);
  again.close();
  db.close();
});

describe('a file looked through', () => {
  test.each<[string, (path: string) => void, RegExp]>([
    ['nothing there', (path) => rmSync(path), /no such file/],
    [
      'another kind of file',
      (path) => writeFileSync(path, 'x'.repeat(5000)),
      /not a database|cannot/,
    ],
    ['an empty file', (path) => truncateSync(path, 0), /holds no shop/],
    [
      'half of it gone',
      (path) => truncateSync(path, Math.floor(statSync(path).size / 8192) * 4096),
      /./,
    ],
  ])('%s is told', async (_, spoil, words) => {
    const { db, add } = filled();
    for (let i = 0; i < 200; i++) add();
    const path = await writeBackup(db, backups(), AT);
    db.close();
    spoil(path);
    const { ok, faults } = checkFile(path);
    expect(ok).toBe(false);
    expect(faults.join(' ')).toMatch(words);
  });
  test('rows that point to what is not there are told by their table', async () => {
    const { db } = filled();
    db.pragma('foreign_keys = OFF');
    db.prepare("DELETE FROM archer WHERE id = 'a'").run();
    db.close();
    expect(checkFile(shop())).toMatchObject({ ok: false });
    expect(checkFile(shop()).faults.join()).toContain('job point to what is not there');
  });
});

describe('what is kept', () => {
  /** One each night for so many days up to this one. */
  const nights = (count: number) =>
    Array.from({ length: count }, (_, i) => `${addDays('2026-11-24', -i)}T02:00:00Z`);
  test('all of a week; of a month the newest of its weeks; of a year the newest of its months', () => {
    expect(keptBackups(nights(5)).size).toBe(5);
    const kept = [...keptBackups(nights(400))].sort().reverse();
    expect(kept.slice(0, 7)).toEqual(nights(7));
    // The last night of each month before.
    for (const day of ['2026-10-31', '2026-09-30', '2026-02-28', '2025-12-31'])
      expect(kept).toContain(`${day}T02:00:00Z`);
    expect(kept.length).toBeGreaterThanOrEqual(18);
    expect(kept.length).toBeLessThanOrEqual(7 + 4 + 12);
  });
  test('of several in a day the newest; nothing where there is nothing', () => {
    const day = ['2026-11-24T09:00:00Z', '2026-11-24T18:00:00Z', '2026-11-24T12:00:00Z'];
    expect([...keptBackups(day)]).toEqual(['2026-11-24T18:00:00Z']);
    expect(keptBackups([]).size).toBe(0);
  });
  test('after a long pause the old ones stay', () =>
    expect(keptBackups(['2024-01-01T02:00:00Z', '2026-11-24T02:00:00Z']).size).toBe(2));
  test('tidying leaves other files alone', () => {
    const { db } = filled();
    db.close();
    for (const name of [backupName('2026-11-24T01:00:00Z'), backupName('2026-11-24T02:00:00Z')])
      writeFileSync(join(folder, name), '');
    writeFileSync(join(folder, 'waffenrad-of-version-15.sqlite'), '');
    expect(tidyBackups(folder)).toEqual([backupName('2026-11-24T01:00:00Z')]);
    expect(readdirSync(folder)).toContain('waffenrad-of-version-15.sqlite');
  });
});

describe('who has the shop open', () => {
  test('any number may; alone is one only when the others have left', () => {
    const [one, two] = [bePresent(shop()), bePresent(shop())];
    expect(beAlone(shop())).toBeNull();
    one.leave();
    expect(beAlone(shop())).toBeNull();
    two.leave();
    const alone = beAlone(shop());
    expect(alone).not.toBeNull();
    alone!.leave();
    bePresent(shop()).leave();
  });
});
