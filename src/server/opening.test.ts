/** @jest-environment node */
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeBackup } from '@/data/backup';
import { db, openDb, openedDb, openBy, openShopFile, type Db } from '@/data/db';
import { firstHour } from '@/data/first-hour';
import { insertPerson } from '@/data/people';
import { insertBow } from '@/data/stock';
import { samplesOf } from '@/data/samples';
import { writeWhole } from '@/data/whole-write';
import { aBow } from '@/core/testing/fixtures';
import type { Asker } from './access/asker';
import { auditOf } from './access/audit';
import { createJob, runCommand } from './commands';
import { goOnOpening, openingHour } from './first-hour';
import { openHere, openingOf } from './opening';
import { addSamples, dropSamples, samplesNamed } from './samples';
import { problemOf } from './testing/problem-of';
import { newDb } from './testing/new-db';

const AT = '2026-11-24T09:00:00.000Z';
const asker = (atMachine = true): Asker => ({
  ...{ by: null, personId: null, mark: '', since: '', tablet: null, atMachine, secured: false },
  ...{ address: '127.0.0.1', opened: false },
});
const BY = { name: 'Ada', role: 'owner', rights: [], tablet: 'Counter' } as const;

describe('where no shop stands', () => {
  let folder: string;
  const held = globalThis as typeof globalThis & { waffenradDb?: Db };
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'waffenrad-opening-'));
    process.env.WAFFENRAD_DB = join(folder, 'shop.sqlite');
    process.env.WAFFENRAD_BACKUPS = join(folder, 'backups');
    openBy(openShopFile);
  });
  afterEach(() => {
    openedDb()?.close();
    delete held.waffenradDb;
    openBy(openDb);
    delete process.env.WAFFENRAD_DB;
    delete process.env.WAFFENRAD_BACKUPS;
    rmSync(folder, { recursive: true, force: true });
  });
  const file = () => process.env.WAFFENRAD_DB!;

  /** A shop somewhere else, with one person in it. */
  function another(): Db {
    const other = openDb(join(folder, 'other.sqlite'));
    insertPerson(other, { id: 'a', name: 'Ada', role: 'owner', atBench: true, sinceAt: AT });
    return other;
  }

  test('a new one is opened at the machine itself alone, with its guide still to come', () => {
    expect(problemOf(() => openHere(asker(false), { how: 'new' })).reason).toBe('not-at-machine');
    expect(existsSync(file())).toBe(false);
    expect(openHere(asker(), { how: 'new' })).toEqual({ opened: true });
    expect(firstHour(db())).toEqual({ seen: [] });
    expect(auditOf(new URLSearchParams()).lines.map(({ what }) => what)).toEqual([
      'A new shop was opened',
    ]);
    expect(problemOf(() => openHere(asker(), { how: 'new' })).reason).toBe('has-shop');
  });

  test('a backup that is offered is put in place; one that is not, is not', async () => {
    const other = another();
    await writeBackup(other, join(folder, 'backups'), AT);
    other.close();
    const { backups } = openingOf();
    expect(backups).toMatchObject([{ at: '2026-11-24T09:00:00Z' }]);
    for (const name of ['../other.sqlite', 'nothing.sqlite'])
      expect(problemOf(() => openHere(asker(), { how: 'backup', name })).reason).toBe('not-taken');
    expect(existsSync(file())).toBe(false);
    openHere(asker(), { how: 'backup', name: backups[0]!.name });
    expect(db().prepare('SELECT name FROM person').pluck().all()).toEqual(['Ada']);
    // An older shop has no guide to go through.
    expect(openingHour()).toBeNull();
  });

  test('an export is read in from its path', () => {
    const other = another();
    const zip = join(folder, 'all.ZIP');
    writeWhole(other, zip, AT);
    other.close();
    openHere(asker(), { how: 'file', path: ` ${zip} ` });
    expect(db().prepare('SELECT name FROM person').pluck().all()).toEqual(['Ada']);
  });

  test.each([
    ['nothing', () => 'nowhere.zip'],
    ['half a path', () => 'other.sqlite'],
    ['a file that is none', () => '/broken.sqlite'],
    ['a ZIP that is none', () => '/broken.zip'],
  ])('%s is refused with why, and no file is left', (_, path) => {
    for (const name of ['broken.sqlite', 'broken.zip'])
      writeFileSync(join(folder, name), 'not what it says');
    const given = path().startsWith('/') ? join(folder, path()) : path();
    const problem = problemOf(() => openHere(asker(), { how: 'file', path: given }));
    expect(problem.more.errors![0]!.pointer).toBe('/path');
    expect(existsSync(file())).toBe(false);
  });
});

describe('the guide and the sample', () => {
  let on: Db;
  beforeEach(() => (on = newDb()));
  afterEach(() => on.close());

  test('parts are seen one after another, each once; ended, or with the first sheet, it is over', () => {
    expect(goOnOpening({ seen: 'shop' }, on)).toEqual({ hour: null });
    on.prepare(`INSERT INTO setting VALUES ('first-hour', '{"seen":[]}')`).run();
    goOnOpening({ seen: 'shop' }, on);
    goOnOpening({ seen: 'money' }, on);
    expect(goOnOpening({ seen: 'shop' }, on)).toEqual({ hour: { seen: ['shop', 'money'] } });
    expect(problemOf(() => goOnOpening({ seen: 'nonsense' }, on)).status).toBe(400);
    goOnOpening({ over: true }, on);
    expect(openingHour(on)).toBeNull();
  });

  test('the sample is marked, leaves the shop’s own alone, and goes in one go but for what jobs speak of', () => {
    insertBow(on, aBow());
    const put = addSamples(BY, on);
    expect(put.bows).toBe(12);
    expect(put.parts).toBeGreaterThan(80);
    expect(addSamples(BY, on)).toEqual(put);
    const [bow] = samplesNamed(on).bows as [string];
    const { job } = createJob({ who: 'T', archer: { name: 'Nele' }, job: {} }, on);
    const command = { name: 'chooseBow', bowId: bow, reason: 'to learn' };
    runCommand(job.id, { version: 1, who: 'T', command }, on);
    expect(dropSamples(BY, on)).toEqual({ bows: 1, parts: 0 });
    expect(samplesNamed(on)).toEqual({ bows: [bow], parts: [] });
    expect(on.prepare('SELECT id FROM bow ORDER BY id').pluck().all()).toEqual(
      [bow, 'test-31-r'].sort(),
    );
    expect(on.pragma('foreign_key_check')).toEqual([]);
    expect(samplesOf(on)).toEqual({ bows: 1, parts: 0 });
    expect(auditOf(new URLSearchParams({ kind: 'stock' }), on).lines[0]!.what).toBe(
      'The sample catalogue was taken off; left in jobs: 1',
    );
  });
});
