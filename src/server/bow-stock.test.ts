import { BOW_COLUMNS, writeBowFile } from '@/contracts/bow-csv';
import { writeCell } from '@/contracts/csv';
import { aBow } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { allBows, bowById, insertBow } from '@/data/stock';
import { bowsFile } from './bow-looks';
import { importBows, saveBow } from './bow-stock';
import { problemComing, problemOf } from './testing/problem-of';
import { newDb } from './testing/new-db';

let db: Db;
beforeEach(() => {
  db = newDb();
  insertBow(db, aBow());
});
afterEach(() => db.close());

const two = [aBow({ stock: 7 }), aBow({ id: 'new', model: 'Neu' })];
const faulty = `${writeBowFile(two)}${writeBowFile([aBow({ id: 'bad' })])
  .split('\n')[1]!
  .replace('right', 'both')}\n`;

describe('a bow file taken in', () => {
  test('looking at it saves nothing', async () => {
    const answer = await importBows({ text: writeBowFile(two), mode: 'check' }, db);
    expect(answer).toMatchObject({ saved: false, added: 1, changed: 1, same: 0, faults: [] });
    expect(answer.rows.map(({ id, isNew }) => [id, isNew])).toEqual(
      expect.arrayContaining([['test-31-r', false]]),
    );
    expect(answer.rows.find(({ id }) => id === 'test-31-r')!.changes).toEqual([
      { column: 'In stock', before: '2', after: '7' },
    ]);
    expect(allBows(db)).toHaveLength(1);
    expect(bowById(db, 'test-31-r')!.stock).toBe(2);
  });
  test('good rows are kept and the others named, where that is chosen', async () => {
    const answer = await importBows({ text: faulty, mode: 'keepGood' }, db);
    expect(answer).toMatchObject({ saved: true, added: 1, changed: 1 });
    expect(answer.faults).toMatchObject([{ line: 4, column: 'hand' }]);
    expect(bowById(db, 'test-31-r')!.stock).toBe(7);
    expect(bowById(db, 'bad')).toBeNull();
  });
  test('or all are refused, and nothing is kept', async () => {
    const problem = await problemComing(() => importBows({ text: faulty, mode: 'allOrNone' }, db));
    expect(problem).toMatchObject({ status: 422, reason: 'faulty-rows' });
    expect(problem.message).toContain('nothing of the file was taken. Line 4, hand:');
    expect(allBows(db)).toHaveLength(1);
    expect(bowById(db, 'test-31-r')!.stock).toBe(2);
  });
  test('a price over a third apart is left unless it is named, and so is what is unticked', async () => {
    const dear = { ...two[0]!, priceCents: 2 * two[0]!.priceCents };
    const text = writeBowFile([dear]);
    expect((await importBows({ text, mode: 'check' }, db)).rows).toMatchObject([{ jump: true }]);
    await importBows({ text, mode: 'allOrNone', except: [], jumps: [] }, db);
    expect(bowById(db, 'test-31-r')!.priceCents).toBe(89900);
    await importBows({ text, mode: 'allOrNone', except: ['test-31-r'], jumps: ['test-31-r'] }, db);
    expect(bowById(db, 'test-31-r')!.priceCents).toBe(89900);
    await importBows({ text, mode: 'allOrNone', jumps: ['test-31-r'] }, db);
    expect(bowById(db, 'test-31-r')!.priceCents).toBe(179800);
  });
  test('taken in twice, the second time nothing changes', async () => {
    await importBows({ text: writeBowFile(two), mode: 'allOrNone' }, db);
    expect(await importBows({ text: bowsFile(db), mode: 'allOrNone' }, db)).toMatchObject({
      added: 0,
      changed: 0,
      same: 2,
    });
  });
  test.each([[{}], [{ text: 'x', mode: 'maybe' }], [{ text: 4, mode: 'check' }]])(
    'a body that is none is refused %#',
    async (body) => expect((await problemComing(() => importBows(body, db))).status).toBe(400),
  );
});

describe('one bow from its form', () => {
  const cells = (changes: Record<string, string> = {}) => {
    const [head, row] = writeBowFile([aBow()]).split('\n');
    const values = row!.split(',');
    return {
      cells: {
        ...Object.fromEntries(head!.split(',').map((header, i) => [header, values[i]!])),
        ...changes,
      },
    };
  };
  test('is changed, or new under its id', () => {
    expect(saveBow('test-31-r', cells({ price_eur: '950' }), db).priceCents).toBe(95000);
    expect(bowById(db, 'test-31-r')!.priceCents).toBe(95000);
    saveBow('another', cells({ brace_height_in: '6 1/2' }), db);
    expect(bowById(db, 'another')!.braceHeightMm).toBeCloseTo(165.1, 6);
  });
  test('every wrong field is named and nothing is saved', () => {
    const problem = problemOf(() =>
      saveBow('test-31-r', cells({ price_eur: 'much', max_turns: '-3' }), db),
    );
    expect(problem.more.errors!.map(({ pointer }) => pointer).sort()).toEqual([
      '/cells/max_turns',
      '/cells/price_eur',
    ]);
    expect(bowById(db, 'test-31-r')!.priceCents).toBe(89900);
    const crossed = problemOf(() => saveBow('test-31-r', cells({ min_peak_lb: '80' }), db));
    expect(crossed.more.errors).toMatchObject([{ pointer: '/cells/min_peak_lb' }]);
  });
  test('every column is a field of the record, once', () => {
    expect(new Set(BOW_COLUMNS.map(({ field }) => field)).size).toBe(BOW_COLUMNS.length);
    expect(BOW_COLUMNS.map(({ field }) => field).sort()).toEqual(Object.keys(aBow()).sort());
  });
});

describe('an identifier in an address', () => {
  const cells = () =>
    Object.fromEntries(
      BOW_COLUMNS.map((column) => [column.header, writeCell(column as never, aBow())]),
    );
  test('is read as in a file: blanks at its ends make no second bow', () => {
    insertBow(db, { ...aBow(), id: 'x' });
    saveBow(' x ', { cells: { ...cells(), stock: '7' } }, db);
    expect(allBows(db).filter(({ id }) => id.trim() === 'x')).toMatchObject([
      { id: 'x', stock: 7 },
    ]);
  });
  test.each(['', '  ', 'x'.repeat(61), 'a\u202eb', '\u0000'])('%j is none', (id) =>
    expect(problemOf(() => saveBow(id, { cells: cells() }, db)).status).toBe(400),
  );
  test('a new bow never takes the place of another one', () => {
    insertBow(db, { ...aBow(), id: 'x' });
    const problem = problemOf(() =>
      saveBow('x', { cells: { ...cells(), stock: '7' }, isNew: true }, db),
    );
    expect(problem).toMatchObject({ status: 422, reason: 'id-taken' });
    expect(bowById(db, 'x')!.stock).toBe(aBow().stock);
    saveBow('y', { cells: cells(), isNew: true }, db);
    expect(bowById(db, 'y')).not.toBeNull();
  });
});
