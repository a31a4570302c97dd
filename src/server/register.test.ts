import { HANDOVER_CAUTIONS } from '@/core/job';
import { aBow } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { leftBow } from '@/data/register';
import { insertBow } from '@/data/stock';
import { pretendNow } from './clock';
import { createJob, runCommand } from './commands';
import { loadSnapshot } from './load-snapshot';
import { registerFile, registerView } from './register';
import { problemOf } from './testing/problem-of';
import { todayView } from './today-view';
import { catalogueDb } from './testing/new-db';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ stock: 5 }));
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const later = (day: string) => pretendNow(new Date(`${day}T09:00:00Z`));

function send(jobId: string, command: object) {
  const { version } = loadSnapshot(jobId, db)!.job;
  return runCommand(jobId, { version, who: 'T', command }, db);
}

/** A bow with a rest that left, its number read off. */
function left(name: string, serial: string): string {
  const { id } = createJob({ who: 'T', archer: { name, phone: '0442 77' }, job: {} }, db).job;
  send(id, { name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
  send(id, {
    ...{ name: 'choosePart', slot: 'rest', itemId: 'rest-regenpfeifer' },
    ...{ owned: false, label: '' },
  });
  send(id, { name: 'takeReadings', readings: [{ key: 'serialNumber', entered: serial }] });
  send(id, { name: 'takeReadings', readings: [{ key: 'braceHeight', entered: '165 mm' }] });
  for (const { id: cautionId } of HANDOVER_CAUTIONS)
    send(id, { name: 'acknowledge', cautionId, yes: true });
  send(id, { name: 'handOver', openReason: 'a test' });
  return id;
}
const rows = (asked: Record<string, string> = {}) => registerView(asked, db).rows;
const names = (asked: Record<string, string> = {}) => rows(asked).map(({ name }) => name);

describe('the register of bows that left', () => {
  test('holds each with its number, sheets, visits, string, and when it is looked at next', () => {
    const jobId = left('Aino', 'W-100');
    expect(rows()).toEqual([
      {
        ...{
          jobId,
          number: 1001,
          name: 'Aino',
          guardian: '',
          bow: 'Testhav Probe 31',
          serial: 'W-100',
        },
        ...{ leftDay: '2026-11-24', inShop: false, sheets: 1, visits: 0, shots: 0, due: false },
        ...{ stringDay: '2026-11-24', checkDay: '2026-12-08' },
      },
    ]);
    later('2026-12-09');
    expect(rows({ show: 'due' })).toMatchObject([{ jobId, due: true }]);
    send(jobId, { name: 'openVisit', kind: 'string', words: '' });
    expect(rows()).toMatchObject([
      { inShop: true, visits: 1, stringDay: '2026-12-09', due: false, checkDay: null },
    ]);
    expect(rows({ show: 'due' })).toEqual([]);
    later('2026-12-10');
    send(jobId, { name: 'handOver', openReason: 'a test', toldAgain: ['look'] });
    expect(rows()).toMatchObject([{ inShop: false, sheets: 2, visits: 1, leftDay: '2026-12-10' }]);
  });

  test('what is not handed over, or was taken back at once, does not stand in it', () => {
    createJob({ who: 'T', archer: { name: 'Bea' }, job: {} }, db);
    const jobId = left('Cem', 'W-101');
    expect(names()).toEqual(['Cem']);
    later('2026-11-25');
    send(jobId, { name: 'takeBackHandover', reason: 'too early' });
    expect(names()).toEqual([]);
  });

  test('is found by name, number and ticket', () => {
    left('Aino', 'W-100');
    left('Cem', 'W-101');
    expect(names({ q: 'cem' })).toEqual(['Cem']);
    expect(names({ q: 'W-100' })).toEqual(['Aino']);
    expect(names({ q: '1002' })).toEqual(['Cem']);
    expect(names({ q: 'nobody' })).toEqual([]);
  });

  test('a recall finds every bow with a part, also in arrows built of it, and none it was taken off', () => {
    const one = left('Aino', 'W-100');
    left('Cem', 'W-101');
    expect(names({ part: 'rest-regenpfeifer' })).toEqual(['Cem', 'Aino']);
    expect(registerView({ q: 'regenpfeifer' }, db).parts).toMatchObject([
      { id: 'rest-regenpfeifer', count: 2 },
    ]);
    later('2026-12-09');
    send(one, { name: 'openVisit', kind: 'check', words: '' });
    send(one, {
      ...{ name: 'choosePart', slot: 'rest', itemId: null },
      ...{ owned: false, label: '' },
    });
    expect(names({ part: 'rest-regenpfeifer' })).toEqual(['Cem']);
    expect(names({ bow: 'test-31-r' })).toEqual(['Cem', 'Aino']);
    db.prepare(
      `INSERT INTO job_part (job_id, slot, owned, label, price_cents, build_json)
       VALUES (?, 'arrows', 0, 'built', 0, ?)`,
    ).run(one, JSON.stringify({ shaftId: 'shaft-a', nockId: 'nock-b', count: 12 }));
    expect(db.prepare('SELECT item_id FROM part_on_bow WHERE job_id = ?').pluck().all(one)).toEqual(
      ['nock-b', 'shaft-a'],
    );
    expect(problemOf(() => rows({ part: 'no-such' })).status).toBe(404);
    expect(problemOf(() => rows({ bow: 'no-such' })).status).toBe(404);
  });

  test('its file says the same, and no name in it is a formula', () => {
    left('=1+1', 'W-100');
    const [head, line] = registerFile({}, db).trim().split('\n');
    expect(head).toBe(
      'ticket,archer,guardian,telephone,email,bow,serial_number,left,in_the_shop,sheets,visits,string_since,shots,next_check',
    );
    expect(line).toContain("'=1+1");
    expect(line).toContain(',W-100,2026-11-24,no,1,0,2026-11-24,0,2026-12-08');
    expect(registerFile({ show: 'due' }, db).trim().split('\n')).toHaveLength(1);
  });
});

describe('whom the file says to call', () => {
  test.each([
    ['a minor: their guardian', true, '0151 9', '0151 9'],
    ['a minor whose guardian told no number: themselves', true, '', '0442 77'],
    ['a grown-up, whoever was their guardian: themselves', false, '0151 9', '0442 77'],
  ])('%s', (_, minor, guardianPhone, called) => {
    left('Aino', 'W-100');
    db.prepare('UPDATE archer SET minor = ?, guardian_name = ?, guardian_phone = ?').run(
      minor ? 1 : 0,
      'Femke',
      guardianPhone,
    );
    const [, line] = registerFile({}, db).trim().split('\n');
    expect(line!.split(',')[3]).toBe(called);
  });
});

describe('shots the archer tells', () => {
  test('bring the next look nearer, on Today too; what is told last counts; taken back it is as before', async () => {
    const jobId = left('Aino', 'W-100');
    later('2026-11-28');
    // 200 in 4 days: 300 after two more, worked by hand.
    const told = send(jobId, { name: 'reportShots', entered: 'about 200' });
    expect([told.job.comeBackDay, told.shotsSince]).toEqual(['2026-11-30', 200]);
    expect((await todayView(db)).comingBack).toMatchObject([{ day: '2026-11-30' }]);
    expect(send(jobId, { name: 'reportShots', entered: '40' }).job.comeBackDay).toBe('2026-12-08');
    send(jobId, { name: 'undo' });
    expect(loadSnapshot(jobId, db)).toMatchObject({
      shotsSince: 200,
      job: { comeBackDay: '2026-11-30' },
    });
    send(jobId, { name: 'redo' });
    expect(loadSnapshot(jobId, db)!.shotsSince).toBe(40);
  });

  test('are kept over a visit; none are told of a bow in the shop', () => {
    const jobId = left('Aino', 'W-100');
    later('2026-12-01');
    send(jobId, { name: 'reportShots', entered: '310' });
    expect(rows()).toMatchObject([{ due: true, shots: 310, checkDay: '2026-12-01' }]);
    send(jobId, { name: 'openVisit', kind: 'check', words: '' });
    expect(problemOf(() => send(jobId, { name: 'reportShots', entered: '5' })).reason).toBe(
      'not-delivered',
    );
    later('2026-12-02');
    send(jobId, { name: 'handOver', openReason: 'a test' });
    expect(leftBow(db, jobId)).toMatchObject({ shotsBefore: 310, shotsSince: 0 });
    expect(rows()).toMatchObject([{ due: false, shots: 310 }]);
  });

  test.each(['many', '-3', '2.5', '', '1000000'])('“%s” is no count', (entered) => {
    const jobId = left('Aino', 'W-100');
    later('2026-12-01');
    expect(problemOf(() => send(jobId, { name: 'reportShots', entered })).reason).toBe('no-count');
  });
});
