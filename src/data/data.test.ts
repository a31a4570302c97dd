import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { aBow, anItem } from '@/core/testing/fixtures';
import type { Archer, Job } from '@/core/job';
import { METRIC_UNITS } from '@/core/units';
import { openDb, type Db } from './db';
import {
  allJobs,
  archerById,
  archerMapping,
  claimVersion,
  heldBow,
  insertArcher,
  insertJob,
  jobById,
  jobMapping,
  nextJobNumber,
  partMapping,
  partsOf,
  putPart,
  setPlace,
  updateArcher,
  updateJob,
  jobBowMapping,
  type StoredBow,
  type StoredPart,
} from './jobs';
import { pieceMapping, type StoredPiece } from './bow-pieces';
import { plain, RowMapping } from './mapping';
import { migrate } from './migrate';
import {
  acknowledge,
  acknowledgedOf,
  addException,
  appendReading,
  exceptionsOf,
  lastSeq,
  readingMapping,
  readingsOf,
  unacknowledge,
  withdrawException,
  type NewReading,
} from './records';
import { addEvent, eventsOf, eventsSince, markUndone, undoable } from './events';
import { insertSheet, sheetDocument, sheetsOf } from './sheets';
import { NEW_SHOP, saveShopSettings, shopSettings } from './settings';
import {
  allBows,
  allItems,
  bowById,
  bowMapping,
  insertBow,
  insertItem,
  itemById,
  itemMapping,
} from './stock';

/** Every field other than what a new record would have, so that none can be lost unseen. */
const ARCHER: Archer = {
  id: 'a1',
  name: 'Änne “Ö” O’Neil',
  phone: '0151',
  email: 'a@b.invalid',
  minor: true,
  guardianName: 'Gerd',
  guardianPhone: '0152',
  hand: 'left',
  dominantEye: 'left',
  ageBand: '12to15',
  build: 'strong',
  experience: 'regular',
  birthDay: '2013-05-17',
  injured: 'healed',
  injury: 'wrist',
  eyesight: 'glasses',
  release: 'thumb',
  wall: 'soft',
  eyeHandling: 'cover',
};
const JOB: Job = {
  closed: { at: '2026-11-20T09:00:00.000Z', who: 'P. Sander', why: 'moved away' },
  id: 'j1',
  number: 1007,
  archerId: 'a1',
  version: 3,
  purpose: 'hunting',
  furthestM: 42.5,
  lowLight: true,
  electronicsForbidden: true,
  budgetCents: 123456,
  promisedDay: '2026-12-04',
  appointmentAt: '2026-12-01T15:00:00.000Z',
  alreadyOwn: 'a quiver',
  notes: 'line\nbreak',
  bowId: 'test-31-r',
  bowReason: 'short: grows',
  loopCounts: true,
  schools: { centreShot: 'thread', cage: 'trimmed' },
  legalMinimumN: 178.5,
  legalPlace: 'over the border',
  asked: ['who'],
  skipped: ['light'],
  drawOff: { bowIds: ['x', 'y'], speedCounts: true, marks: [] },
  arrows: { builds: [], massesG: [24.5, 24.6], restAheadMm: -12.5 },
  kitWishes: {
    without: ['rest-x'],
    extra: ['sling'],
    massLimitG: 2500.5,
    barLimitMm: 300.5,
    ownBars: [{ side: 'rear', name: 'Eigen', lengthMm: 203.2, massG: 151.5 }],
  },
  moduleStepMm: 698.5,
  moduleReason: 'so',
  peakTargetN: 200.5,
  peakReason: 'wants it',
  extras: [{ id: 'x1', text: 'Wax', cents: 450 }],
  visit: {
    kind: 'settled',
    words: 'creaks',
    at: '2026-12-08T09:00:00.000Z',
    who: 'T.',
    seq: 41,
    keys: ['peepRotation'],
  },
  comeBackDay: '2026-12-09',
  elsewhere: {
    came: 'used',
    look: { limbs: { seen: 'sound', words: 'w', who: 'T', at: '2026-11-24T09:00:00Z' } },
    leftOut: ['loop'],
  },
  like: {
    source: 'code',
    title: 'Sheet 1 of ticket 7',
    sheet: { jobId: 'job-7', revision: 1 },
    day: '2026-11-02',
    bow: {
      name: 'A B',
      hand: 'left',
      serial: 'x',
      camSystem: 'single',
      letOff: 0.8,
      braceHeightMm: 160,
      axleToAxleMm: 800,
    },
    values: [{ key: 'loop', si: 12, text: '12 mm' }],
    marks: { firstM: 18, rows: [{ distanceM: 20, belowFirstMm: 1 }], flight: null },
    parts: [{ slot: 'rest', name: 'Rest', label: 'R' }],
    arrow: 'an arrow',
  },
  accepted: { revision: 2, totalCents: 98700, day: '2026-11-24', who: 'T.' },
  place: 'bench',
  createdAt: '2026-11-24T08:00:00.000Z',
  deliveredAt: '2026-11-25T08:00:00.000Z',
};

