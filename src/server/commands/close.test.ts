import { aBow } from '@/core/testing/fixtures';
import { HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import { savePiece } from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import { longGone } from '@/data/erase';
import { openHeads } from '@/data/job-heads';
import { bowById, insertBow, partById } from '@/data/stock';
import { erase, knownArcher } from '../archers';
import { calendarView } from '../calendar';
import { pretendNow } from '../clock';
import { find } from '../find';
import { appointmentsFile } from '../ics';
import { loadSnapshot } from '../load-snapshot';
import { orders } from '../orders';
import { registerView } from '../register';
import { todayView } from '../today-view';
import { createJob, runCommand } from '.';
import { problemOf } from '../testing/problem-of';
import { catalogueDb } from '../testing/new-db';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ stock: 1, restMounts: ['plungerBolt', 'dovetail'], supplier: 'Nordufer' }));
});
afterEach(() => {
  db.close();
  pretendNow(null);
});

const BOW = 'test-31-r';
/** One lies in the shop, no more. */
const REST = 'rest-regenpfeifer';
const job = (name: string): JobSnapshot =>
  createJob(
    {
      who: 'T',
      archer: { name },
      job: { promisedDay: '2026-12-10', appointmentAt: '2026-11-26T09:00:00.000Z' },
    },
    db,
  );
const now = ({ job: { id } }: JobSnapshot) => loadSnapshot(id, db)!;
const send = (of: JobSnapshot, command: object): JobSnapshot =>
  runCommand(of.job.id, { version: now(of).job.version, who: 'T', command }, db);
const refusalOf = (of: JobSnapshot, command: object) => problemOf(() => send(of, command));
const takeBow = (to: JobSnapshot, more: object = {}) =>
  send(to, { name: 'chooseBow', bowId: BOW, reason: 'a test', ...more });
const putPart = (to: JobSnapshot, slot: string, itemId: string | null, more: object = {}) =>
  send(to, { name: 'choosePart', slot, itemId, owned: false, label: '', ...more });
const pay = (of: JobSnapshot, kind: string, entered: string) =>
  send(of, { name: 'notePayment', kind, way: 'cash', entered });
const close = (of: JobSnapshot, more: object = {}) =>
  send(of, { name: 'closeTicket', reason: 'she moved away', ...more });
const handOver = (of: JobSnapshot) => {
  for (const { id } of HANDOVER_CAUTIONS)
    send(of, { name: 'acknowledge', cautionId: id, yes: true });
  return send(of, { name: 'handOver', openReason: 'a test' });
};
const stock = () => [bowById(db, BOW)!.stock, partById(db, REST)!.stock];
/** Bow and rest, as another ticket finds them on the shelf: free to be put aside. */
function isFree(): boolean {
  const other = job('Nobody');
  try {
    takeBow(other, { fromStock: true });
    putPart(other, 'rest', REST, { fromStock: true });
    return true;
  } catch {
    return false;
  } finally {
    close(other, { ordered: 'calledOff' });
  }
}

describe('a ticket that came to nothing', () => {
  test('gives bow and parts back; what is theirs stays', () => {
    const one = job('Eins');
    takeBow(one, { fromStock: true });
    putPart(one, 'rest', REST, { fromStock: true });
    putPart(one, 'release', null, { owned: true, label: 'her own' });
    expect(isFree()).toBe(false);
    const before = stock();
    const closed = close(one);
    expect(closed.job).toMatchObject({
      bowId: null,
      closed: { at: '2026-11-24T09:00:00.000Z', who: 'T', why: 'she moved away' },
    });
    expect(closed.parts.map(({ slot }) => slot)).toEqual(['release']);
    expect(closed.events[0]!.summary).toBe('Ticket closed: she moved away');
    // Put aside is not gone: as many lie there as before.
    expect(stock()).toEqual(before);
    expect(isFree()).toBe(true);
  });

  test('no list asks for it; it is found, after those there is work to come of', async () => {
    const [one, two] = [job('Anna Eins'), job('Anna Zwei')];
    takeBow(one, { fromStock: true });
    close(one);
    expect(openHeads(db).map(({ name }) => name)).toEqual(['Anna Zwei']);
    expect(JSON.stringify(await todayView(db))).not.toContain('Anna Eins');
    expect(JSON.stringify(await calendarView(db))).not.toContain('Anna Eins');
    expect(appointmentsFile(null, db)).not.toContain('Anna Eins');
    expect(appointmentsFile(null, db)).toContain('Anna Zwei');
    expect(registerView({}, db).rows).toEqual([]);
    expect(find('Anna', db).map(({ name, about }) => [name, about])).toEqual([
      ['Anna Zwei', 'no bow yet'],
      ['Anna Eins', 'came to nothing'],
    ]);
    // A single letter looks through the open ones alone.
    expect(find('A', db).map(({ name }) => name)).toEqual(['Anna Zwei']);
    expect(knownArcher(one.archer.id, db).jobs[0]).toMatchObject({
      handedOverAt: null,
      closedAt: '2026-11-24T09:00:00.000Z',
    });
    expect(knownArcher(two.archer.id, db).jobs[0]!.closedAt).toBeNull();
  });

  test('what is on its way is asked for once, and stays for the shelf or was called off', () => {
    const [one, two] = [job('Eins'), job('Zwei')];
    takeBow(one);
    // The only one is put aside: this one is ordered.
    takeBow(two);
    send(two, { name: 'orderBow', state: 'ordered' });
    const asked = refusalOf(two, { name: 'closeTicket', reason: 'too dear' });
    expect([asked.reason, asked.message]).toEqual([
      'is-ordered',
      'Testhav Probe 31 is ordered. Does it come all the same, for the shelf, or was it called off?',
    ]);
    expect(now(two).job.closed).toBeNull();
    close(two, { ordered: 'keep' });
    expect(orders(db).filter(({ itemId }) => itemId === BOW)).toMatchObject([{ jobId: null }]);
  });

  test('called off, nothing comes', () => {
    const [one, two] = [job('Eins'), job('Zwei')];
    takeBow(one);
    takeBow(two);
    send(two, { name: 'orderBow', state: 'ordered' });
    close(two, { ordered: 'calledOff' });
    expect(orders(db)).toEqual([]);
  });

  test('money of it that is held is given back first', () => {
    const one = job('Eins');
    takeBow(one, { fromStock: true });
    pay(one, 'deposit', '120');
    expect(refusalOf(one, { name: 'closeTicket', reason: 'too dear' })).toMatchObject({
      reason: 'money-held',
      message: expect.stringContaining('120'),
    });
    pay(one, 'back', '120');
    expect(close(one).job.closed).not.toBeNull();
  });

  test('a handover that was taken back may have come to nothing; the bow lies in the shop again', () => {
    const one = job('Eins');
    takeBow(one, { fromStock: true });
    handOver(one);
    expect(bowById(db, BOW)!.stock).toBe(0);
    send(one, { name: 'takeBackHandover', reason: 'given back' });
    close(one);
    expect([bowById(db, BOW)!.stock, isFree()]).toEqual([1, true]);
  });

  test('needs a reason, and is no way out for a bow that left or is back on a visit', () => {
    const one = job('Eins');
    expect(refusalOf(one, { name: 'closeTicket', reason: '  x ' }).reason).toBe('no-reason');
    takeBow(one, { fromStock: true });
    handOver(one);
    const command = { name: 'closeTicket', reason: 'too dear' };
    expect(refusalOf(one, command).reason).toBe('with-archer');
    send(one, { name: 'openVisit', kind: 'check', words: '' });
    expect(refusalOf(one, command).reason).toBe('visit-open');
  });
});

