import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NOW } from './now.cjs';
import { TestShop } from './shop';
import { openAnew } from './hands';
import { Asker } from './soak/asking';
import { backupWhileWriting } from './soak/backup';
import { crowd } from './soak/crowd';
import { hostile } from './soak/hostile';
import { kills } from './soak/kills';
import { memoryEnv, memoryOf } from './soak/memory';
import { nonsense } from './soak/nonsense';
import { served } from './soak/served';
import * as sick from './soak/sick';

/** The short form of `npm run soak`: the same, for seconds instead of an hour. */
const SEED = 20_261_124;
const env = { WAFFENRAD_NOW: NOW };
let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-soak-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const shop = (name: string) => {
  const db = join(folder, `${name}.sqlite`);
  copyFileSync(process.env.WAFFENRAD_SEEDED!, db);
  return db;
};
const ground = () => ({ db: process.env.WAFFENRAD_SEEDED!, folder, env });

const withShop = <T>(
  db: string,
  more: Record<string, string>,
  work: (url: string, pid: number) => Promise<T>,
) => served(db, { ...env, ...more }, work);

test('killed again and again, nothing acknowledged is lost or counted twice', async () => {
  const found = await kills(shop('kills'), { times: 4, seed: SEED, env });
  expect(found).toMatchObject({ lost: [], doubled: [], wrong: [] });
  expect(found.entries.length).toBeGreaterThan(4);
});

test('a busy shop: nobody’s entry is lost, nobody is held up by the limits', async () => {
  const db = shop('crowd');
  const found = await withShop(db, { WAFFENRAD_LIMITS: 'on' }, (url) =>
    crowd(url, db, { clients: 10, seconds: 4, seed: SEED, thinksMs: 150 }),
  );
  expect(found).toMatchObject({ lost: [], doubled: [], lostDays: [], wrong: [] });
  expect(found.readings).toBeGreaterThan(5);
});

test('what nobody should send breaks nothing', async () => {
  const file = join(folder, 'memory.json');
  const found = await withShop(shop('hostile'), memoryEnv(file), (url, pid) =>
    hostile(url, () => memoryOf(pid, file), { requests: 400, seed: SEED }),
  );
  expect(found.broken).toEqual([]);
  expect(found.bystander.worst).toBeLessThan(Number.POSITIVE_INFINITY);
  expect(Object.keys(found.byStatus)).toEqual(expect.arrayContaining(['400', '404', '405', '422']));
});

test('one that asks without end is held up, another one is not', () =>
  withShop(shop('flood'), { WAFFENRAD_LIMITS: 'on' }, async (url) => {
    const [flood, honest] = [new Asker(url, 2), new Asker(url, 3)];
    const headers = { cookie: 'waffenrad-tablet=00000000-0000-4000-8000-000000000001' };
    const statuses = await Promise.all(
      Array.from({ length: 1500 }, () =>
        flood.ask('/icon.svg', { headers }).then((answer) => answer?.status),
      ),
    );
    expect(new Set(statuses)).toEqual(new Set([200, 429]));
    expect((await honest.ask('/'))?.status).toBe(200);
    flood.close();
    honest.close();
  }));

test('whatever nonsense is taken, every page is drawn afterwards', async () => {
  const one = await TestShop.open('demo');
  const asker = new Asker(one.url);
  const { broken, taken, pages } = await nonsense(asker, { commands: 60, seed: SEED });
  asker.close();
  expect(broken).toEqual([]);
  expect(taken).toBeGreaterThan(3);
  const page = await one.page();
  const undrawn: string[] = [];
  for (const path of pages) {
    await openAnew(page, one.url + path);
    const text = await page.$eval('body', (node) => node.innerText);
    if (text.includes('Something broke here')) undrawn.push(path);
  }
  expect(undrawn).toEqual([]);
  expect(one.complaints).toEqual([]);
  await one.close();
});

describe('a file that is sick', () => {
  test.each([
    ['newer', () => sick.newer(ground()), 'newer than this program'],
    ['damaged', () => sick.damaged(ground()), 'file is damaged'],
    ['foreign', () => sick.foreign(ground()), 'no shop’s'],
    ['read-only', () => sick.readOnly(ground()), 'may only be read'],
  ])('%s is named on the screen and to a supervisor', async (kind, open, words) => {
    const told = await open();
    // Where the user may read nothing of the program either, it cannot be tried.
    if (told === null) return;
    expect(told).toMatchObject({ page: 200, health: 503, kind });
    expect(told.words).toContain(words);
    if ('mended' in told) expect(told.mended).toMatchObject({ page: 200, health: 200 });
    if ('tables' in told) expect(told.tables).toEqual(['songs']);
  });

  test('a disk without room: refused whole, read on, and everything kept is there afterwards', async () => {
    const found = await sick.full(ground());
    expect(found).toMatchObject({
      refused: ['503 file-full'],
      told: { page: 200, health: 503, kind: 'full' },
      readable: true,
      wholeAfterwards: true,
    });
    expect(found.kept).toBeGreaterThan(0);
  });
});

test('two programs on one file lose nothing and show the same', async () => {
  const found = await sick.twoServers(ground(), { seconds: 2, each: 6 });
  expect(found).toMatchObject({ lost: [], doubled: [], wrong: [], agree: true });
  expect(found.entries).toBeGreaterThanOrEqual(12);
});

test('two first starts side by side do not break each other', async () =>
  expect(await sick.sideBySide(ground())).toEqual([200, 200]));

test('without a file no shop is made; at the machine it asks what to do, elsewhere it says where', async () => {
  const found = await sick.noShop(ground());
  expect(found).toMatchObject({ made: false, here: '/open', kind: 'file-no-shop' });
  expect(found.said).toMatch(/There is no shop there yet: open http.*npm run restore/);
  expect(found.elsewhere).toContain('at the machine it runs on');
  expect(found.elsewhere).not.toContain('Open a new shop');
});

test('asked to stop, it finishes its answers and leaves one file', async () => {
  const found = await sick.gracefulEnd(ground());
  expect(found).toMatchObject({ code: 0, log: false, lost: [], doubled: [] });
  expect(found.entries).toBeGreaterThan(0);
});

test('a backup made while tablets write is put in place the same', async () => {
  const found = await backupWhileWriting(shop('backup'), folder, env);
  expect(found).toMatchObject({ status: 201, same: true, sameEntries: true });
  expect(found.entries).toBeGreaterThan(5);
});
