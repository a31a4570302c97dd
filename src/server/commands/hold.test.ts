import { demoCatalogue } from '../../../demo/load-csv';
import { aBow } from '@/core/testing/fixtures';
import { HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import type { ArrowChoice } from '@/core/kit';
import { bowLine, type SheetDocument } from '@/core/sheet';
import { mm } from '@/core/units';
import { pieceBySerial, savePiece } from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import { sheetDocument } from '@/data/sheets';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { bowById, insertBow, partById } from '@/data/stock';
import { bringBack, forgetSingleBow, saveSingleBow, singleBows } from '../bow-pieces';
import { calendarView } from '../calendar';
import { pretendNow } from '../clock';
import { orders, ordersFile, settleShelfOrder } from '../orders';
import { loadSnapshot } from '../load-snapshot';
import { bowsFor } from '../stock';
import { todayView } from '../today-view';
import { createJob, runCommand } from '.';
import { historyPage } from '../history';
import { problemOf } from '../testing/problem-of';
import { catalogueDb } from '../testing/new-db';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ stock: 1, restMounts: ['plungerBolt', 'dovetail'], supplier: 'Nordufer' }));
  insertBow(db, aBow({ id: 'other', model: 'Other', stock: 3 }));
});
afterEach(() => {
  db.close();
  pretendNow(null);
});

const BOW = 'test-31-r';
const job = (name: string): JobSnapshot =>
  createJob({ who: 'T', archer: { name }, job: { promisedDay: '2026-12-10' } }, db);
const send = ({ job: { id } }: JobSnapshot, command: object): JobSnapshot =>
  runCommand(id, { version: loadSnapshot(id, db)!.job.version, who: 'T', command }, db);
const takeBow = (to: JobSnapshot, more: object = {}) =>
  send(to, { name: 'chooseBow', bowId: BOW, reason: 'a test', ...more });
const putPart = (to: JobSnapshot, slot: string, itemId: string | null, more: object = {}) =>
  send(to, { name: 'choosePart', slot, itemId, owned: false, label: '', ...more });
const stockOf = (id: string) => partById(db, id)!.stock;
const bows = () => bowById(db, BOW)!.stock;
const free = (of: JobSnapshot) =>
  bowsFor(of.job.id, db).find(({ bow, piece }) => bow.id === BOW && !piece)!.bow.stock;
const held = (of: JobSnapshot) => loadSnapshot(of.job.id, db)!.bowHeld;
const handOver = (of: JobSnapshot) => {
  for (const { id } of HANDOVER_CAUTIONS)
    send(of, { name: 'acknowledge', cautionId: id, yes: true });
  return send(of, { name: 'handOver', openReason: 'a test of the shelf' });
};

describe('a bow in the shop', () => {
  test('is put aside by the first; the second sees none free, and is told when it looked too late', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first, { fromStock: true });
    expect([free(first), free(second)]).toEqual([1, 0]);
    const problem = problemOf(() => takeBow(second, { fromStock: true }));
    expect([problem.status, problem.reason]).toEqual([422, 'just-taken']);
    expect(problem.message).toContain(`put aside for ticket ${first.job.number}`);
    expect(problem.message).toContain('comes in 9 days');
    expect(loadSnapshot(second.job.id, db)!.bow).toBeNull();
  });

  test('that is not there is ordered: in the orders, arriving, in the calendar', async () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first);
    takeBow(second);
    expect(held(second)).toMatchObject({ arrivesDay: '2026-12-03', orderedAt: null });
    expect(orders(db)).toMatchObject([
      { slot: 'bow', archer: 'Zwei', supplier: 'Nordufer', arrivesDay: '2026-12-03' },
    ]);
    expect(ordersFile(db)).toContain(`Nordufer,${BOW},`);
    pretendNow(new Date('2026-11-26T09:00:00Z'));
    send(second, { name: 'orderBow', state: 'ordered' });
    expect(held(second)).toMatchObject({ arrivesDay: '2026-12-05' });
    expect((await todayView(db)).arriving).toMatchObject([{ day: '2026-12-05', name: 'Zwei' }]);
    const ticket = (await todayView(db)).tickets.find(({ name }) => name === 'Zwei')!;
    expect([ticket.tag, ticket.nextDay]).toEqual(['waits for the bow', '2026-12-05']);
    putPart(second, 'rest', 'rest-regenpfeifer');
    const visits = (await calendarView(db)).input.jobs.find(({ name }) => name === 'Zwei')!.visits;
    // Nine days from 26 November: nothing of it before minute 9 · 1440.
    expect(Math.min(...visits.map(({ release }) => release ?? 0))).toBeGreaterThanOrEqual(9 * 1440);
    send(second, { name: 'orderBow', state: 'arrived' });
    expect(held(second)).toMatchObject({ arrivesDay: '2026-11-26' });
    expect(problemOf(() => send(first, { name: 'orderBow', state: 'ordered' })).reason).toBe(
      'nothing-to-order',
    );
  });

  test('put back it is free; taken back after somebody else took it, it has to be ordered', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first);
    send(first, { name: 'chooseBow', bowId: null });
    takeBow(second, { fromStock: true });
    send(first, { name: 'undo' });
    expect(held(second)).toMatchObject({ arrivesDay: null });
    expect(held(first)).toMatchObject({ arrivesDay: '2026-12-03' });
    send(first, { name: 'redo' });
    expect(loadSnapshot(first.job.id, db)!.bow).toBeNull();
  });

  test('keeps the price it was taken for', () => {
    const one = job('Eins');
    takeBow(one);
    db.prepare('UPDATE bow SET price_cents = 99900').run();
    expect(loadSnapshot(one.job.id, db)!.bow!.priceCents).toBe(89900);
  });
});

