import type { Db } from '@/data/db';
import { allJobs, archerById, updateArcher } from '@/data/jobs';
import { touchedTimes } from '@/data/touched';
import { calendarView } from '@/server/calendar';
import { pretendNow } from '@/server/clock';
import { runCommand } from '@/server/commands';
import { registerView } from '@/server/register';
import { find } from '@/server/find';
import { loadSnapshot } from '@/server/load-snapshot';
import { openJobs } from '@/server/open-jobs';
import { changeShop } from '@/server/shop';
import { todayView } from '@/server/today-view';
import type { Command } from '@/contracts/commands';
import { seedHistory } from './history';
import { demoDb } from '@/server/testing/demo-db';

const NOW = new Date('2026-11-24T10:20:00+01:00');

let demo: Db;
let old: Db;
beforeAll(() => {
  pretendNow(NOW);
  demo = demoDb();
  old = demoDb();
  pretendNow(NOW);
  seedHistory(old, { delivered: 400, open: 3, seed: 5 });
}, 120_000);
beforeEach(() => pretendNow(NOW));
afterAll(() => {
  pretendNow(null);
  demo.close();
  old.close();
});

const jobIn = (db: Db, name: string) => loadSnapshot(find(name, db)[0]!.jobId, db)!;
const send = (db: Db, name: string, command: Command) => {
  const { job } = jobIn(db, name);
  runCommand(job.id, { version: job.version, who: 'T. Okoro', command }, db);
};

test('the same seed makes the same years, another one others', () => {
  const years = (seed: number) => {
    const db = demoDb();
    pretendNow(NOW);
    seedHistory(db, { delivered: 60, open: 3, seed });
    const names = allJobs(db).map(({ archerId }) => archerById(db, archerId)!.name);
    db.close();
    return names;
  };
  const [five, again, six] = [years(5), years(5), years(6)];
  expect(again).toEqual(five);
  expect(six).not.toEqual(five);
  expect(five).toHaveLength(allJobs(demo).length + 63);
});

describe('years of delivered bows', () => {
  test('Today holds the open jobs, the newest deliveries, and whoever is asked back these weeks', async () => {
    const [young, view] = [await todayView(demo), await todayView(old)];
    const open = view.tickets.filter(({ state }) => state !== 'delivered');
    expect(open).toHaveLength(
      young.tickets.filter(({ state }) => state !== 'delivered').length + 3,
    );
    const delivered = view.tickets.filter(({ state }) => state === 'delivered');
    expect(delivered).toHaveLength(6);
    const days = delivered.map(({ comeBackDay }) => comeBackDay!);
    expect(days).toEqual([...days].sort().reverse());
    // Six weeks of three a week, not 400.
    expect(view.comingBack.length).toBeLessThan(25);
    for (const { day, why } of view.comingBack)
      if (why === 'visit') expect(day >= '2026-10-24').toBe(true);
  });
  test('the calendar plans open jobs alone', async () => {
    const ids = (await calendarView(old)).input.jobs.map(({ id }) => id);
    const open = new Set((await openJobs(old)).jobs.map(({ snapshot }) => snapshot.job.id));
    expect(ids.every((id) => open.has(id))).toBe(true);
  });
  test('all stand on their page, fifty at a time, the newest first', () => {
    const first = registerView({}, old);
    expect(first).toMatchObject({ page: 1, pages: 9 });
    expect(first.rows).toHaveLength(50);
    const all = Array.from(
      { length: 9 },
      (_, i) => registerView({ page: String(i + 1) }, old).rows,
    ).flat();
    expect(all).toHaveLength(first.count);
    expect(new Set(all.map(({ jobId }) => jobId)).size).toBe(first.count);
    const days = all.map(({ leftDay }) => leftDay);
    expect(days).toEqual([...days].sort().reverse());
  });
  test.each([
    ['0', 1],
    ['-3', 1],
    ['two', 1],
    ['1e3', 1],
    ['10', 9],
    ['999999999999', 1],
  ])('page %s is page %i', (asked, page) =>
    expect(registerView({ page: asked }, old).page).toBe(page),
  );
});