let db: Db;
beforeEach(() => {
  db = openDb(':memory:');
  insertBow(db, aBow());
});
afterEach(() => db.close());
const withJob = () => {
  insertArcher(db, ARCHER);
  insertJob(db, JOB);
};

describe('the file', () => {
  test('is opened with foreign keys, WAL and full synchronisation', () => {
    const folder = mkdtempSync(join(tmpdir(), 'waffenrad-db-'));
    const file = openDb(join(folder, 'deep/er/shop.sqlite'));
    expect(file.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(file.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(file.pragma('synchronous', { simple: true })).toBe(2);
    file.close();
    rmSync(folder, { recursive: true });
  });
  test('every table is STRICT', () => {
    const tables = db
      .prepare(
        `SELECT name, strict FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND name NOT LIKE 'sqlite_%'`,
      )
      .all() as { name: string; strict: number }[];
    expect(tables.length).toBeGreaterThan(8);
    expect(tables.filter(({ strict }) => strict !== 1)).toEqual([]);
  });
});

describe('migrations', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-migrations-'))));
  afterEach(() => rmSync(folder, { recursive: true }));
  const put = (name: string, sql: string) => writeFileSync(join(folder, name), sql);
  const fresh = () => {
    const other = openDb(':memory:');
    other.pragma('user_version = 0');
    return other;
  };

  test('run in order, once', () => {
    put('0002-create-two.sql', 'CREATE TABLE two (one INTEGER REFERENCES one (id)) STRICT;');
    put('0001-create-one.sql', 'CREATE TABLE one (id INTEGER PRIMARY KEY) STRICT;');
    put('readme.txt', 'not one');
    const other = fresh();
    expect(migrate(other, folder)).toEqual([1, 2]);
    expect(migrate(other, folder)).toEqual([]);
    other.close();
  });
  test('jobs from before bows were stock keep bow and parts, held or handed over', () => {
    const all = 'src/data/migrations';
    for (const name of readdirSync(all))
      if (name < '0013') put(name, readFileSync(join(all, name), 'utf8'));
    const old = new Database(':memory:');
    migrate(old, folder);
    const insert = (table: string, row: Record<string, unknown>) => {
      const needed = old.pragma(`table_info(${table})`) as {
        name: string;
        type: string;
        notnull: number;
        dflt_value: unknown;
      }[];
      // Columns nobody asks about get what their type and check allow.
      const whole = Object.fromEntries(
        needed
          .filter(
            ({ name, notnull, dflt_value }) => name in row || (notnull && dflt_value === null),
          )
          .map(({ name, type }) => [
            name,
            row[name] ?? (name.endsWith('_json') ? '[]' : type === 'TEXT' ? '' : 0),
          ]),
      );
      const names = Object.keys(whole);
      old
        .prepare(
          `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((n) => `@${n}`).join(', ')})`,
        )
        .run(whole);
    };
    insert('archer', { id: 'a', name: 'A', hand: 'right', dominant_eye: 'right', injury: 'elbow' });
    insert('bow', { id: 'b', hand: 'right', min_peak_n: 1, max_peak_n: 2, price_cents: 89900 });
    insert('catalogue_item', { id: 'r', slot: 'rest', hand: 'both' });
    for (const [id, number, delivered] of [
      ['open', 1, null],
      ['done', 2, '2026-11-01T10:00:00.000Z'],
    ] as const) {
      insert('job', {
        id,
        number,
        archer_id: 'a',
        version: 1,
        bow_id: 'b',
        ...(delivered ? { delivered_at: delivered } : {}),
      });
      insert('job_part', { job_id: id, slot: 'rest', item_id: 'r', arrives_day: '2026-12-01' });
    }
    migrate(old);
    expect(heldBow(old, 'open')).toMatchObject({
      bowId: 'b',
      priceCents: 89900,
      handedOver: false,
    });
    expect(heldBow(old, 'done')).toMatchObject({ handedOver: true, condition: 'new' });
    const rows = old.prepare('SELECT job_id, handed_over, short_json FROM job_part').all();
    expect(rows).toEqual([
      { job_id: 'open', handed_over: 0, short_json: '[{"itemId":"r","count":1}]' },
      { job_id: 'done', handed_over: 1, short_json: '[{"itemId":"r","count":1}]' },
    ]);
    expect(archerById(old, 'a')).toMatchObject({ injured: 'yes', birthDay: null });
    old.close();
  });
  test('one that fails leaves nothing behind, not even its version', () => {
    put('0001-create-one.sql', 'CREATE TABLE one (id INTEGER) STRICT;');
    put(
      '0002-break-it.sql',
      'CREATE TABLE half (id INTEGER) STRICT; INSERT INTO nowhere VALUES (1);',
    );
    const other = fresh();
    expect(() => migrate(other, folder)).toThrow('nowhere');
    expect(other.pragma('user_version', { simple: true })).toBe(1);
    expect(
      other.prepare(`SELECT count(*) FROM sqlite_master WHERE name = 'half'`).pluck().get(),
    ).toBe(0);
    other.close();
  });
  test('a file of a newer program is refused with what to do', () => {
    put('0001-create-one.sql', 'SELECT 1;');
    const other = fresh();
    other.pragma('user_version = 9');
    expect(() => migrate(other, folder)).toThrow(/version 9; this program knows 1.*WAFFENRAD_DB/);
    other.close();
  });
});

describe('rows and records', () => {
  const bow = aBow({
    fixedDrawLengthMm: 711 as never,
    maxTurns: null,
    centreShotMm: null,
    quiverMounts: [],
    barThreads: [{ spot: 'rear', at: { forwardMm: 4, upMm: -150.5, rightMm: 0 } }] as never,
    centre: { forwardMm: 20.5, upMm: -3, rightMm: 1 } as never,
    yawInertiaKgMm2: 8100.5 as never,
    pitchInertiaKgMm2: 80_500 as never,
    balanceFrom: 'measured',
  });
  const reading: NewReading & { seq: number } = {
    seq: 5,
    jobId: 'j1',
    bowId: 'test-31-r',
    key: 'paperTear',
    si: -1.5,
    si2: 2.5,
    choice: 'left',
    entered: '-1.5',
    method: 'typed',
    who: 'T.',
    at: '2026-11-24T09:00:00.000Z',
    retracts: 4,
    data: { kind: 'tear', distanceM: 2.2 },
    place: 4.25,
  };
  const part: StoredPart = {
    jobId: 'j1',
    slot: 'sight',
    itemId: 'sight-test',
    owned: true,
    label: 'their own',
    priceCents: 5,
    arrivesDay: '2026-12-01',
    orderedAt: '2026-11-24T09:00:00.000Z',
    arrivedAt: '2026-12-01T08:00:00.000Z',
    handedOver: true,
    short: [{ itemId: 'sight-test', count: 1 }],
    build: null,
  };
  const heldBow: StoredBow = {
    jobId: 'j1',
    bowId: 'test-31-r',
    serial: 'FJ-1',
    condition: 'used',
    priceCents: 52000,
    arrivesDay: '2026-12-01',
    orderedAt: '2026-11-24T09:00:00.000Z',
    arrivedAt: '2026-12-01T08:00:00.000Z',
    handedOver: true,
  };
  const piece: StoredPiece = {
    serial: 'FJ-1',
    bowId: 'test-31-r',
    condition: 'used',
    priceCents: 52000,
    note: 'limbs new in May',
    leftWith: 'j1',
  };
  test.each([
    ['archer', archerMapping, ARCHER],
    ['job', jobMapping, JOB],
    ['part', partMapping, part],
    ['held bow', jobBowMapping, heldBow],
    ['single bow', pieceMapping, piece],
    ['bow', bowMapping, { ...bow, brought: true, untold: ['rating'] }],
    ['item', itemMapping, anItem('sight', { electronics: true })],
    ['reading', readingMapping, reading],
  ] as [string, RowMapping<object>, object][])(
    '%s comes back as it went, every field',
    (_, mapping, record) => {
      expect(mapping.fromRow(mapping.toRow(record))).toEqual(record);
    },
  );
  test('through the tables too', () => {
    withJob();
    insertItem(db, anItem('sight', { electronics: true }));
    putPart(db, 'j1', 'sight', part);
    expect(archerById(db, 'a1')).toEqual(ARCHER);
    expect(jobById(db, 'j1')).toEqual(JOB);
    expect(bowById(db, 'test-31-r')).toEqual({ ...aBow(), brought: false, untold: [] });
    expect(itemById(db, 'sight-test')).toEqual(anItem('sight', { electronics: true }));
    const { jobId: _job, itemId: _item, ...rest } = part;
    expect(partsOf(db, 'j1')).toEqual([{ ...rest, item: anItem('sight', { electronics: true }) }]);
  });
  test('a yes or no that may also be open comes back as it went', () => {
    for (const loopCounts of [true, false, null])
      expect(jobMapping.fromRow(jobMapping.toRow({ ...JOB, loopCounts })).loopCounts).toBe(
        loopCounts,
      );
  });
  test('a field that is missing is a fault, never NULL in silence', () => {
    const { phone: _phone, ...without } = ARCHER;
    expect(() => insertArcher(db, without as Archer)).toThrow('archer.phone is missing');
  });
  test('a column the table does not have fails at once', () => {
    const wrong = new RowMapping<{ id: string; shoeSize: number }>('archer', {
      id: plain('id'),
      shoeSize: plain('shoeSize'),
    });
    expect(() => wrong.insert(db, { id: 'x', shoeSize: 44 })).toThrow('shoe_size');
  });
  test('unknown ids are null', () => {
    expect(archerById(db, 'x')).toBeNull();
    expect(jobById(db, 'x')).toBeNull();
    expect(bowById(db, 'x')).toBeNull();
    expect(itemById(db, 'x')).toBeNull();
  });
});

describe('jobs', () => {
  beforeEach(withJob);
  test('a version is taken once; the slower gets none', () => {
    expect(claimVersion(db, 'j1', 3)).toBe(true);
    expect(claimVersion(db, 'j1', 3)).toBe(false);
    expect(claimVersion(db, 'j1', 4)).toBe(true);
    expect(jobById(db, 'j1')!.version).toBe(5);
  });
  test('are listed promised first, those without a date last', () => {
    insertJob(db, { ...JOB, id: 'j2', number: 1008, promisedDay: null });
    insertJob(db, { ...JOB, id: 'j3', number: 1009, promisedDay: '2026-11-30' });
    expect(allJobs(db).map(({ id }) => id)).toEqual(['j3', 'j1', 'j2']);
  });
  test('ticket numbers count up', () => expect(nextJobNumber(db)).toBe(1008));
  test('updates change what they name and nothing else', () => {
    updateJob(db, { ...JOB, notes: 'other' });
    updateArcher(db, { ...ARCHER, minor: false });
    setPlace(db, 'j1', 'lane');
    expect(jobById(db, 'j1')).toEqual({ ...JOB, notes: 'other', place: 'lane' });
    expect(archerById(db, 'a1')).toEqual({ ...ARCHER, minor: false });
  });
  test('foreign keys hold', () => {
    expect(() => insertJob(db, { ...JOB, id: 'j9', number: 9, archerId: 'nobody' })).toThrow(
      'FOREIGN KEY',
    );
  });
  test('a slot holds one part', () => {
    const own: StoredPart = {
      jobId: 'j1',
      slot: 'rest',
      itemId: null,
      owned: true,
      label: 'a',
      priceCents: 0,
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    putPart(db, 'j1', 'rest', own);
    putPart(db, 'j1', 'rest', { ...own, label: 'b' });
    expect(partsOf(db, 'j1').map(({ label }) => label)).toEqual(['b']);
    putPart(db, 'j1', 'rest', null);
    expect(partsOf(db, 'j1')).toEqual([]);
  });
});

describe('readings', () => {
  beforeEach(withJob);
  const base: NewReading = {
    jobId: 'j1',
    bowId: 'test-31-r',
    key: 'peakWeight',
    si: 200,
    si2: 6,
    choice: null,
    entered: '45 lb',
    method: 'typed',
    who: 'T.',
    at: '2026-11-24T09:00:00.000Z',
    retracts: null,
    data: null,
    place: null,
  };
  test('are appended, the newest last, fit readings apart', () => {
    appendReading(db, base);
    appendReading(db, { ...base, si: 198 });
    appendReading(db, { ...base, bowId: null, key: 'armSpan', si: 1750, si2: null });
    const { readings, fitReadings } = readingsOf(db, 'j1', 'test-31-r');
    expect(readings.map(({ si }) => si)).toEqual([200, 198]);
    expect(fitReadings).toMatchObject([{ key: 'armSpan', si: 1750, entered: '45 lb' }]);
    expect(lastSeq(db, 'j1')).toBe(3);
    expect(lastSeq(db, 'nobody')).toBe(0);
  });
  test('never change and never go, whoever asks', () => {
    const seq = appendReading(db, base);
    expect(() => db.prepare('UPDATE reading SET si = 1 WHERE seq = ?').run(seq)).toThrow(
      'never changed',
    );
    expect(() => db.prepare('DELETE FROM reading WHERE seq = ?').run(seq)).toThrow('never removed');
  });
  test('an undo adds a retraction; the row stays', () => {
    const seq = appendReading(db, base);
    appendReading(db, { ...base, key: 'retraction', si: null, si2: null, retracts: seq });
    expect(readingsOf(db, 'j1', 'test-31-r').readings).toEqual([]);
    expect(db.prepare('SELECT count(*) FROM reading').pluck().get()).toBe(2);
  });
  test('of another bow do not count, and count again when it comes back', () => {
    insertBow(db, aBow({ id: 'other' }));
    appendReading(db, base);
    expect(readingsOf(db, 'j1', 'other').readings).toEqual([]);
    expect(readingsOf(db, 'j1', 'test-31-r').readings).toHaveLength(1);
  });
});

describe('events, signatures, cautions, sheets', () => {
  beforeEach(withJob);
  const at = '2026-11-24T09:00:00.000Z';
  const event = (version: number, summary: string, inverse: unknown = { do: 'x' }) =>
    addEvent(db, { jobId: 'j1', version, at, who: 'T.', stage: 'fit', summary, inverse });

  test('the newest entry that can be taken back is the one undone', () => {
    event(4, 'first');
    event(5, 'second');
    event(6, 'cannot', null);
    expect(undoable(db, 'j1')).toMatchObject({ summary: 'second', inverse: { do: 'x' } });
    markUndone(db, undoable(db, 'j1')!.id, undoable(db, 'j1')!.id, { do: 'x' });
    expect(undoable(db, 'j1')!.summary).toBe('first');
    markUndone(db, undoable(db, 'j1')!.id, undoable(db, 'j1')!.id, { do: 'x' });
    expect(undoable(db, 'j1')).toBeNull();
    expect(eventsOf(db, 'j1').map(({ canUndo }) => canUndo)).toEqual([false, false, false]);
  });
  test('what changed since a version', () => {
    event(4, 'a');
    event(5, 'b');
    expect(eventsSince(db, 'j1', 4).map(({ summary }) => summary)).toEqual(['b']);
  });
  test('a signature stands between the readings before and after it', () => {
    const id = addException(db, 'j1', { stepId: 'paper', reason: 'windy', who: 'T.', at, seq: 7 });
    expect(exceptionsOf(db, 'j1')).toEqual([
      { stepId: 'paper', reason: 'windy', who: 'T.', at, seq: 7.5 },
    ]);
    withdrawException(db, 'j1', id);
    expect(exceptionsOf(db, 'j1')).toEqual([]);
  });
  test('cautions are told once, and can be told again', () => {
    acknowledge(db, 'j1', 'dryFire', 'T.', at);
    acknowledge(db, 'j1', 'dryFire', 'T.', at);
    expect(acknowledgedOf(db, 'j1')).toEqual(['dryFire']);
    unacknowledge(db, 'j1', 'dryFire');
    expect(acknowledgedOf(db, 'j1')).toEqual([]);
  });
  test('a sheet is kept as made: newest first, never changed, never removed', () => {
    insertSheet(db, 'j1', { revision: 1, at, who: 'T.' }, { a: 1 });
    insertSheet(db, 'j1', { revision: 2, at, who: 'T.' }, { a: 2 });
    expect(sheetsOf(db, 'j1').map(({ revision }) => revision)).toEqual([2, 1]);
    expect(sheetDocument(db, 'j1', 1)).toEqual({ a: 1 });
    expect(sheetDocument(db, 'j1', 3)).toBeNull();
    expect(() => db.prepare("UPDATE sheet SET who = 'x'").run()).toThrow('never changed');
    expect(() => db.prepare('DELETE FROM sheet').run()).toThrow('never removed');
  });
});

describe('shop and stock', () => {
  test('a shop nobody has set yet has usable settings', () =>
    expect(shopSettings(db)).toEqual(NEW_SHOP));
  test('settings are kept whole and replaced whole', () => {
    const shop = {
      ...NEW_SHOP,
      name: 'Anders',
      loopCounts: true,
      units: METRIC_UNITS,
      lockAfterMin: 3,
    };
    saveShopSettings(db, NEW_SHOP);
    saveShopSettings(db, shop);
    expect(shopSettings(db)).toEqual(shop);
  });
  test('bows and items are listed in a steady order', () => {
    insertBow(db, aBow({ id: 'b', maker: 'Aaa' }));
    insertItem(db, anItem('sight', {}, { id: 'dear', priceCents: 500 }));
    insertItem(db, anItem('sight', {}, { id: 'cheap', priceCents: 100 }));
    insertItem(db, anItem('peep', {}, { id: 'p' }));
    expect(allBows(db).map(({ id }) => id)).toEqual(['b', 'test-31-r']);
    expect(allItems(db).map(({ id }) => id)).toEqual(['p', 'cheap', 'dear']);
  });
  test('impossible bows are refused by the table itself', () => {
    expect(() => insertBow(db, aBow({ id: 'x', minPeakN: 300 as never }))).toThrow('CHECK');
    expect(() => insertBow(db, aBow({ id: 'x', stock: -1 }))).toThrow('CHECK');
  });
});
