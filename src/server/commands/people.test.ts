import { aBow } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import type { Db } from '@/data/db';
import { insertBow } from '@/data/stock';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { todayView } from '../today-view';
import { changeShop, loadShop } from '../shop';
import { createJob, runCommand, wasSaved } from '.';
import { problemOf } from '../testing/problem-of';
import { newDb } from '../testing/new-db';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-26T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow());
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const job = (archer: object): JobSnapshot => createJob({ who: 'T', archer, job: {} }, db);
const send = ({ job: { id } }: JobSnapshot, command: object): JobSnapshot =>
  runCommand(id, { version: loadSnapshot(id, db)!.job.version, who: 'T', command }, db);
const answer = (to: JobSnapshot, archer: object) => send(to, { name: 'setAnswers', archer });
const read = (to: JobSnapshot, key: string, entered: string, choice?: string) =>
  send(to, { name: 'takeReadings', readings: [{ key, entered, ...(choice ? { choice } : {}) }] });

describe('a birth date', () => {
  test('says age and being of age, and goes on saying it as the years pass', () => {
    const one = job({ name: 'Kind', birthDay: '2010-12-01' });
    expect(one.archer).toMatchObject({ ageBand: '12to15', minor: true });
    pretendNow(new Date('2026-12-02T09:00:00Z'));
    expect(loadSnapshot(one.job.id, db)!.archer).toMatchObject({ ageBand: '16to59', minor: true });
    pretendNow(new Date('2028-12-02T09:00:00Z'));
    expect(loadSnapshot(one.job.id, db)!.archer).toMatchObject({ ageBand: '16to59', minor: false });
  });
  test.each([
    ['2026-11-27', 422],
    ['1900-01-01', 422],
    ['2026-02-30', 400],
    ['1813-01-01', 400],
    ['', 400],
  ])('%s is refused with its field, at once and later', (birthDay, status) => {
    const first = problemOf(() => job({ name: 'Kind', birthDay }));
    expect([first.status, first.more.errors![0]!.pointer]).toEqual([status, '/archer/birthDay']);
    const one = job({ name: 'Kind' });
    const later = problemOf(() => answer(one, { birthDay }));
    expect([later.status, later.more.errors![0]!.pointer]).toEqual([
      status,
      '/command/archer/birthDay',
    ]);
  });
  test('taken back, the age is as it was put down', () => {
    const one = job({ name: 'Kind', ageBand: 'from60' });
    answer(one, { birthDay: '2015-05-05' });
    expect(send(one, { name: 'undo' }).archer).toMatchObject({
      birthDay: null,
      ageBand: 'from60',
      minor: false,
    });
  });
});

describe('Today asks a growing archer back', () => {
  test('a quarter of a year after they were measured, by their newest job', async () => {
    const one = job({ name: 'Kind', birthDay: '2014-05-05' });
    read(one, 'armSpan', '60 in');
    const measures = async () =>
      (await todayView(db)).comingBack.filter(({ why }) => why === 'measure');
    expect(await measures()).toEqual([
      { name: 'Kind', jobId: one.job.id, day: '2027-02-25', why: 'measure' },
    ]);
    pretendNow(new Date('2026-12-10T09:00:00Z'));
    const two = createJob({ who: 'T', archerId: one.job.archerId, archer: {}, job: {} }, db);
    expect(await measures()).toEqual([]);
    read(two, 'armSpan', '60.5 in');
    expect(await measures()).toMatchObject([{ jobId: two.job.id, day: '2027-03-11' }]);
    // Whose newest ticket came to nothing is not written to.
    send(two, { name: 'closeTicket', reason: 'another sport' });
    expect(await measures()).toEqual([]);
    send(two, { name: 'undo' });
    expect(await measures()).toHaveLength(1);
  });
});

describe('an injury', () => {
  test('told in words is one, until it is said to be healed', () => {
    const one = job({ name: 'A', injury: 'left elbow' });
    expect(one.archer.injured).toBe('yes');
    expect(answer(one, { injured: 'healed' }).archer).toMatchObject({
      injured: 'healed',
      injury: 'left elbow',
    });
    expect(answer(one, { injury: 'left elbow, in May' }).archer.injured).toBe('healed');
  });
});

describe('the hand changed', () => {
  test('trials drawn with the other count no more; back again they do', () => {
    const one = job({ name: 'A', hand: 'right' });
    read(one, 'weightTrial', '40 lb', 'smooth');
    const left = answer(one, { hand: 'left' });
    expect(left.fitReadings.map(({ hand }) => hand)).toEqual(['right']);
    read(one, 'weightTrial', '30 lb', 'smooth');
    const now = loadSnapshot(one.job.id, db)!;
    expect(now.fitReadings.map(({ hand }) => hand)).toEqual(['right', 'left']);
  });
});

