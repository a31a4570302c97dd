import { aBow } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import type { Db } from '@/data/db';
import { insertBow, itemById } from '@/data/stock';
import { pretendNow } from '../clock';
import { orders, ordersFile } from '../orders';
import { findQuote, loadQuote } from '../quotes';
import { loadSnapshot } from '../load-snapshot';
import { itemsFor } from '../stock';
import { createJob, runCommand } from '.';
import { problemOf } from '../testing/problem-of';
import { catalogueDb } from '../testing/new-db';

let db: Db;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ restMounts: ['plungerBolt', 'dovetail'] }));
});
afterEach(() => {
  db.close();
  pretendNow(null);
});

const job = (name: string): JobSnapshot => {
  const made = createJob({ who: 'T', archer: { name }, job: { promisedDay: '2026-12-10' } }, db);
  return send(made, { name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
};
const send = ({ job: { id } }: JobSnapshot, command: object): JobSnapshot => {
  const { version } = loadSnapshot(id, db)!.job;
  return runCommand(id, { version, who: 'T', command }, db);
};
const take = (to: JobSnapshot, itemId: string, fromStock = true) =>
  send(to, {
    name: 'choosePart',
    slot: itemById(db, itemId)!.slot,
    itemId,
    owned: false,
    label: '',
    fromStock,
  });
/** One lies in the shop, no more. */
const LAST = 'rest-regenpfeifer';
const partOf = (snapshot: JobSnapshot, slot: string) =>
  loadSnapshot(snapshot.job.id, db)!.parts.find((part) => part.slot === slot);

describe('the last one in the shop', () => {
  test('the second job is told who has it, and nothing of it is kept', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    take(first, LAST);
    const before = loadSnapshot(second.job.id, db)!.job.version;
    const problem = problemOf(() => take(second, LAST));
    expect([problem.status, problem.reason]).toEqual([422, 'just-taken']);
    expect(problem.message).toContain(`put aside for ticket ${first.job.number} just now`);
    expect(problem.message).toContain('comes in 4 days');
    expect(loadSnapshot(second.job.id, db)!.job.version).toBe(before);
    expect(partOf(second, 'rest')).toBeUndefined();
  });

  test('seen as gone it is ordered; the first one’s stays', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    take(first, LAST);
    const free = (of: JobSnapshot) => itemsFor(of.job.id, db).find(({ id }) => id === LAST)!.stock;
    expect([free(first), free(second)]).toEqual([1, 0]);
    take(second, LAST, false);
    expect(partOf(second, 'rest')).toMatchObject({ arrivesDay: '2026-11-28' });
    expect(partOf(first, 'rest')).toMatchObject({ arrivesDay: null });
  });

  test('put back, it is free again; taken back after somebody else took it, it has to be ordered', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    take(first, LAST);
    send(first, { name: 'choosePart', slot: 'rest', itemId: null, owned: false, label: '' });
    take(second, LAST);
    send(first, { name: 'undo' });
    expect(partOf(second, 'rest')).toMatchObject({ arrivesDay: null });
    expect(partOf(first, 'rest')).toMatchObject({ arrivesDay: '2026-11-28' });
  });

  test('a whole package is refused for one of its parts', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    take(first, LAST);
    const itemIds = [LAST, 'loop-schlinge'];
    const problem = problemOf(() =>
      send(second, { name: 'choosePackage', itemIds, fromStock: itemIds }),
    );
    expect(problem.reason).toBe('just-taken');
    expect(loadSnapshot(second.job.id, db)!.parts).toEqual([]);
    send(second, { name: 'choosePackage', itemIds, fromStock: ['loop-schlinge'] });
    expect(partOf(second, 'rest')!.arrivesDay).not.toBeNull();
    expect(partOf(second, 'loop')!.arrivesDay).toBeNull();
  });

  test('the archer’s own of the same kind takes nothing from the shelf', () => {
    const [first, second] = [job('Eins'), job('Zwei')];
    send(first, { name: 'choosePart', slot: 'rest', itemId: LAST, owned: true, label: '' });
    take(second, LAST);
    expect(partOf(second, 'rest')).toMatchObject({ arrivesDay: null });
  });
});