describe('single bows', () => {
  const cells = (more: object = {}) => ({
    serial: 'FJ-1',
    condition: 'used',
    price_eur: '520',
    note: 'limbs new in May',
    ...more,
  });
  const save = (more: object = {}, seen?: object) =>
    saveSingleBow('FJ-1', { bowId: BOW, cells: cells(more), ...(seen ? { seen } : {}) }, db);

  test('a used one has its own price and is nobody else’s', () => {
    save();
    const [first, second] = [job('Eins'), job('Zwei')];
    const offer = (of: JobSnapshot) => bowsFor(of.job.id, db).find(({ piece }) => piece)!;
    expect(offer(first)).toMatchObject({ bow: { priceCents: 52000, stock: 1 }, heldBy: null });
    takeBow(first, { serial: 'FJ-1', fromStock: true });
    expect(loadSnapshot(first.job.id, db)!.bow!.priceCents).toBe(52000);
    expect(offer(second)).toMatchObject({ bow: { stock: 0 }, heldBy: first.job.number });
    expect(problemOf(() => takeBow(second, { serial: 'FJ-1' })).message).toContain(
      `put aside for ticket ${first.job.number}`,
    );
    // It is not among the new ones.
    expect([bows(), free(second)]).toEqual([1, 1]);
    handOver(first);
    expect(bows()).toBe(1);
    expect(singleBows(db)).toEqual([]);
    expect(pieceBySerial(db, 'FJ-1')!.leftWith).toBe(first.job.id);
  });

  test('stays what it is while a ticket has it; its note may change', () => {
    save();
    const seen = cells();
    expect(save({ condition: 'loan', price_eur: '' }, seen).condition).toBe('loan');
    save({}, cells({ condition: 'loan', price_eur: '' }));
    const one = job('Eins');
    takeBow(one, { serial: 'FJ-1', fromStock: true });
    const problem = problemOf(() => save({ condition: 'loan', price_eur: '' }, seen));
    expect(problem.reason).toBe('piece-held');
    expect(problem.message).toContain(`Ticket ${one.job.number} has it: it stays used`);
    expect(save({ note: 'string new in June' }, seen).note).toBe('string new in June');
  });

  test('a loan bow costs nothing, is out until it is back, and is no new one', () => {
    save({ condition: 'loan', price_eur: '' });
    const one = job('Eins');
    takeBow(one, { serial: 'FJ-1' });
    expect(loadSnapshot(one.job.id, db)!.bow!.priceCents).toBe(0);
    handOver(one);
    expect(singleBows(db)).toMatchObject([{ leftWith: one.job.id, archer: 'Eins' }]);
    const two = job('Zwei');
    expect(problemOf(() => takeBow(two, { serial: 'FJ-1' })).message).toContain('left the shop');
    bringBack('FJ-1', db);
    takeBow(two, { serial: 'FJ-1' });
    expect(held(two)).toMatchObject({ condition: 'loan' });
    expect(problemOf(() => bringBack('FJ-1', db)).reason).toBe('not-lent');
    expect(bows()).toBe(1);
  });

  test('new ones are named within the count, and the number goes with the bow', () => {
    save({ condition: 'new', price_eur: '' });
    const more = problemOf(() =>
      saveSingleBow(
        'FJ-2',
        { bowId: BOW, cells: { ...cells({ condition: 'new', price_eur: '' }), serial: 'FJ-2' } },
        db,
      ),
    );
    expect(more.message).toContain('1 new one is in stock, and 1 has a number already');
    const one = job('Eins');
    takeBow(one, { serial: 'FJ-1' });
    expect(free(job('Zwei'))).toBe(0);
    handOver(one);
    expect(bows()).toBe(0);
    expect(pieceBySerial(db, 'FJ-1')!.leftWith).toBe(one.job.id);
  });

  test('the sheet says that it is used, its number, and the total with the work', () => {
    save();
    saveShopSettings(db, {
      ...shopSettings(db),
      quote: { taxPct: 19, depositPct: 30, validDays: 14, hourCents: 6000 },
    });
    const one = job('Eins');
    takeBow(one, { serial: 'FJ-1' });
    putPart(one, 'rest', 'rest-regenpfeifer');
    handOver(one);
    const sheet = sheetDocument(db, one.job.id, 1) as SheetDocument;
    expect(bowLine(sheet.bow!)).toMatch(/, used, no\. FJ-1$/);
    const rest = partById(db, 'rest-regenpfeifer')!.priceCents;
    const { minutes, cents } = sheet.work!;
    // An hour for 60 €: a minute for one.
    expect([minutes > 0, cents]).toEqual([true, 100 * minutes]);
    expect(sheet.totalCents).toBe(52000 + rest + cents);
    expect(sheet.taxCents).toBe(Math.round((sheet.totalCents * 19) / 119));
  });

  test('the number read off a new bow at the bench names it at the handover', () => {
    const one = job('Eins');
    takeBow(one);
    send(one, {
      name: 'takeReadings',
      readings: [{ key: 'serialNumber', entered: 'FJ-77' }],
    });
    handOver(one);
    expect(held(one)).toMatchObject({ serial: 'FJ-77', handedOver: true });
    expect(pieceBySerial(db, 'FJ-77')).toMatchObject({ condition: 'new', leftWith: one.job.id });
  });

  test.each([
    ['a loan bow with a price', { condition: 'loan' }, 400, 'lent, not sold'],
    ['no such condition', { condition: 'old' }, 400, 'see the marked fields'],
    ['a price that is two', { price_eur: '1.250' }, 400, 'see the marked fields'],
  ])('%s is refused', (_, more, status, words) => {
    const problem = problemOf(() => save(more));
    expect(problem.status).toBe(status);
    expect(JSON.stringify(problem.body())).toContain(words);
    expect(singleBows(db)).toEqual([]);
  });
  test('one there already is not written over, and another screen’s change is asked about', () => {
    save();
    expect(problemOf(() => save({ note: 'x' })).reason).toBe('serial-taken');
    const seen = cells();
    save({ note: 'new string' }, seen);
    expect(problemOf(() => save({ note: 'old string' }, seen)).status).toBe(409);
  });
  test('what a job has stays what it is; nobody’s is struck out', () => {
    save();
    const one = job('Eins');
    takeBow(one, { serial: 'FJ-1' });
    const problem = problemOf(() => save({ condition: 'loan', price_eur: '' }, cells()));
    expect(problem.reason).toBe('piece-held');
    expect(problemOf(() => forgetSingleBow('FJ-1', db)).message).toContain('stays in the book');
    send(one, { name: 'chooseBow', bowId: null });
    forgetSingleBow('FJ-1', db);
    expect(singleBows(db)).toEqual([]);
  });
  test.each([['FJ-9'], ['constructor'], [' ']])('no bow has the number “%s”', (serial) => {
    const one = job('Eins');
    expect(problemOf(() => takeBow(one, { serial })).reason).toBe('unknown-piece');
  });
  test('undoing a swap of the used one somebody took meanwhile is refused', () => {
    save();
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first, { serial: 'FJ-1' });
    takeBow(first);
    takeBow(second, { serial: 'FJ-1' });
    expect(problemOf(() => send(first, { name: 'undo' })).message).toContain('put aside for');
    expect(held(first)).toMatchObject({ condition: 'new' });
  });
  test('two bows of a count that was wrong leave nothing below nothing', () => {
    savePiece(db, {
      serial: 'X',
      bowId: BOW,
      condition: 'new',
      priceCents: null,
      note: '',
      leftWith: null,
    });
    const one = job('Eins');
    takeBow(one, { serial: 'X' });
    db.prepare('UPDATE bow SET stock = 0').run();
    handOver(one);
    expect(bows()).toBe(0);
  });
});

