/** @jest-environment node */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { readBundle } from '@/contracts/archer-bundle';
import { readSheet } from '@/contracts/sheet';
import { HANDOVER_CAUTIONS } from '@/core/job';
import type { By } from '@/core/people';
import { aBow } from '@/core/testing/fixtures';
import { openDb, type Db } from '@/data/db';
import { heldOfArcher, overwriteErased } from '@/data/erase';
import { findJobs } from '@/data/job-find';
import { insertPhoto, pictureOf } from '@/data/photos';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { sheetDocument } from '@/data/sheets';
import { insertBow, insertItem } from '@/data/stock';
import { auditPage } from '@/data/audit';
import { demoCatalogue } from '../../demo/load-csv';
import { bundleFile, bundleOf, lookAtBundle } from './archer-bundle';
import { takeInArcher } from './archer-in';
import { erase, knownArcher, longGoneArchers } from './archers';
import { pretendNow } from './clock';
import { createJob, runCommand } from './commands';
import { loadSnapshot } from './load-snapshot';
import { problemOf } from './testing/problem-of';

const AT = '2026-11-24T09:00:00.000Z';
let folder: string;
let db: Db;
const shopIn = (path: string): Db => {
  const on = openDb(path);
  insertBow(on, aBow({ stock: 5 }));
  demoCatalogue().forEach((part) => insertItem(on, part));
  return on;
};
beforeEach(() => {
  process.env.WAFFENRAD_BACKUPS = 'off';
  pretendNow(new Date(AT));
  folder = mkdtempSync(join(tmpdir(), 'waffenrad-erase-'));
  db = shopIn(join(folder, 'shop.sqlite'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
  pretendNow(null);
});
const by: By = {
  name: 'T. Okoro',
  role: 'owner',
  rights: ['look', 'enter', 'erase'],
  tablet: 'Counter',
};
function send(jobId: string, command: object, on = db) {
  const { version } = loadSnapshot(jobId, on)!.job;
  return runCommand(jobId, { version, who: 'T. Okoro', command }, on);
}

const NOOR = {
  name: 'Noor Abeling',
  phone: '0442 778899',
  email: 'noor@abeling.example',
  minor: true,
  guardianName: 'Femke Abeling-Sund',
  guardianPhone: '0442 112233',
  birthDay: '2012-05-17',
  injured: 'yes',
  injury: 'left shoulder since spring',
  eyesight: 'glasses for reading',
} as const;
/** Everything of Noor that tells who it is. */
const TELLS = [
  'Noor',
  'Abeling',
  'Femke',
  '778899',
  '112233',
  'abeling.example',
  '2012-05-17',
  'shoulder since',
  'glasses for',
  'smells of apples',
  'grandfather',
  'pulls to the left',
  'M1 2L3',
];

/** Noor's bow, delivered with all that can be held: notes, a quote, a signature, a photograph, a visit. */
function noor() {
  const { id, archerId } = createJob(
    {
      who: 'T. Okoro',
      archer: NOOR,
      job: { notes: 'smells of apples', alreadyOwn: 'grandfather’s quiver' },
    },
    db,
  ).job;
  send(id, { name: 'chooseBow', bowId: 'test-31-r', reason: 'Noor Abeling insists' });
  send(id, {
    ...{ name: 'choosePart', slot: 'rest', itemId: 'rest-regenpfeifer' },
    ...{ owned: false, label: '' },
  });
  for (const [key, entered] of [
    ['armSpan', '160 cm'],
    ['serialNumber', 'W-77'],
    ['braceHeight', '165 mm'],
    ['nockHeight', '2 mm'],
  ])
    send(id, { name: 'takeReadings', readings: [{ key, entered }] });
  send(id, { name: 'setAnswers', archer: { phone: '0442 778899 1' } });
  send(id, { name: 'giveQuote' });
  const photo = insertPhoto(
    db,
    {
      ...{ jobId: id, at: AT, who: 'T', about: 'bow', words: '' },
      ...{ width: 8, height: 8, onRecord: true },
    } as never,
    { large: Buffer.from('a picture of Noor'), small: Buffer.from('small Noor') },
  );
  send(id, { name: 'keepPhoto', photo, words: 'Noor Abeling with her bow' });
  for (const caution of HANDOVER_CAUTIONS)
    send(id, { name: 'acknowledge', cautionId: caution.id, yes: true });
  send(id, {
    name: 'handOver',
    openReason: 'Noor Abeling could not wait',
    signature: { width: 100, height: 40, strokes: [[1, 2, 3, 4]] },
  });
  send(id, { name: 'openVisit', kind: 'check', words: 'it pulls to the left' });
  send(id, { name: 'handOver', openReason: 'a test', toldAgain: ['look'] });
  return { jobId: id, archerId, photo };
}

/** Somebody else's bow, made like Noor's. */
function madeLike(jobId: string): string {
  const { id } = createJob({ who: 'T. Okoro', archer: { name: 'Ove' }, job: {} }, db).job;
  send(id, { name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
  send(id, { name: 'setModel', from: { kind: 'sheet', jobId } });
  for (const caution of HANDOVER_CAUTIONS)
    send(id, { name: 'acknowledge', cautionId: caution.id, yes: true });
  send(id, { name: 'handOver', openReason: 'a test' });
  return id;
}

/** What stands in the file and its log, as bytes. */
const bytes = () =>
  ['', '-wal']
    .map((end) => {
      try {
        return readFileSync(join(folder, `shop.sqlite${end}`)).toString('latin1');
      } catch {
        return '';
      }
    })
    .join('');

describe('erasing a person', () => {
  test('takes them out of everything, to the last byte of the file; the bow’s record stays', () => {
    const { jobId, archerId, photo } = noor();
    const ove = madeLike(jobId);
    db.pragma('wal_checkpoint(TRUNCATE)');
    for (const words of TELLS.slice(0, 6)) expect(bytes()).toContain(words);
    expect(loadSnapshot(ove, db)!.job.like!.title).toContain('Noor Abeling');
    const before = sheetDocument(db, jobId, 1) as {
      settings: unknown[];
      parts: unknown[];
      record: unknown[];
    };
    const counts = heldOfArcher(db, archerId);
    pretendNow(new Date('2026-12-01T10:00:00Z'));
    const left = erase(by, archerId, { name: ' Noor Abeling ' }, db);
    expect(left.archer).toMatchObject({ name: 'erased', phone: '', birthDay: null, hand: 'right' });
    expect(left.erasedAt).toBe('2026-12-01T10:00:00.000Z');
    // What lay between the rows goes when the program begins next.
    overwriteErased(db);
    const found = bytes();
    for (const words of TELLS) expect([words, found.includes(words)]).toEqual([words, false]);
    // The record stays as it was measured.
    const after = readSheet(sheetDocument(db, jobId, 1));
    expect(after).toMatchObject({ ok: true });
    expect(sheetDocument(db, jobId, 1)).toMatchObject({
      settings: before.settings,
      parts: before.parts,
      record: before.record,
    });
    expect(heldOfArcher(db, archerId)).toEqual({
      ...counts,
      photos: 0,
      entries: counts.entries + 1,
    });
    expect(pictureOf(db, jobId, photo, 'large')).toBeNull();
    expect(loadSnapshot(ove, db)!.job.like!.title).toBe('Sheet 2 of ticket 1001, erased');
    expect(loadSnapshot(ove, db)!.job.like!.values.length).toBeGreaterThan(1);
    // Found by ticket and number, by the name no more.
    expect(findJobs(db, 'Noor', 10)).toEqual([]);
    expect(findJobs(db, 'W-77', 10)).toHaveLength(1);
    expect(loadSnapshot(jobId, db)!.events[0]).toMatchObject({
      summary: 'The person was erased; the bow’s record stays',
      who: 'T. Okoro',
    });
    expect(
      auditPage(db, { words: '', who: '', tablet: '', kind: 'people', before: null }, 9).lines[0],
    ).toMatchObject({
      what: 'A person was erased, tickets 1001',
    });
    // Nothing brings them back, and nothing else lost its guard.
    expect(problemOf(() => send(jobId, { name: 'undo' })).status).toBe(422);
    expect(() => db.prepare("UPDATE sheet SET document_json = '{}'").run()).toThrow(
      /never changed/,
    );
    expect(db.prepare('SELECT count(*) FROM erasing').pluck().get()).toBe(0);
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
  });

  test('asks for the name; another one, or twice, is refused and nothing is lost', () => {
    const { archerId } = noor();
    expect(
      problemOf(() => erase(by, archerId, { name: 'Noor' }, db)).more.errors![0]!.pointer,
    ).toBe('/name');
    expect(problemOf(() => erase(by, archerId, {}, db)).status).toBe(400);
    expect(problemOf(() => erase(by, 'nobody', { name: 'x' }, db)).status).toBe(404);
    expect(knownArcher(archerId, db).archer.name).toBe('Noor Abeling');
    erase(by, archerId, { name: 'Noor Abeling' }, db);
    expect(problemOf(() => erase(by, archerId, { name: 'erased' }, db)).reason).toBe(
      'erased-already',
    );
  });

  test('who was away longer than the shop keeps people is proposed; who has an open ticket is not', () => {
    noor();
    createJob({ who: 'T', archer: { name: 'Open Still' }, job: {} }, db);
    const rules = (keepYears: number | null) =>
      saveShopSettings(db, { ...shopSettings(db), persons: { adultFromYears: 18, keepYears } });
    rules(3);
    pretendNow(new Date('2029-11-24T08:59:00Z'));
    expect(longGoneArchers(db)).toEqual([]);
    pretendNow(new Date('2029-11-24T09:01:00Z'));
    expect(longGoneArchers(db)).toMatchObject([{ name: 'Noor Abeling', lastAt: AT }]);
    rules(null);
    expect(longGoneArchers(db)).toEqual([]);
  });
});

describe('an archer’s file', () => {
  test('holds everything, by its schema, and leaves the shop’s own things out', () => {
    const { archerId } = noor();
    createJob({ who: 'T', archer: { name: 'Somebody Else' }, job: {} }, db);
    const files = unzipSync(bundleFile(archerId, AT, db));
    expect(Object.keys(files).sort()).toEqual([
      'README.txt',
      'bows.csv',
      'photos/1001-1.jpg',
      'waffenrad-archer.json',
    ]);
    const text = Buffer.from(files['waffenrad-archer.json']!).toString();
    expect(readBundle(JSON.parse(text))).toMatchObject({ ok: true });
    for (const words of [
      'Noor Abeling',
      '0442 778899',
      'left shoulder since spring',
      'smells of apples',
    ])
      expect(text).toContain(words);
    expect(text).not.toContain('Somebody Else');
    expect(bundleOf(archerId, AT, db).jobs[0]).toMatchObject({
      number: 1001,
      bow: { name: 'Testhav Probe 31' },
      sheets: [{ revision: 2 }, { revision: 1 }],
      quotes: [{ revision: 1 }],
      photos: [{ file: 'photos/1001-1.jpg' }],
    });
  });

  test('read by another shop: the person, a job for the bow, looked over first, made like its sheet', () => {
    const { archerId } = noor();
    const file = bundleFile(archerId, AT, db);
    const other = shopIn(':memory:');
    const { jobs } = takeInArcher(by, lookAtBundle(file), other);
    expect(jobs).toHaveLength(1);
    const snapshot = loadSnapshot(jobs[0]!.jobId, other)!;
    expect(snapshot.archer).toMatchObject({ ...NOOR, phone: '0442 778899 1' });
    expect(snapshot.job).toMatchObject({
      notes: 'From Our shop, ticket 1001.',
      elsewhere: { came: 'used', look: {} },
      like: { source: 'file', title: 'Sheet 2 of ticket 1001, Noor Abeling, Our shop' },
    });
    expect(snapshot.bow).toMatchObject({ model: 'Probe 31', brought: true });
    expect(snapshot.readings.at(-1)).toMatchObject({ key: 'serialNumber', choice: 'W-77' });
    // Once more it is the same person.
    const again = takeInArcher(by, lookAtBundle(file), other);
    expect(loadSnapshot(again.jobs[0]!.jobId, other)!.archer.id).toBe(snapshot.archer.id);
    other.close();
  });

  test('of somebody without a bow it opens one job with their answers', () => {
    const { archerId } = createJob({ who: 'T', archer: NOOR, job: {} }, db).job;
    const other = shopIn(':memory:');
    const { jobs } = takeInArcher(by, lookAtBundle(bundleFile(archerId, AT, db)), other);
    expect(loadSnapshot(jobs[0]!.jobId, other)!).toMatchObject({ archer: NOOR, bow: null });
    other.close();
  });

  const zip = (files: Record<string, string>) =>
    zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
  const good = () => {
    const files = unzipSync(bundleFile(noor().archerId, AT, db));
    return Object.fromEntries(
      Object.entries(files).map(([name, file]) => [name, Buffer.from(file).toString()]),
    );
  };
  test.each<[string, () => Uint8Array, RegExp]>([
    ['no ZIP at all', () => strToU8('hello'), /no ZIP/],
    ['a ZIP cut off', () => zip(good()).slice(0, 900), /no ZIP/],
    ['another ZIP', () => zip({ 'a.txt': 'x' }), /no waffenrad-archer\.json/],
    ['no JSON', () => zip({ ...good(), 'waffenrad-archer.json': '{' }), /damaged/],
    [
      'another format',
      () => zip({ ...good(), 'waffenrad-archer.json': '{"format":"x"}' }),
      /no archer’s file/,
    ],
    [
      'a later version',
      () =>
        zip({
          ...good(),
          'waffenrad-archer.json': '{"format":"waffenrad-archer","formatVersion":9}',
        }),
      /of version 9/,
    ],
    [
      'a field too long',
      () => zip(changed((bundle) => ((bundle.archer as { name: string }).name = 'x'.repeat(500)))),
      /damaged: \/archer\/name/,
    ],
    [
      'a bow that cannot be',
      () => zip({ ...good(), 'bows.csv': 'id;maker\nx;y' }),
      /bows\.csv, line/,
    ],
    [
      'more than a file may be',
      () => zip({ ...good(), 'waffenrad-archer.json': ' '.repeat(8_000_001) }),
      /larger/,
    ],
  ])('refused: %s', (_, make, words) => {
    const problem = problemOf(() => lookAtBundle(make()));
    expect([problem.status, problem.reason]).toEqual([422, 'no-bundle']);
    expect(problem.more.detail).toMatch(words);
  });
  function changed(change: (bundle: Record<string, unknown>) => void): Record<string, string> {
    const files = good();
    const bundle = JSON.parse(files['waffenrad-archer.json']!) as Record<string, unknown>;
    change(bundle);
    return { ...files, 'waffenrad-archer.json': JSON.stringify(bundle) };
  }

  test('a sheet in it that is none refuses all of it: nothing is half taken in', () => {
    const files = changed((bundle) => {
      (bundle.jobs as { sheets: object[] }[])[0]!.sheets = [{ format: 'x' }];
    });
    const other = shopIn(':memory:');
    expect(problemOf(() => takeInArcher(by, lookAtBundle(zip(files)), other)).status).toBe(422);
    expect(other.prepare('SELECT count(*) FROM job').pluck().get()).toBe(0);
    expect(other.prepare('SELECT count(*) FROM archer').pluck().get()).toBe(0);
    other.close();
  });
});
