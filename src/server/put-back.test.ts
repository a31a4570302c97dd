/** @jest-environment node */
import { mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { By } from '@/core/people';
import { aBow } from '@/core/testing/fixtures';
import { auditPage } from '@/data/audit';
import { checkFile } from '@/data/backup';
import { openDb, openReader, type Db } from '@/data/db';
import { archerById, jobById } from '@/data/jobs';
import { migrate } from '@/data/migrate';
import { insertPerson, peopleOf, saveSecret } from '@/data/people';
import { layOver, makeReady } from '@/data/put-back';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { insertBow } from '@/data/stock';
import { beginSession, insertTablet, sendAway, tabletsOf } from '@/data/tablets';
import { erase } from './archers';
import { backupState, backUp } from './backups';
import { pretendNow } from './clock';
import { createJob, runCommand } from './commands';
import { loadSnapshot } from './load-snapshot';
import { openJobs } from './open-jobs';
import { lookAtBackup, putBack } from './put-back';
import { isResting } from './resting';
import { problemComing, problemOf } from './testing/problem-of';

const held = globalThis as typeof globalThis & { waffenradDb?: Db };
const by: By = { name: 'T. Okoro', role: 'owner', rights: ['restore'], tablet: 'Counter' };
let folder: string;
let db: Db;
let minute = 0;
/** Every backup is of another minute. */
const later = () => pretendNow(new Date(Date.UTC(2026, 10, 24, 9, minute++)));
const backups = () => join(folder, 'backups');

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'waffenrad-put-back-'));
  process.env.WAFFENRAD_DB = join(folder, 'shop.sqlite');
  process.env.WAFFENRAD_BACKUPS = backups();
  minute = 0;
  later();
  db = openDb(process.env.WAFFENRAD_DB);
  held.waffenradDb = db;
  insertBow(db, aBow({ stock: 5 }));
  insertPerson(db, { id: 'o', name: 'T. Okoro', role: 'owner', atBench: true, sinceAt: 'x' });
  for (const [id, name] of [
    ['t1', 'Counter'],
    ['t2', 'Lane'],
  ] as const)
    insertTablet(db, {
      ...{ id, name, token: `token-${id}`, pairedBy: 'T. Okoro' },
      ...{ pairedAt: 'x', seenAt: 'x' },
    });
});
afterEach(() => {
  db.close();
  delete held.waffenradDb;
  delete process.env.WAFFENRAD_DB;
  delete process.env.WAFFENRAD_BACKUPS;
  pretendNow(null);
  rmSync(folder, { recursive: true, force: true });
});