describe('an order under way', () => {
  const REST = 'rest-regenpfeifer';
  const ordered = () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first);
    send(second, { name: 'chooseBow', bowId: 'other', reason: 'a test' });
    putPart(first, 'rest', REST);
    putPart(second, 'rest', REST);
    send(second, { name: 'orderPart', slot: 'rest', state: 'ordered' });
    return { first, second };
  };
  const onTheWay = () => orders(db).filter(({ orderId }) => orderId !== null);

  test('is asked about when another part is chosen, and stays, for the shelf', async () => {
    const { second } = ordered();
    const problem = problemOf(() => putPart(second, 'rest', null));
    expect(problem.reason).toBe('is-ordered');
    expect(problem.message).toMatch(/comes on Sat 28 Nov 2026/);
    putPart(second, 'rest', null, { ordered: 'keep' });
    expect(onTheWay()).toMatchObject([
      { itemId: REST, count: 1, arrivesDay: '2026-11-28', number: second.job.number },
    ]);
    expect((await todayView(db)).arriving).toMatchObject([{ day: '2026-11-28', jobId: null }]);
    const orderId = onTheWay()[0]!.orderId;
    settleShelfOrder(String(orderId), { state: 'arrived' }, db);
    expect(stockOf(REST)).toBe(2);
    expect(
      problemOf(() => settleShelfOrder(String(orderId), { state: 'arrived' }, db)).status,
    ).toBe(404);
    expect(stockOf(REST)).toBe(2);
  });

  test('called off it is gone', () => {
    const { second } = ordered();
    putPart(second, 'rest', null, { ordered: 'calledOff' });
    expect(orders(db)).toEqual([]);
    expect(stockOf(REST)).toBe(1);
  });

  test('whoever wants the same next takes it over as it is', () => {
    const { second } = ordered();
    putPart(second, 'rest', null, { ordered: 'keep' });
    const third = job('Drei');
    send(third, { name: 'chooseBow', bowId: 'other', reason: 'a test' });
    pretendNow(new Date('2026-11-27T09:00:00Z'));
    putPart(third, 'rest', REST);
    expect(loadSnapshot(third.job.id, db)!.parts[0]).toMatchObject({
      arrivesDay: '2026-11-28',
      orderedAt: '2026-11-24T09:00:00.000Z',
    });
    expect(onTheWay()).toEqual([]);
  });

  test('taking the change back brings the order back to the job', () => {
    const { second } = ordered();
    putPart(second, 'rest', null, { ordered: 'keep' });
    send(second, { name: 'undo' });
    expect(onTheWay()).toEqual([]);
    expect(loadSnapshot(second.job.id, db)!.parts[0]).toMatchObject({
      orderedAt: '2026-11-24T09:00:00.000Z',
      arrivesDay: '2026-11-28',
    });
  });

  test('what has come for a job goes on the shelf when it is put back, and off it when that is undone', () => {
    const { second } = ordered();
    send(second, { name: 'orderPart', slot: 'rest', state: 'arrived' });
    putPart(second, 'rest', null);
    expect(stockOf(REST)).toBe(2);
    send(second, { name: 'undo' });
    expect(stockOf(REST)).toBe(1);
    expect(loadSnapshot(second.job.id, db)!.parts[0]).toMatchObject({
      arrivedAt: '2026-11-24T09:00:00.000Z',
    });
  });

  test('chosen once more it stays ordered', () => {
    const { second } = ordered();
    putPart(second, 'rest', REST);
    expect(loadSnapshot(second.job.id, db)!.parts[0]).toMatchObject({
      orderedAt: '2026-11-24T09:00:00.000Z',
    });
  });

  test('of a bow is asked about too', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    takeBow(first);
    takeBow(second);
    send(second, { name: 'orderBow', state: 'ordered' });
    const other = { name: 'chooseBow', bowId: 'other', reason: 'a test' };
    expect(problemOf(() => send(second, other)).reason).toBe('is-ordered');
    send(second, { ...other, ordered: 'keep' });
    expect(onTheWay()).toMatchObject([{ slot: 'bow', itemId: BOW }]);
    settleShelfOrder(String(onTheWay()[0]!.orderId), { state: 'arrived' }, db);
    expect(bows()).toBe(2);
  });

  test.each(['x', '', '1.5', '-1', '99', '1e3'])('there is no order “%s”', (id) =>
    expect(problemOf(() => settleShelfOrder(id, { state: 'arrived' }, db)).status).toBe(404),
  );
});

