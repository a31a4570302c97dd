import { HANDOVER_CAUTIONS, openVisitOf, type JobSnapshot } from '@/core/job';
import type { SheetDocument } from '@/core/sheet';
import { aBow } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { sheetDocument } from '@/data/sheets';
import { bowById, insertBow, partById } from '@/data/stock';
import { pretendNow } from '../clock';
import { comeBackFile } from '../ics';
import { loadSnapshot } from '../load-snapshot';
import { problemOf } from '../testing/problem-of';
import { todayView } from '../today-view';
import { createJob, runCommand } from '.';
import { catalogueDb } from '../testing/new-db';

let db: Db;
let one: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ stock: 2 }));
  one = createJob({ who: 'T', archer: { name: 'Eins' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
  send({ name: 'choosePart', slot: 'rest', itemId: 'rest-regenpfeifer', owned: false, label: '' });
  send({ name: 'takeReadings', readings: [{ key: 'braceHeight', entered: '165 mm' }] });
  send({ name: 'takeReadings', readings: [{ key: 'axleToAxle', entered: '787 mm' }] });
  for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
  send({ name: 'handOver', openReason: 'a test' });
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const now = () => loadSnapshot(one.job.id, db)!;
function send(command: object) {
  return runCommand(one.job.id, { version: now().job.version, who: 'T', command }, db);
}
const later = (day: string) => pretendNow(new Date(`${day}T09:00:00Z`));
const sheet = (revision: number) => sheetDocument(db, one.job.id, revision) as SheetDocument;
const ticket = async () => (await todayView(db)).tickets.find(({ jobId }) => jobId === one.job.id)!;

describe('the second visit', () => {
  test('is asked for on Today and in the archer’s calendar', async () => {
    expect(now().job.comeBackDay).toBe('2026-12-08');
    expect((await todayView(db)).comingBack).toEqual([
      { day: '2026-12-08', name: 'Eins', jobId: one.job.id, why: 'visit' },
    ]);
    const file = comeBackFile(one.job.id, db)!;
    expect(file).toContain('DTSTART;VALUE=DATE:20261208');
    expect(file).toContain('DTEND;VALUE=DATE:20261209');
    expect(comeBackFile('nobody', db)).toBeNull();
  });
  test('opens with its list, lays nothing back on the shelf, ends with the next sheet and the next day', async () => {
    const stock = () => [bowById(db, 'test-31-r')!.stock, partById(db, 'rest-regenpfeifer')!.stock];
    const before = stock();
    later('2026-12-09');
    const open = send({ name: 'openVisit', kind: 'settled', words: ' the peep turned ' });
    expect(open.job).toMatchObject({ deliveredAt: null, comeBackDay: null, place: 'handover' });
    expect(open.job.visit).toMatchObject({
      kind: 'settled',
      words: 'the peep turned',
      keys: ['braceHeight', 'axleToAxle'],
    });
    expect(stock()).toEqual(before);
    expect(await ticket()).toMatchObject({ tag: 'back in the shop', next: '0 of 2 looked at' });
    expect((await todayView(db)).comingBack).toEqual([]);
    send({ name: 'confirmReadings', keys: ['braceHeight'] });
    send({ name: 'takeReadings', readings: [{ key: 'axleToAxle', entered: '785 mm' }] });
    expect(await ticket()).toMatchObject({ next: '2 of 2 looked at' });
    later('2026-12-10');
    const done = send({ name: 'handOver', openReason: 'still a test' });
    expect(done.job).toMatchObject({ comeBackDay: '2027-03-10' });
    expect(openVisitOf(done.job)).toBeNull();
    expect(stock()).toEqual(before);
    expect(sheet(2)).toMatchObject({
      visit: { kind: 'settled', words: 'the peep turned' },
      comeBackDay: '2027-03-10',
      since: {
        revision: 1,
        changes: [{ key: 'axleToAxle', from: '31 in', to: '30 7/8 in', within: true }],
      },
    });
    // Months away: told three weeks before.
    expect((await todayView(db)).comingBack).toEqual([]);
    later('2027-02-20');
    expect((await todayView(db)).comingBack).toMatchObject([{ day: '2027-03-10' }]);
  });
  test('other strings ask for what rests on them, and for the caution that speaks of them', () => {
    later('2026-12-09');
    const open = send({ name: 'openVisit', kind: 'string', words: '' });
    expect(open.readings.findLast(({ key }) => key === 'newString')).toBeDefined();
    expect(open.job.visit!.keys).toEqual(['braceHeight', 'axleToAxle']);
    later('2026-12-10');
    const refused = problemOf(() => send({ name: 'handOver', openReason: 'still a test' }));
    expect([refused.reason, now().sheets.length]).toEqual(['cautions-again', 1]);
    expect(
      send({ name: 'handOver', openReason: 'still a test', toldAgain: ['look'] }).sheets,
    ).toHaveLength(2);
  });
  test.each([
    ['module', 'newModule', ['look', 'drawSafely']],
    ['limb', 'newLimb', ['look', 'limbBolts']],
  ] as const)('another %s asks for what rests on it alone', (kind, key, again) => {
    later('2026-12-09');
    const open = send({ name: 'openVisit', kind, words: 'cracked' });
    expect(open.readings.findLast((reading) => reading.key === key)).toBeDefined();
    // Of what was taken here the brace height and the axles hang on limbs, on modules nothing.
    expect(open.job.visit!.keys).toEqual(kind === 'limb' ? ['braceHeight', 'axleToAxle'] : []);
    later('2026-12-10');
    const refused = problemOf(() => send({ name: 'handOver', openReason: 'still a test' }));
    expect(refused.reason).toBe('cautions-again');
    const toldAgain = [...again];
    send({ name: 'handOver', openReason: 'still a test', toldAgain });
    expect(sheet(2).visit).toEqual({ kind, words: 'cracked' });
  });
  test('a handover of a visit taken back is that visit again', () => {
    later('2026-12-09');
    send({ name: 'openVisit', kind: 'settled', words: '' });
    later('2026-12-10');
    send({ name: 'handOver', openReason: 'still a test' });
    later('2026-12-11');
    const back = send({ name: 'takeBackHandover', reason: 'too early' });
    expect(openVisitOf(back.job)).toMatchObject({ kind: 'settled' });
    expect(send({ name: 'handOver', openReason: 'still a test' }).job.comeBackDay).toBe(
      '2027-03-11',
    );
  });
  test('its promise of before is kept no more: it is not late', async () => {
    send({ name: 'takeBackHandover', reason: 'a test' });
    send({ name: 'setAnswers', job: { promisedDay: '2026-11-30' } });
    later('2026-12-01');
    expect(await ticket()).toMatchObject({ late: 'was promised earlier' });
    send({ name: 'handOver', openReason: 'still a test' });
    later('2026-12-09');
    send({ name: 'openVisit', kind: 'settled', words: '' });
    expect(await ticket()).toMatchObject({ promisedDay: null, late: null });
  });
  test('it may go as it came, with a reason; then it is asked for again soon', () => {
    later('2026-12-09');
    send({ name: 'openVisit', kind: 'check', words: '' });
    expect(problemOf(() => send({ name: 'closeVisit', reason: ' ' })).status).toBe(422);
    const closed = send({ name: 'closeVisit', reason: 'no time today' });
    expect(closed.job).toMatchObject({
      deliveredAt: '2026-12-09T09:00:00.000Z',
      comeBackDay: '2026-12-23',
    });
    expect(closed.sheets).toHaveLength(1);
    expect(problemOf(() => send({ name: 'closeVisit', reason: 'twice' })).reason).toBe('no-visit');
  });
  test('only a bow that was handed over comes back', () => {
    later('2026-12-09');
    send({ name: 'openVisit', kind: 'settled', words: '' });
    expect(problemOf(() => send({ name: 'openVisit', kind: 'settled', words: '' })).reason).toBe(
      'not-delivered',
    );
  });
});