describe('whoever is looked for is found', () => {
  const named = (query: string) => find(query, old).map(({ name }) => name);
  test('open ones before delivered ones, what is spelt as asked before what is close', () => {
    // History holds copies of nobody by this name.
    expect(named('Maarand')).toEqual(['Ilse Maarand']);
    expect(named('Marand')[0]).toBe('Ilse Maarand');
    expect(named('folkerts').every((name) => name.endsWith('Folkerts'))).toBe(true);
    expect(named('folkertz').every((name) => name.endsWith('Folkerts'))).toBe(true);
  });
  test.each([
    ['a first letter off', 'xlse', 'Ilse Maarand'],
    ['a middle letter off', 'ilxe', 'Ilse Maarand'],
    ['a last letter off', 'ilsx', 'Ilse Maarand'],
    ['a letter missing', 'maarnd', 'Ilse Maarand'],
    ['a letter too many', 'maarrand', 'Ilse Maarand'],
    ['two letters of a long name', 'maxrant', 'Ilse Maarand'],
    ['the beginning of a name, two letters', 'il ma', 'Ilse Maarand'],
  ])('%s: %s', (_, query, name) => expect(named(query)).toContain(name));
  test.each(['', '   ', '"', '" OR "', 'NEAR(', '*', 'xqzw', "'; DROP", '\u0000'])(
    '%j finds nobody and breaks nothing',
    (query) => expect(named(query)).toEqual([]),
  );
  test('by what was changed a moment ago', () => {
    const { archer } = jobIn(old, 'Ilse Maarand');
    updateArcher(old, { ...archer, name: 'Ilse Straumann', guardianName: 'Ürsel Kvist' });
    expect(named('maarand')).toEqual([]);
    expect(named('straumann')).toEqual(['Ilse Straumann']);
    expect(named('ursel kvist')).toEqual(['Ilse Straumann']);
    updateArcher(old, archer);
    expect(named('maarand')).toEqual(['Ilse Maarand']);
  });
  test('by the number of the bow a job holds', () => {
    send(old, 'Ove Lindqvist', {
      name: 'chooseBow',
      bowId: 'zeisig-27-r',
      serial: 'ZE-0071',
      reason: 'for a course',
    } as never);
    expect(find('ze-0071', old).map(({ name }) => name)).toEqual(['Ove Lindqvist']);
    send(old, 'Ove Lindqvist', { name: 'undo' } as never);
    expect(find('ze-0071', old)).toEqual([]);
  });
});

describe('what Today shows follows every change', () => {
  const ticket = async (name: string) =>
    (await todayView(demo)).tickets.find((one) => one.name.startsWith(name))!;
  test('a job that is left alone is read once', async () => {
    const [before, after] = [await openJobs(demo), await openJobs(demo)];
    before.jobs.forEach((job, i) => expect(after.jobs[i]).toBe(job));
  });
  test('a reading, an answer, a bow: of that job alone', async () => {
    const before = await openJobs(demo);
    const { job } = jobIn(demo, 'Noor');
    const times = touchedTimes(demo, job.id);
    send(demo, 'Noor', {
      name: 'takeReadings',
      readings: [{ key: 'armSpan', entered: '62 in' }],
    } as never);
    expect(touchedTimes(demo, job.id)).toBeGreaterThan(times);
    const after = await openJobs(demo);
    const same = before.jobs.filter((one, i) => after.jobs[i] === one);
    expect(same).toHaveLength(before.jobs.length - 1);
  });
  test('a promise moves the ticket', async () => {
    send(demo, 'Casimir', { name: 'setAnswers', job: { promisedDay: '2026-11-24' } } as never);
    expect((await ticket('Casimir')).promisedDay).toBe('2026-11-24');
  });
  test('an archer’s name, also where another job of theirs changed it', async () => {
    const { archer } = jobIn(demo, 'Casimir');
    updateArcher(demo, { ...archer, name: 'Casimir Dröger' });
    expect((await ticket('Casimir')).name).toBe('Casimir Dröger');
  });
  test('the shop’s settings, a bow’s name, a new day', async () => {
    const before = await openJobs(demo);
    changeShop({ loopCounts: true }, demo);
    const settings = await openJobs(demo);
    expect(settings.jobs[0]).not.toBe(before.jobs[0]);
    demo.prepare("UPDATE bow SET model = model || ' II'").run();
    expect((await ticket('Ilse')).about).toContain(' II');
    pretendNow(new Date('2026-11-25T10:20:00+01:00'));
    const tomorrow = await openJobs(demo);
    expect(tomorrow.jobs[0]!.snapshot.today).toBe('2026-11-25');
  });
});