describe('orders', () => {
  const waiting = () => {
    const one = take(job('Eins'), 'sight-feld-kurz');
    take(one, 'release-rucken-mit-klick', false);
    const two = take(job('Zwei'), 'release-rucken-mit-klick', false);
    return { one, two };
  };
  test('what does not lie in the shop stands there by supplier, until it is handed over', () => {
    const { one } = waiting();
    expect(orders(db).map(({ archer, label, supplier }) => [archer, label, supplier])).toEqual([
      ['Eins', 'Handwerk Süd Rücken mit Klick', 'Werkhof Lindental'],
      ['Zwei', 'Handwerk Süd Rücken mit Klick', 'Werkhof Lindental'],
    ]);
    expect(ordersFile(db).split('\n')[1]).toBe(
      `Werkhof Lindental,release-rucken-mit-klick,Handwerk Süd Rücken mit Klick,2,${one.job.number} ${one.job.number + 1},2026-12-10`,
    );
  });
  test('ordered, come, and taken back', () => {
    const { one } = waiting();
    const days = itemById(db, 'release-rucken-mit-klick')!.deliveryDays;
    pretendNow(new Date('2026-11-26T09:00:00Z'));
    send(one, { name: 'orderPart', slot: 'release', state: 'ordered' });
    expect(partOf(one, 'release')).toMatchObject({
      orderedAt: '2026-11-26T09:00:00.000Z',
      arrivesDay: `2026-11-${26 + days}`,
    });
    expect(ordersFile(db)).toContain(',1,');
    pretendNow(new Date('2026-11-29T09:00:00Z'));
    send(one, { name: 'orderPart', slot: 'release', state: 'arrived' });
    expect(partOf(one, 'release')).toMatchObject({
      arrivedAt: '2026-11-29T09:00:00.000Z',
      arrivesDay: '2026-11-29',
    });
    send(one, { name: 'undo' });
    expect(partOf(one, 'release')).toMatchObject({ arrivedAt: null });
    send(one, { name: 'orderPart', slot: 'release', state: 'toOrder' });
    expect(partOf(one, 'release')).toMatchObject({ orderedAt: null });
  });
  test.each(['sight', 'peep'])('nothing is ordered for the %s', (slot) => {
    const { one } = waiting();
    expect(problemOf(() => send(one, { name: 'orderPart', slot, state: 'ordered' })).reason).toBe(
      'nothing-to-order',
    );
  });
});

describe('quotes', () => {
  test('are numbered, kept as they were, and refused where there is nothing', () => {
    const empty = createJob({ who: 'T', archer: { name: 'Leer' }, job: {} }, db);
    expect(problemOf(() => send(empty, { name: 'giveQuote' })).reason).toBe('nothing-to-quote');
    const one = take(job('Eins'), 'sight-steg');
    send(one, { name: 'giveQuote' });
    take(one, 'sight-einton');
    const after = send(one, { name: 'giveQuote' });
    expect(after.quotes.map(({ revision, totalCents }) => [revision, totalCents])).toEqual([
      [2, 89900 + 28900],
      [1, 89900 + 23900],
    ]);
    const first = loadQuote(one.job.id, '1', db);
    expect(first.lines.map(({ name }) => name)).toContain('Peilwerk Steg');
    expect(first).toMatchObject({ madeDay: '2026-11-24', validUntil: '2026-12-08', madeBy: 'T' });
    expect(() => db.exec("UPDATE quote SET who = 'x'")).toThrow('never changed');
    expect(() => db.exec('DELETE FROM quote')).toThrow('never removed');
  });
  test('the same is not given twice while it holds; afterwards it is', () => {
    const one = take(job('Eins'), 'sight-steg');
    send(one, { name: 'giveQuote' });
    const problem = problemOf(() => send(one, { name: 'giveQuote' }));
    expect(problem.reason).toBe('same-quote');
    expect(problem.more.detail).toContain('Quote 1 says the same and holds until Tue 8 Dec 2026');
    pretendNow(new Date('2026-12-09T10:00:00+01:00'));
    expect(send(one, { name: 'giveQuote' }).quotes).toHaveLength(2);
  });
  test.each(['0', '9', 'x', '1.5'])('there is no quote %s', (revision) => {
    const one = take(job('Eins'), 'sight-steg');
    send(one, { name: 'giveQuote' });
    expect(findQuote(one.job.id, revision, db)).toBeNull();
    expect(problemOf(() => loadQuote(one.job.id, revision, db)).status).toBe(404);
  });
});