describe('what left the shop is counted once', () => {
  const done = () => {
    const one = job('Eins');
    takeBow(one);
    putPart(one, 'rest', 'rest-regenpfeifer');
    handOver(one);
    return one;
  };
  test('handed over again, nothing leaves a second time; what was added since does', () => {
    const one = done();
    expect([bows(), stockOf('rest-regenpfeifer')]).toEqual([0, 0]);
    handOver(one);
    const loop = stockOf('loop-schlinge');
    putPart(one, 'loop', 'loop-schlinge');
    expect(stockOf('loop-schlinge')).toBe(loop);
    handOver(one);
    handOver(one);
    expect([bows(), stockOf('rest-regenpfeifer'), stockOf('loop-schlinge')]).toEqual([
      0,
      0,
      loop - 1,
    ]);
  });
  test('a part added after delivery is put aside, or ordered, like any other', () => {
    const one = done();
    const two = job('Zwei');
    send(two, { name: 'chooseBow', bowId: 'other', reason: 'a test' });
    db.prepare('UPDATE catalogue_item SET stock = 1 WHERE id = ?').run('loop-schlinge');
    putPart(one, 'loop', 'loop-schlinge');
    const problem = problemOf(() => putPart(two, 'loop', 'loop-schlinge', { fromStock: true }));
    expect(problem.reason).toBe('just-taken');
    putPart(one, 'release', 'release-rucken-mit-klick');
    expect(orders(db).map(({ slot }) => slot)).toEqual(['release']);
  });
  test('given back after delivery it lies on the shelf again, once', () => {
    const one = done();
    pretendNow(new Date('2026-11-25T09:00:00Z'));
    putPart(one, 'rest', null);
    expect(stockOf('rest-regenpfeifer')).toBe(1);
    send(one, { name: 'undo' });
    expect(stockOf('rest-regenpfeifer')).toBe(0);
    handOver(one);
    expect(stockOf('rest-regenpfeifer')).toBe(0);
  });
  test('a handover taken back lays all of it there again, put aside for the job', () => {
    const one = done();
    send(one, { name: 'takeBackHandover', reason: 'signed too early' });
    const now = loadSnapshot(one.job.id, db)!;
    expect(now.job.deliveredAt).toBeNull();
    expect(now.sheets).toHaveLength(1);
    expect([bows(), stockOf('rest-regenpfeifer')]).toEqual([1, 1]);
    expect(free(job('Zwei'))).toBe(0);
    handOver(one);
    expect([bows(), stockOf('rest-regenpfeifer')]).toEqual([0, 0]);
    expect(loadSnapshot(one.job.id, db)!.sheets).toHaveLength(2);
  });
  test('what comes after it is another visit, until it is taken back', () => {
    const one = done();
    const visits = () =>
      historyPage(one.job.id, new URLSearchParams(), db).events.map(({ visit }) => visit);
    const before = visits();
    expect(new Set(before)).toEqual(new Set([1]));
    pretendNow(new Date('2026-12-09T09:00:00Z'));
    putPart(one, 'rest', null);
    putPart(one, 'rest', 'rest-regenpfeifer');
    expect(visits().slice(0, 3)).toEqual([2, 2, 1]);
    handOver(one);
    putPart(one, 'rest', null);
    expect(visits().slice(0, 3)).toEqual([3, 2, 2]);
    // Signed too early: what comes now belongs to what is not handed over yet.
    send(one, { name: 'takeBackHandover', reason: 'signed too early' });
    putPart(one, 'rest', 'rest-regenpfeifer');
    expect(visits().slice(0, 2)).toEqual([2, 2]);
    handOver(one);
    putPart(one, 'rest', null);
    expect(visits()[0]).toBe(3);
  });
  test('it is taken back only with a reason, and only where there was one', () => {
    const one = done();
    const back = (reason: string) => send(one, { name: 'takeBackHandover', reason });
    expect(problemOf(() => back(' ')).reason).toBe('no-reason');
    back('signed too early');
    expect(problemOf(() => back('once more')).reason).toBe('not-delivered');
  });
  test('what has not come on the day of the handover stays ordered, and goes with the next one', async () => {
    const one = job('Eins');
    takeBow(one);
    putPart(one, 'release', 'release-rucken-mit-klick');
    send(one, { name: 'orderPart', slot: 'release', state: 'ordered' });
    const before = stockOf('release-rucken-mit-klick');
    handOver(one);
    expect(orders(db).map(({ slot, orderedAt }) => [slot, orderedAt !== null])).toEqual([
      ['release', true],
    ]);
    expect((await todayView(db)).arriving).toMatchObject([{ name: 'Eins' }]);
    send(one, { name: 'orderPart', slot: 'release', state: 'arrived' });
    handOver(one);
    expect(orders(db)).toEqual([]);
    expect([bows(), stockOf('release-rucken-mit-klick')]).toEqual([0, before]);
  });
  test('what is ordered for the job never lay there', () => {
    const one = job('Eins');
    takeBow(one);
    putPart(one, 'release', 'release-rucken-mit-klick');
    const before = stockOf('release-rucken-mit-klick');
    send(one, { name: 'orderPart', slot: 'release', state: 'ordered' });
    send(one, { name: 'orderPart', slot: 'release', state: 'arrived' });
    handOver(one);
    expect(stockOf('release-rucken-mit-klick')).toBe(before);
    expect(orders(db)).toEqual([]);
  });
});

