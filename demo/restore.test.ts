import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backupsIn, checkFile } from '@/data/backup';
import { openDb } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { bePresent } from '@/data/presence';
import { seedDemo } from './seed';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'waffenrad-restore-'));
  const db = openDb(join(folder, 'shop.sqlite'));
  seedDemo(db);
  db.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A command as it is typed; what it said and how it ended. */
const typed = (name: string, ...args: string[]) =>
  new Promise<{ code: number; said: string }>((done) => {
    const env = {
      ...process.env,
      WAFFENRAD_DB: join(folder, 'shop.sqlite'),
      WAFFENRAD_BACKUPS: join(folder, 'backups'),
    };
    const child = execFile(
      'node_modules/.bin/tsx',
      [`scripts/${name}.ts`, ...args],
      { env },
      (error, out, complaint) =>
        done({ code: error ? Number(error.code) : 0, said: out + complaint }),
    );
    child.stdin!.end('no\n');
  });
const shop = () => join(folder, 'shop.sqlite');

test('backed up, lost, brought back: the same shop, and the lost one is kept', async () => {
  const made = await typed('backup');
  expect(made.said).toContain('Written and looked through');
  expect(made.code).toBe(0);
  const before = openDb(shop());
  const jobs = allJobs(before);
  before.prepare("UPDATE job SET notes = 'lost later'").run();
  before.close();

  const here = bePresent(shop());
  const refused = await typed('restore', '--yes');
  expect(refused.code).toBe(1);
  expect(refused.said).toContain('The shop is open');
  here.leave();

  const back = await typed('restore', '--yes');
  expect([back.code, back.said]).toEqual([0, expect.stringContaining('Done: 8 jobs')]);
  expect(back.said).toContain('Will be replaced, and kept');
  const after = openDb(shop());
  expect(allJobs(after)).toEqual(jobs);
  after.close();
  const kept = readdirSync(folder).find((name) => name.includes('.replaced-'))!;
  const old = openDb(join(folder, kept));
  expect(new Set(allJobs(old).map(({ notes }) => notes))).toEqual(new Set(['lost later']));
  old.close();
}, 120_000);

test('a broken backup is not taken, and the shop stays as it is', async () => {
  const [backup] = backupsIn(join(folder, 'backups'));
  truncateSync(backup!.path, 40_960);
  const { code, said } = await typed('restore', '--yes');
  expect([code, said]).toEqual([1, expect.stringContaining('is not whole and is not taken')]);
  expect(checkFile(shop()).ok).toBe(true);
  const looked = await typed('check');
  expect([looked.code, looked.said]).toEqual([0, expect.stringContaining('can be read whole')]);
  const broken = await typed('check', backup!.path);
  expect([broken.code, broken.said]).toEqual([1, expect.stringContaining('Not whole')]);
}, 120_000);

test('without an answer nothing is changed', async () => {
  rmSync(join(folder, 'backups'), { recursive: true });
  await typed('backup');
  const names = () => readdirSync(folder).filter((name) => !/-(wal|shm)$/.test(name));
  const before = names();
  const { code, said } = await typed('restore');
  expect(said).toContain('Type “restore” to do it');
  expect(code).not.toBe(0);
  expect(names()).toEqual(before);
}, 120_000);