describe('a command with a key', () => {
  const key = 'entry-0001-abcd';
  test('sent twice counts once, whatever version it carries; asked for, it is there', () => {
    const one = job({ name: 'A' });
    const body = {
      version: 1,
      who: 'T',
      key,
      command: { name: 'takeReadings', readings: [{ key: 'armSpan', entered: '70 in' }] },
    };
    expect(wasSaved(one.job.id, key, db)).toMatchObject({ saved: false, event: null });
    runCommand(one.job.id, body, db);
    const again = runCommand(one.job.id, body, db);
    expect([again.fitReadings.length, again.job.version]).toEqual([1, 2]);
    expect(wasSaved(one.job.id, key, db)).toMatchObject({ saved: true, event: expect.any(Number) });
  });
  test('a refused one was not kept, and may be sent again', () => {
    const one = job({ name: 'A' });
    const body = (entered: string) => ({
      version: 1,
      who: 'T',
      key,
      command: { name: 'takeReadings', readings: [{ key: 'armSpan', entered }] },
    });
    problemOf(() => runCommand(one.job.id, body('nonsense'), db));
    expect(wasSaved(one.job.id, key, db)).toMatchObject({ saved: false, event: null });
    expect(runCommand(one.job.id, body('70 in'), db).fitReadings).toHaveLength(1);
  });
  test.each([null, '', 'x'.repeat(61)])('no key is asked for with %j', (wrong) => {
    const one = job({ name: 'A' });
    expect(problemOf(() => wasSaved(one.job.id, wrong, db)).status).toBe(400);
    expect(problemOf(() => wasSaved('none', key, db)).status).toBe(404);
  });
});

describe('settings changed in part', () => {
  test('leave the others as another screen made them', () => {
    changeShop({ name: 'Eins' }, db);
    changeShop({ loopCounts: true }, db);
    expect(loadShop(db)).toMatchObject({ name: 'Eins', loopCounts: true });
  });
  test.each([
    [{ nosuch: 1 }],
    [{ units: { length: 'ell' } }],
    [{ timeZone: 'Mars/Base' }],
    [[]],
    [null],
    ['x'],
  ])('%j is refused and nothing is kept', (body) => {
    const before = loadShop(db);
    expect(problemOf(() => changeShop(body, db)).status).toBe(400);
    expect(loadShop(db)).toEqual(before);
  });
});

describe('settings two screens change', () => {
  const seen = () => {
    const { name, address, closed, quote } = loadShop(db);
    return { name, address, closed, quote };
  };
  test('what only one of them changed stays, also within one field', () => {
    const both = seen();
    const { quote } = both;
    const [ann, bo] = [
      { day: '2026-12-24', name: 'Ann' },
      { day: '2026-12-31', name: 'Bo' },
    ];
    changeShop({ quote: { ...quote, taxPct: 7 }, closed: [ann], seen: both }, db);
    changeShop({ quote: { ...quote, validDays: 30 }, closed: [bo], seen: both }, db);
    expect(loadShop(db)).toMatchObject({
      quote: { ...quote, taxPct: 7, validDays: 30 },
      closed: [bo, ann],
    });
  });
  test('what both changed differently is refused and shown, and nothing of it is kept', () => {
    const both = seen();
    changeShop({ name: 'Eins', seen: both }, db);
    const problem = problemOf(() => changeShop({ name: 'Zwei', address: 'x', seen: both }, db));
    expect(problem).toMatchObject({
      status: 409,
      reason: 'changed-meanwhile',
      more: { clashes: [{ pointer: '/name', now: 'Eins' }] },
    });
    expect(problem.message).toContain('“Eins”');
    expect(loadShop(db)).toMatchObject({ name: 'Eins', address: both.address });
    changeShop({ name: 'Zwei', seen: { ...both, name: 'Eins' } }, db);
    expect(loadShop(db).name).toBe('Zwei');
  });
  test.each([[{ seen: 1 }], [{ seen: { nosuch: 1 } }], [{ name: 'A', seen: { name: 7 } }]])(
    '%j is refused',
    (body) => expect(problemOf(() => changeShop(body, db)).status).toBe(400),
  );
});

describe('an archer with two jobs', () => {
  const said = (one: JobSnapshot, archer: object, seen: object) =>
    runCommand(
      one.job.id,
      {
        version: loadSnapshot(one.job.id, db)!.job.version,
        who: 'M. Lindauer',
        command: { name: 'setAnswers', archer, seen },
      },
      db,
    );
  test('what the other job answered meanwhile is told, with who and when, not overwritten', () => {
    const one = job({ name: 'A' });
    const two = createJob({ who: 'T', archerId: one.job.archerId, archer: {}, job: {} }, db);
    said(two, { phone: '22' }, { phone: '' });
    const problem = problemOf(() =>
      said(one, { phone: '11', email: 'a@b.c' }, { phone: '', email: '' }),
    );
    expect(problem).toMatchObject({ status: 409, reason: 'archer-changed' });
    expect(problem.more.changed).toMatchObject([
      { who: 'M. Lindauer', summary: 'Answered: phone' },
    ]);
    expect((problem.more.snapshot as JobSnapshot).archer.phone).toBe('22');
    expect(loadSnapshot(one.job.id, db)!.archer).toMatchObject({ phone: '22', email: '' });
    // Another field, the same answer, or having seen it: no quarrel.
    said(one, { email: 'a@b.c' }, { email: '' });
    said(one, { phone: '22' }, { phone: '' });
    expect(said(one, { phone: '11' }, { phone: '22' }).archer.phone).toBe('11');
  });
});

describe('a new job with a key', () => {
  const body = (name: string, key: string) => ({ who: 'T', archer: { name }, job: {}, key });
  test('asked for twice, its answer having been lost, is one job and one archer', () => {
    const first = createJob(body('A', 'wish-0001'), db);
    expect(createJob(body('A', 'wish-0001'), db).job.id).toBe(first.job.id);
    expect(createJob(body('A', 'wish-0002'), db).job.number).toBe(first.job.number + 1);
  });
  test('a key too short is refused', () =>
    expect(problemOf(() => createJob(body('A', 'k'), db)).status).toBe(400));
});