describe('parts of built arrows', () => {
  const parts = demoCatalogue();
  const firstOf = (slot: string) => parts.find((part) => part.slot === slot)!;
  const build = (): ArrowChoice => {
    const shaft = parts.find((part) => part.slot === 'shaft') as never as {
      id: string;
      attrs: { innerMm: number; stockLengthMm: number };
    };
    const fits = (slot: string) =>
      parts.find(
        (part) =>
          part.slot === slot &&
          Math.abs(
            (part.attrs as unknown as { fitsInnerMm: number }).fitsInnerMm - shaft.attrs.innerMm,
          ) < 0.15,
      )!;
    return {
      name: 'A',
      shaftId: shaft.id,
      nockId: fits('nock').id,
      vaneId: firstOf('vane').id,
      vaneCount: 3,
      insertId: fits('insert').id,
      pointId: firstOf('point').id,
      lengthMm: mm(shaft.attrs.stockLengthMm),
      count: 6,
    };
  };
  const built = (name: string, choice = build()) => {
    const one = job(name);
    send(one, { name: 'chooseBow', bowId: 'other', reason: 'a test' });
    send(one, { name: 'setArrows', builds: [choice] });
    return one;
  };
  const stock = (id: string, count: number) =>
    db.prepare('UPDATE catalogue_item SET stock = ? WHERE id = ?').run(count, id);

  test('are put aside one by one, and leave the shelf at the handover', () => {
    const choice = build();
    const { shaftId, nockId, vaneId, insertId, pointId } = choice;
    const ids = [shaftId, nockId, vaneId, insertId, pointId];
    ids.forEach((id) => stock(id, 40));
    const one = built('Eins', choice);
    send(one, { name: 'takeArrows', build: 0 });
    expect(ids.map(stockOf)).toEqual([40, 40, 40, 40, 40]);
    handOver(one);
    expect(ids.map(stockOf)).toEqual([34, 34, 22, 34, 34]);
    handOver(one);
    expect(ids.map(stockOf)).toEqual([34, 34, 22, 34, 34]);
  });

  test('the second set finds what the first left, and orders the rest part by part', () => {
    const choice = build();
    const { shaftId, nockId, vaneId, insertId, pointId } = choice;
    [nockId, insertId, pointId].forEach((id) => stock(id, 40));
    stock(shaftId, 8);
    stock(vaneId, 20);
    const [one, two] = [built('Eins', choice), built('Zwei', choice)];
    send(one, { name: 'takeArrows', build: 0 });
    send(two, { name: 'takeArrows', build: 0 });
    expect(loadSnapshot(one.job.id, db)!.parts[0]!.arrivesDay).toBeNull();
    const short = [
      { itemId: shaftId, count: 4 },
      { itemId: vaneId, count: 16 },
    ];
    expect(loadSnapshot(two.job.id, db)!.parts[0]!.short).toEqual(short);
    expect(orders(db).map(({ itemId, count }) => ({ itemId, count }))).toEqual(
      expect.arrayContaining(short),
    );
    expect(ordersFile(db)).toMatch(new RegExp(`,${vaneId},.*,16,`));
    send(two, { name: 'orderPart', slot: 'arrows', state: 'ordered' });
    expect(problemOf(() => putPart(two, 'arrows', null)).reason).toBe('is-ordered');
    putPart(two, 'arrows', null, { ordered: 'keep' });
    expect(
      orders(db).map(({ orderId, itemId, count }) => [orderId !== null, itemId, count]),
    ).toEqual(expect.arrayContaining([[true, shaftId, 4]]));
  });
});
