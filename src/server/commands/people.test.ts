import { aBow } from '@/core/__tests__/fixtures';
import type { JobSnapshot } from '@/core/job';
import { openDb, type Db } from '@/data/db';
import { insertBow } from '@/data/stock';
import { pretendNow } from '../clock';
import { Problem } from '../problem';
import { loadSnapshot } from '../snapshot';
import { todayView } from '../today';
import { createJob, runCommand } from '.';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-26T09:00:00Z'));
  db = openDb(':memory:');
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
const problemOf = (run: () => unknown): Problem => {
  try {
    run();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('It was not refused');
};

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
  test('a quarter of a year after they were measured, by their newest job', () => {
    const one = job({ name: 'Kind', birthDay: '2014-05-05' });
    read(one, 'armSpan', '60 in');
    const measures = () => todayView(db).comingBack.filter(({ why }) => why === 'measure');
    expect(measures()).toEqual([
      { name: 'Kind', jobId: one.job.id, day: '2027-02-25', why: 'measure' },
    ]);
    pretendNow(new Date('2026-12-10T09:00:00Z'));
    const two = createJob({ who: 'T', archerId: one.job.archerId, archer: {}, job: {} }, db);
    expect(measures()).toEqual([]);
    read(two, 'armSpan', '60.5 in');
    expect(measures()).toMatchObject([{ jobId: two.job.id, day: '2027-03-11' }]);
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
