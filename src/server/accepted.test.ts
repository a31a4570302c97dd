import { checker, isInstant } from '@/contracts/ajv';
import { CommandRequest } from '@/contracts/commands';
import { plannedDayFault } from '@/core/job';
import type { Db } from '@/data/db';
import { appointmentsFile } from './ics';
import { calendarView } from './calendar';
import { pretendNow } from './clock';
import { createJob, runCommand } from './commands';
import { find } from './find';
import { Problem } from './problem';
import { todayView } from './today-view';
import { demoDb } from './testing/demo-db';
import { newDb } from './testing/new-db';

const faultOf = (run: () => unknown): string[] => {
  try {
    run();
  } catch (error) {
    if (error instanceof Problem)
      return [...new Set((error.more.errors ?? []).map(({ pointer }) => pointer))];
    throw error;
  }
  return [];
};

let db: Db;
const NOW = new Date('2026-11-24T10:20:00+01:00');
beforeEach(() => {
  db = newDb();
  pretendNow(NOW);
});
afterAll(() => pretendNow(null));

describe('an instant', () => {
  test.each([
    '2026-11-24T10:20:00+01:00',
    '2026-11-24T10:20Z',
    '2026-12-31T23:59:59.999Z',
    '2028-02-29T08:00:00Z',
  ])('%s is one', (text) => expect(isInstant(text)).toBe(true));
  test.each([
    '2026-11-24T23:59:60Z',
    '2026-11-24T10:20:00+01',
    '2026-11-24T24:30:00Z',
    '2026-02-30T10:00:00Z',
    '2027-02-29T10:00:00Z',
    '2026-11-24T10:20:00',
    '2026-11-24 10:20:00Z',
    '2026-11-24T10:20:00+25:00',
    '2026-13-01T10:20:00Z',
    'tomorrow',
    '',
  ])('%s is none', (text) => expect(isInstant(text)).toBe(false));
});

describe('days are planned between today and two years', () => {
  test.each([
    ['2026-11-23', 'past'],
    ['2026-11-24', null],
    ['2028-11-24', null],
    ['2028-11-25', 'far'],
    ['2062-12-04', 'far'],
  ])('%s: %s', (day, fault) => expect(plannedDayFault(day, '2026-11-24')).toBe(fault));

  test.each([
    [{ promisedDay: '2062-12-04' }, '/promisedDay'],
    [{ promisedDay: '2099-01-01' }, '/promisedDay'],
    [{ promisedDay: '2026-11-23' }, '/promisedDay'],
    [{ promisedDay: '2026-11-31' }, '/promisedDay'],
    [{ appointmentAt: '2026-11-24T23:59:60Z' }, '/appointmentAt'],
    [{ appointmentAt: '2026-11-26T09:00:00+01' }, '/appointmentAt'],
    [{ appointmentAt: '2031-11-26T09:00:00Z' }, '/appointmentAt'],
    [{ appointmentAt: '2026-11-22T09:00:00Z' }, '/appointmentAt'],
  ])('%j is refused with its field, in a new job and in one that is open', async (job, field) => {
    const archer = { name: 'Runa Vik' };
    expect(faultOf(() => createJob({ who: 'T', archer, job }, db))).toEqual([`/job${field}`]);
    const open = createJob({ who: 'T', archer, job: {} }, db);
    const command = { name: 'setAnswers', job };
    const body = { who: 'T', version: open.job.version, command };
    expect(faultOf(() => runCommand(open.job.id, body, db))).toEqual([`/command/job${field}`]);
    // Nothing half-saved: neither the refused job nor the refused answer.
    expect((await todayView(db)).tickets).toHaveLength(1);
    expect((await todayView(db)).tickets[0]!.promisedDay).toBeNull();
  });
});

describe('who it is', () => {
  test('an empty id is nobody: the second customer does not become the first', async () => {
    const body = (name: string) => ({ who: 'T', archerId: '', archer: { name }, job: {} });
    expect(faultOf(() => createJob(body('Runa Vik'), db))).toEqual(['/archerId']);
    expect((await todayView(db)).tickets).toEqual([]);
  });
  test('answers beside a known archer are refused by name, not dropped', () => {
    const { archer } = createJob({ who: 'T', archer: { name: 'Runa Vik' }, job: {} }, db);
    const again = { who: 'T', archerId: archer.id, job: {} };
    expect(
      faultOf(() => createJob({ ...again, archer: { phone: '0421 55', hand: 'left' } }, db)),
    ).toEqual(['/archer/phone', '/archer/hand']);
    expect(createJob({ ...again, archer: {} }, db).archer).toEqual(archer);
  });
  test.each([
    { name: 'chooseBow', bowId: '' },
    { name: 'choosePart', slot: 'rest', itemId: '', owned: false, label: '' },
    { name: 'startDrawOff', bowIds: ['a', ''] },
    { name: 'markDrawOff', aspect: 'grip', first: '', second: 'b', better: null },
  ])('no command names an empty id: $name', (command) => {
    const answer = checker(CommandRequest)({ who: 'T', version: 1, command });
    expect(answer.ok).toBe(false);
  });
});

describe('one job that cannot be read', () => {
  const shop = async () => {
    db = demoDb();
    pretendNow(NOW);
    return todayView(db);
  };
  test.each([
    ['a record that is no JSON', "UPDATE job SET kit_wishes_json = '{' WHERE id = ?"],
    ['a record of another shape', "UPDATE job SET arrows_json = '7' WHERE id = ?"],
    [
      'an appointment of an earlier version',
      "UPDATE job SET appointment_at = '2026-11-26T09:00:00+01' WHERE id = ?",
    ],
  ])('%s: the others stand on Today, in the calendar and in find', async (_, sql) => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const before = await shop();
    const broken = before.tickets.find(({ name }) => name.startsWith('Ilse'))!;
    // A disk does not ask the schema.
    db.pragma('ignore_check_constraints = ON');
    db.prepare(sql).run(broken.jobId);
    const after = await todayView(db);
    expect(after.unreadable).toEqual([
      { jobId: broken.jobId, number: broken.number, name: broken.name },
    ]);
    expect(after.tickets.map(({ jobId }) => jobId)).toEqual(
      before.tickets.map(({ jobId }) => jobId).filter((id) => id !== broken.jobId),
    );
    expect((await calendarView(db)).plan.visits.length).toBeGreaterThan(0);
    expect(find('Casimir', db)).toHaveLength(1);
    expect(appointmentsFile(null, db)).toContain('END:VCALENDAR');
  });
});