describe('while it is closed', () => {
  test('nothing is entered, and nothing taken back but the closing itself', () => {
    const one = job('Eins');
    send(one, { name: 'setAnswers', job: { notes: 'quiet' } });
    const { events } = close(one);
    for (const command of [
      { name: 'setAnswers', job: { notes: 'loud' } },
      { name: 'chooseBow', bowId: BOW, reason: 'a test' },
      { name: 'closeTicket', reason: 'once more' },
      { name: 'undo', event: events[1]!.id },
      { name: 'redo' },
    ])
      expect(refusalOf(one, command)).toMatchObject({
        reason: 'closed',
        message: 'This ticket is closed. Open it again before anything is entered.',
      });
    expect(now(one).job.notes).toBe('quiet');
  });

  test('opened again as it stood it holds what it held', () => {
    const one = job('Eins');
    takeBow(one, { fromStock: true });
    putPart(one, 'rest', REST, { fromStock: true });
    const before = now(one);
    close(one);
    const after = send(one, { name: 'undo' });
    expect([after.job.closed, after.job.bowId]).toEqual([null, BOW]);
    expect(after.parts).toEqual(before.parts);
    expect(after.bowHeld).toEqual(before.bowHeld);
    expect(isFree()).toBe(false);
    // And closed again by bringing that again.
    expect(send(one, { name: 'redo' }).job.closed).toMatchObject({ why: 'she moved away' });
    expect(isFree()).toBe(true);
  });

  test('the bow with a number went to somebody else: it is said, and it opens without it', () => {
    savePiece(db, {
      serial: 'FJ-1',
      bowId: BOW,
      condition: 'used',
      priceCents: 30_000,
      note: '',
      leftWith: null,
    });
    const [one, two] = [job('Eins'), job('Zwei')];
    takeBow(one, { serial: 'FJ-1' });
    close(one);
    takeBow(two, { serial: 'FJ-1' });
    const refusal = refusalOf(one, { name: 'undo' });
    expect([refusal.reason, refusal.message]).toEqual([
      'just-taken',
      `Testhav Probe 31 no. FJ-1 was put aside for ticket ${two.job.number}. Take another one.`,
    ]);
    const open = send(one, { name: 'reopenTicket' });
    expect([open.job.closed, open.job.bowId, open.bow]).toEqual([null, null, null]);
    expect(refusalOf(one, { name: 'reopenTicket' }).reason).toBe('not-closed');
    expect(openHeads(db).map(({ name }) => name)).toEqual(['Eins', 'Zwei']);
  });
});

test('whoever has only closed tickets may be asked for after years, and is erased with the reason', () => {
  const one = job('Una Test');
  const gone = () => longGone(db, '2026-11-25', 10).map(({ name }) => name);
  expect(gone()).toEqual([]);
  close(one, { reason: 'her wrist, says Una Test' });
  expect(gone()).toEqual(['Una Test']);
  expect(longGone(db, '2026-11-24T08:59:00.000Z', 10)).toEqual([]);
  const by = { name: 'T', tablet: '', personId: 'okoro' } as unknown as Parameters<typeof erase>[0];
  erase(by, one.archer.id, { name: 'Una Test' }, db);
  const erased = now(one);
  expect(erased.job.closed).toMatchObject({ why: '' });
  expect(erased.events[1]!.summary).toBe('Ticket closed');
  expect(JSON.stringify(erased)).not.toContain('wrist');
});
