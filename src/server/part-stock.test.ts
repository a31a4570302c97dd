import { demoBows, demoCatalogue } from '../../demo/load-csv';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import { partFormat } from '@/contracts/part-csv';
import { writeCell } from '@/contracts/csv';
import type { AnyPart } from '@/core/kit';
import type { Db } from '@/data/db';
import { bowById, insertBow, partById } from '@/data/stock';
import { findParts, savePart } from './part-stock';
import { saveBow } from './bow-stock';
import { problemOf } from './testing/problem-of';
import { catalogueDb } from './testing/new-db';

let db: Db;
beforeEach(() => {
  db = catalogueDb();
});
afterEach(() => db.close());

const find = (q: string, more = '') =>
  findParts(new URLSearchParams(`q=${encodeURIComponent(q)}${more}`), db);
const names = (q: string, more = '') => find(q, more).parts.map(({ model }) => model);
const cellsOf = (part: AnyPart) =>
  Object.fromEntries(
    partFormat(part.slot).columns.map((column) => [column.header, writeCell(column, part)]),
  );

describe('found by any word', () => {
  test('begun words, in any order, without their umlauts', () => {
    expect(names('kieb')).toEqual(expect.arrayContaining(['Kiebitz', 'Kiebitz L']));
    expect(names('Kocher flach rohr')).toEqual(['Köcher flach']);
    expect(names('thumb left')).toEqual(['Daumen links']);
    expect(names('cable driven dovetail')).toEqual(
      expect.arrayContaining(['Brachvogel', 'Schwinge']),
    );
    expect(names('Nordufer fangerlang')).toEqual([]);
  });
  test('signs of a query language are only signs', () => {
    for (const text of ['"', 'a OR b', 'rest*)', '-', 'NEAR(', 'x:y', "' --"])
      expect(() => find(text)).not.toThrow();
    expect(find('“').count).toBe(demoCatalogue().length);
  });
  test('one slot, a page at a time', () => {
    const all = find('', '&kind=sight&limit=200');
    expect(all.count).toBe(all.parts.length);
    expect(all.parts.every(({ slot }) => slot === 'sight')).toBe(true);
    const pages = [0, 5, 10].map((offset) => find('', `&kind=sight&limit=5&offset=${offset}`));
    expect(pages.flatMap(({ parts }) => parts)).toEqual(all.parts.slice(0, 15));
  });
  test.each(['&kind=antenna', '&limit=-1', '&limit=9999', '&offset=1.5'])('%s is refused', (more) =>
    expect(problemOf(() => find('', more)).status).toBe(400),
  );
  test('a part renamed is found by its new name only', () => {
    const part = partById(db, 'rest-kiebitz')!;
    savePart(part.id, { kind: 'rest', cells: { ...cellsOf(part), model: 'Watvogel' } }, db);
    expect(names('watvogel')).toEqual(['Watvogel']);
    // Its id still says what it was called.
    expect(find('schilf kiebitz').count).toBe(0);
    expect(names('rohrdommel watvogel')).toEqual(['Watvogel']);
  });
});

describe('one part, from its form', () => {
  test('is saved as typed and read back', () => {
    const part = partById(db, 'sight-einton')!;
    const cells = { ...cellsOf(part), price_eur: '299,50', close_out_eur: '250', stock: '7' };
    const saved = savePart(part.id, { kind: 'sight', cells }, db);
    expect(saved).toEqual({ ...part, priceCents: 29950, closeOutCents: 25000, stock: 7 });
    expect(partById(db, part.id)).toEqual(saved);
    savePart('sight-new', { kind: 'sight', cells }, db);
    expect(partById(db, 'sight-new')!.model).toBe(part.model);
  });
  test('faults are told by field, and nothing is saved', () => {
    const part = partById(db, 'sight-einton')!;
    const cells = { ...cellsOf(part), price_eur: '-1', pins: 'many', stock: '3' };
    const problem = problemOf(() => savePart(part.id, { kind: 'sight', cells }, db));
    expect(problem.more.errors!.map(({ pointer }) => pointer)).toEqual([
      '/cells/price_eur',
      '/cells/pins',
    ]);
    expect(partById(db, part.id)).toEqual(part);
  });
  test('a part stays in its slot', () => {
    const cells = cellsOf(partById(db, 'sight-einton')!);
    expect(problemOf(() => savePart('rest-kiebitz', { kind: 'sight', cells }, db)).reason).toBe(
      'other-slot',
    );
    expect(problemOf(() => savePart('x', { kind: 'antenna', cells }, db)).status).toBe(400);
    expect(problemOf(() => savePart('x', {}, db)).status).toBe(400);
  });
});

describe('two screens at one part', () => {
  const id = 'rest-kiebitz';
  const opened = () => {
    const seen = cellsOf(partById(db, id)!);
    return (changed: Record<string, string>, from = seen) =>
      savePart(id, { kind: 'rest', cells: { ...from, ...changed }, seen: from }, db);
  };
  test('what only one changed is kept, whoever saves last', () => {
    const [one, two] = [opened(), opened()];
    one({ price_eur: '1 149,-' });
    two({ stock: '7' });
    expect(partById(db, id)).toMatchObject({ priceCents: 114900, stock: 7 });
  });
  test('what both changed is told with what stands there now, and nothing is saved', () => {
    const [one, two] = [opened(), opened()];
    one({ price_eur: '149', stock: '3' });
    const problem = problemOf(() => two({ price_eur: '139', delivery_days: '9' }));
    expect(problem).toMatchObject({
      status: 409,
      reason: 'changed-meanwhile',
      more: { now: { price_eur: '149' } },
    });
    expect(problem.more.errors).toEqual([
      { pointer: '/cells/price_eur', detail: expect.stringContaining('“149”') as string },
    ]);
    const stands = partById(db, id)!;
    expect(stands).toMatchObject({ priceCents: 14900, stock: 3 });
    // Having seen it, the second screen may put its own in its place.
    const seen = { ...cellsOf(stands), delivery_days: cellsOf(stands).delivery_days! };
    two({ price_eur: '139' }, seen);
    expect(partById(db, id)).toMatchObject({ priceCents: 13900, stock: 3 });
  });
  test('both the same is no clash, and without what was seen the form speaks alone', () => {
    const [one, two] = [opened(), opened()];
    one({ price_eur: '149' });
    two({ price_eur: '149' });
    savePart(id, { kind: 'rest', cells: { ...cellsOf(partById(db, id)!), stock: '0' } }, db);
    expect(partById(db, id)).toMatchObject({ priceCents: 14900, stock: 0 });
  });
  test('bows alike', () => {
    const [bow] = demoBows();
    insertBow(db, bow!);
    const cells = Object.fromEntries(
      BOW_COLUMNS.map((column) => [column.header, writeCell(column, bow!)]),
    );
    saveBow(bow!.id, { cells: { ...cells, stock: '5' }, seen: cells }, db);
    saveBow(bow!.id, { cells: { ...cells, price_eur: '1' }, seen: cells }, db);
    expect(bowById(db, bow!.id)).toMatchObject({ stock: 5, priceCents: 100 });
    const problem = problemOf(() =>
      saveBow(bow!.id, { cells: { ...cells, stock: '9' }, seen: cells }, db),
    );
    expect(problem).toMatchObject({ status: 409, more: { now: { stock: '5' } } });
  });
});