const open = (name: string) => createJob({ who: 'T. Okoro', archer: { name }, job: {} }, db).job.id;
function brace(jobId: string, entered: string, version = jobById(db, jobId)!.version) {
  const command = { name: 'takeReadings', readings: [{ key: 'braceHeight', entered }] };
  return runCommand(jobId, { version, who: 'T. Okoro', command }, db);
}
function withBow(name: string): string {
  const id = open(name);
  const command = { name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' };
  runCommand(id, { version: 1, who: 'T. Okoro', command }, db);
  return id;
}
async function backedUp(): Promise<string> {
  later();
  const { newest } = await backUp(db);
  later();
  return newest!.name;
}
const braces = (jobId: string) =>
  loadSnapshot(jobId, db)!
    .readings.filter(({ key }) => key === 'braceHeight')
    .map(({ entered }) => entered);
/** As the page does it: looked at, then done. */
async function back(name: string) {
  const { since } = await lookAtBackup(name);
  later();
  return putBack(by, name, { entriesSince: since.entries });
}

test('the shop stands as it stood, for everybody who has it open; what stood there can be put back too', async () => {
  const noor = withBow('Noor');
  brace(noor, '6 1/2 in');
  const night = await backedUp();
  saveShopSettings(db, { ...shopSettings(db), name: 'Another name' });
  brace(noor, '7 in');
  const ove = withBow('Ove');
  const reader = openReader(process.env.WAFFENRAD_DB!);
  expect(jobById(reader, ove)).not.toBeNull();

  // Two entries opened and chose, one measured.
  expect((await lookAtBackup(night)).since).toEqual({ entries: 3, jobs: 2 });
  const { kept } = await back(night);

  expect(braces(noor)).toEqual(['6 1/2 in']);
  expect(jobById(db, ove)).toBeNull();
  expect(jobById(reader, ove)).toBeNull();
  expect(shopSettings(db).name).not.toBe('Another name');
  expect(checkFile(process.env.WAFFENRAD_DB!).faults).toEqual([]);
  expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
  expect(readdirSync(folder).sort()).toEqual([
    ...['backups', 'shop.sqlite', 'shop.sqlite-shm', 'shop.sqlite-wal'],
  ]);
  reader.close();

  await back(kept);
  expect(braces(noor)).toEqual(['6 1/2 in', '7 in']);
  expect(jobById(db, ove)).not.toBeNull();
  expect(shopSettings(db).name).toBe('Another name');
});

test('a tablet that knows what was taken back is refused, and told what became of it', async () => {
  const noor = withBow('Noor');
  const untouched = withBow('Ove');
  const night = await backedUp();
  brace(noor, '7 in');
  const seen = loadSnapshot(noor, db)!;
  const { version } = jobById(db, untouched)!;
  await back(night);
  const refused = problemOf(() => brace(noor, '8 in', seen.job.version));
  expect(refused.status).toBe(409);
  const { snapshot, changed } = refused.more as unknown as {
    snapshot: typeof seen;
    changed: { summary: string; who: string }[];
  };
  expect(snapshot.job.version).toBeGreaterThan(seen.job.version);
  expect(changed).toMatchObject([
    { summary: 'Put back as it stood in the backup of 2026-11-24 10:01', who: 'T. Okoro' },
  ]);
  // A job that is as it was is worked on as if nothing had been.
  expect(jobById(db, untouched)!.version).toBe(version);
  const { readings } = brace(noor, '8 in', snapshot.job.version);
  expect(
    Math.min(...readings.filter(({ key }) => key === 'braceHeight').map(({ seq }) => seq)),
  ).toBeGreaterThan(Math.max(...seen.readings.map(({ seq }) => seq)));
});

test('put back in the second it was made in, it is not written over', async () => {
  const noor = withBow('Noor');
  const { newest } = await backUp(db);
  brace(noor, '7 in');
  const { kept } = await putBack(by, newest!.name, { entriesSince: 1 });
  expect(kept).not.toBe(newest!.name);
  expect(braces(noor)).toEqual([]);
  await back(kept);
  expect(braces(noor)).toEqual(['7 in']);
});

test('a backup of a clock that was wrong does not stand in its way', async () => {
  const noor = withBow('Noor');
  const night = await backedUp();
  pretendNow(new Date('2027-01-01T09:00:00Z'));
  await backUp(db);
  later();
  brace(noor, '7 in');
  const { kept } = await back(night);
  expect(kept).toMatch(/^waffenrad-2026-11-24/);
  expect(braces(noor)).toEqual([]);
});

test('what Today shows is read anew', async () => {
  const noor = open('Noor');
  const night = await backedUp();
  const { version } = jobById(db, noor)!;
  const command = { name: 'setAnswers', job: { notes: 'afterwards' } };
  runCommand(noor, { version, who: 'T. Okoro', command }, db);
  const notes = async () => (await openJobs(db)).jobs.map(({ snapshot }) => snapshot.job.notes);
  expect(await notes()).toEqual(['afterwards']);
  await back(night);
  expect(await notes()).toEqual(['']);
});

test('who may do what stays as it is now: nobody who was sent away comes back, nobody signs in anew', async () => {
  insertPerson(db, { id: 'l', name: 'Jan', role: 'learner', atBench: true, sinceAt: 'x' });
  const night = await backedUp();
  sendAway(db, 't2', '2026-11-24T09:30:00.000Z');
  insertTablet(db, {
    ...{ id: 't3', name: 'New', token: 'token-t3', pairedBy: 'T. Okoro' },
    ...{ pairedAt: 'x', seenAt: 'x' },
  });
  db.prepare("UPDATE person SET left_at = '2026-11-24', name = 'Jan H.' WHERE id = 'l'").run();
  saveSecret(db, 'o', 'another hash');
  beginSession(db, {
    ...{ hash: 'session', mark: 'mark', tabletId: 't3', personId: 'o' },
    at: '2026-11-24T09:31:00.000Z',
  });
  await back(night);
  expect(
    tabletsOf(db)
      .map(({ name, sentAwayAt }) => `${name} ${sentAwayAt ? 'away' : 'here'}`)
      .sort(),
  ).toEqual([...['Counter here', 'Lane away', 'New here']]);
  expect(peopleOf(db, { left: true }).map(({ name, leftAt }) => `${name} ${leftAt}`)).toEqual([
    ...['T. Okoro null', 'Jan H. 2026-11-24'],
  ]);
  const one = (sql: string) => db.prepare(sql).pluck().get();
  expect(one("SELECT secret_hash FROM person WHERE id = 'o'")).toBe('another hash');
  expect(one('SELECT count(*) FROM session')).toBe(1);
  expect(one('SELECT count(*) FROM maker')).toBe(1);
});

test('what was done stays written, also what was taken back by it', async () => {
  const noor = withBow('Noor');
  const night = await backedUp();
  brace(noor, '7 in');
  await back(night);
  const query = { words: '', who: '', tablet: '', kind: '', before: null } as const;
  const lines = auditPage(db, query, 20).lines.map(({ what, job }) => `${what}${job ? ' *' : ''}`);
  expect(lines).toEqual([
    'Backup of 2026-11-24 10:01 put back; what stood there is kept as waffenrad-2026-11-24T090300Z.sqlite',
    'Put back as it stood in the backup of 2026-11-24 10:01 *',
    'Brace height: 7 in',
    expect.stringContaining(' *'),
    expect.stringContaining(' *'),
  ]);
});

test('who was erased since the backup was made is not brought back', async () => {
  const { id, archerId } = createJob(
    { who: 'T. Okoro', archer: { name: 'Noor Abeling', phone: '0442 778899' }, job: {} },
    db,
  ).job;
  const night = await backedUp();
  erase({ ...by, rights: ['erase'] }, archerId, { name: 'Noor Abeling' }, db);
  brace(withBow('Ove'), '7 in');
  await back(night);
  expect(archerById(db, archerId)).toMatchObject({ name: 'erased', phone: '' });
  expect(jobById(db, id)).not.toBeNull();
  db.pragma('wal_checkpoint(TRUNCATE)');
  const bytes = new Database(process.env.WAFFENRAD_DB!).serialize().toString('latin1');
  expect(bytes).not.toContain('Abeling');
  expect(bytes).not.toContain('778899');
});

test('more entered since it was looked at: asked again, and nothing is changed', async () => {
  const noor = withBow('Noor');
  const night = await backedUp();
  brace(noor, '7 in');
  const problem = await problemComing(() => putBack(by, night, { entriesSince: 0 }));
  expect(problem).toMatchObject({ status: 409, reason: 'more-since' });
  expect(braces(noor)).toEqual(['7 in']);
  expect(backupState().count).toBe(1);
  expect(isResting()).toBe(false);
});

test.each<[string, (path: string) => void]>([
  ['cut off', (path) => truncateSync(path, 20_000)],
  ['no database', (path) => writeFileSync(path, 'a list of bolts')],
  [
    'of a newer program',
    (path) => {
      const other = new Database(path);
      other.pragma('user_version = 9000');
      other.close();
    },
  ],
])('a backup that is %s is refused, and the shop goes on', async (_, spoil) => {
  const noor = withBow('Noor');
  const night = await backedUp();
  brace(noor, '7 in');
  spoil(join(backups(), night));
  const problem = await problemComing(() => back(night));
  expect(problem).toMatchObject({ status: 422, reason: 'backup-not-whole' });
  expect(braces(noor)).toEqual(['7 in']);
  brace(noor, '7 1/4 in');
  expect(isResting()).toBe(false);
  expect(readdirSync(folder).filter((name) => name.includes('coming'))).toEqual([]);
});

test.each(['', '../shop.sqlite', 'waffenrad-2026-11-24T000000Z.sqlite', 'x'.repeat(5000)])(
  'a backup that is not there: %#',
  async (name) => {
    expect((await problemComing(() => putBack(by, name, { entriesSince: 0 }))).status).toBe(404);
    expect((await problemComing(async () => lookAtBackup(name))).status).toBe(404);
  },
);

test.each([
  null,
  [],
  {},
  { entriesSince: -1 },
  { entriesSince: 1.5 },
  { entriesSince: 0, force: true },
])('a body that says nothing of it: %j', async (body) => {
  const night = await backedUp();
  expect((await problemComing(() => putBack(by, night, body))).status).toBe(400);
});

test('a backup of an older program is brought up to date before', async () => {
  const [old, coming] = ['old.sqlite', 'coming.sqlite'].map((name) => join(folder, name));
  const before = new Database(old!);
  migrate(before, undefined, undefined, 30);
  before.close();
  const newest = checkFile(process.env.WAFFENRAD_DB!).version;
  makeReady(old!, process.env.WAFFENRAD_DB!, coming!, {
    ...{ at: '2026-11-24T09:00:00.000Z', who: 'T. Okoro', tablet: 'Counter', summary: 'Put back' },
  });
  expect(checkFile(coming!)).toMatchObject({ ok: true, version: newest });
  await layOver(coming!, process.env.WAFFENRAD_DB!);
  expect(checkFile(process.env.WAFFENRAD_DB!)).toMatchObject({ ok: true, version: newest });
});
