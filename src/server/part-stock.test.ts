import { demoBows, demoCatalogue } from '../../demo/load-csv';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import { partFormat, readPartFile, writePartFile } from '@/contracts/part-csv';
import { writeCell } from '@/contracts/csv';
import type { AnyPart } from '@/core/kit';
import { openDb, type Db } from '@/data/db';
import { allParts, bowById, insertBow, insertItem, partById } from '@/data/stock';
import { readPieces, type FileRead } from '@/workers/part-file';
import {
  dropImport,
  fetchSupplierList,
  findParts,
  lookAtImport,
  offsetOf,
  partsFile,
  savePart,
  stagePiece,
  suppliers,
  takeImport,
} from './part-stock';
import { saveBow } from './bow-stock';
import { problemOf } from './testing/problem-of';

let db: Db;
beforeEach(() => {
  db = openDb(':memory:');
  demoCatalogue().forEach((part) => insertItem(db, part));
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

describe('a file', () => {
  const read = (text: unknown) => [...readPieces(text)].at(-1)!;
  const rests = () => demoCatalogue().filter(({ slot }) => slot === 'rest');
  const changed = () =>
    rests().map((part, i) => ({
      ...part,
      ...(i === 0 ? { priceCents: 13900 } : {}),
      ...(i === 1 ? { id: 'rest-brand-new' } : {}),
    }));

  test('comes in pieces, is looked at, and taken at once', () => {
    const { importId } = stagePiece({ kind: 'rest', parts: changed().slice(0, 4) }, db);
    const { count } = stagePiece({ importId, kind: 'rest', parts: changed().slice(4) }, db);
    expect(count).toBe(rests().length);
    const look = lookAtImport(importId, db);
    expect(look).toMatchObject({ added: 1, changed: 1, same: rests().length - 2 });
    expect(look.jumps).toEqual([]);
    expect(look.rows).toEqual([
      {
        id: 'rest-brand-new',
        name: 'Rohrdommel Kiebitz L',
        isNew: true,
        jump: false,
        changes: [{ column: 'Price, €', before: '', after: '129' }],
      },
      {
        id: rests()[0]!.id,
        name: 'Rohrdommel Kiebitz',
        isNew: false,
        jump: false,
        changes: [{ column: 'Price, €', before: '129', after: '139' }],
      },
    ]);
    expect(partById(db, 'rest-brand-new')).toBeNull();
    expect(takeImport(importId, { only: null }, db)).toEqual({ taken: rests().length });
    expect(partById(db, 'rest-brand-new')).toEqual(changed()[1]);
    expect(partById(db, rests()[0]!.id)!.priceCents).toBe(13900);
    expect(names('brand new')).toEqual(['Kiebitz L']);
    expect(problemOf(() => takeImport(importId, { only: null }, db)).status).toBe(404);
  });

  test('prices over a third apart stand by themselves, and are taken only one by one', () => {
    const [first, second, third, fourth] = rests();
    const parts = [
      { ...first!, priceCents: Math.round(first!.priceCents * 1.34) },
      { ...second!, priceCents: Math.round(second!.priceCents * 0.66) },
      { ...third!, priceCents: Math.round(third!.priceCents * 1.33), stock: 9 },
      { ...fourth!, stock: 17 },
    ];
    const { importId } = stagePiece({ kind: 'rest', parts }, db);
    const look = lookAtImport(importId, db);
    expect(look.jumps.map(({ id }) => id).sort()).toEqual([first!.id, second!.id].sort());
    expect([look.jumpCount, look.rowCount, look.changed]).toEqual([2, 2, 4]);
    takeImport(importId, { only: null, except: [fourth!.id], jumps: [second!.id] }, db);
    expect(partById(db, first!.id)).toEqual(first);
    expect(partById(db, second!.id)!.priceCents).toBe(parts[1]!.priceCents);
    expect(partById(db, third!.id)).toEqual(parts[2]);
    expect(partById(db, fourth!.id)).toEqual(fourth);
  });

  test('every row that changes is named, a page at a time', () => {
    const base = rests()[0]!;
    const parts = Array.from({ length: 450 }, (_, i) => ({ ...base, id: `row-${1000 + i}` }));
    const { importId } = stagePiece({ kind: 'rest', parts }, db);
    const pages = [0, 200, 400].map((offset) => lookAtImport(importId, db, offset));
    expect(pages.map(({ rows, rowCount }) => [rows.length, rowCount])).toEqual([
      [200, 450],
      [200, 450],
      [50, 450],
    ]);
    expect(new Set(pages.flatMap(({ rows }) => rows.map(({ id }) => id))).size).toBe(450);
    const asked = (query: string) => offsetOf(new Request(`http://x/${query}`));
    expect([asked(''), asked('?offset=40')]).toEqual([0, 40]);
    for (const bad of ['-1', '1.5', 'x', ''])
      expect(problemOf(() => asked(`?offset=${bad}`)).status).toBe(400);
  });

  test('every part of it comes over with every field', () => {
    const kinds = [...new Set(demoCatalogue().map(({ slot }) => slot))];
    const empty = openDb(':memory:');
    for (const kind of kinds) {
      const parts = demoCatalogue().filter(({ slot }) => slot === kind);
      takeImport(stagePiece({ kind, parts }, empty).importId, { only: null }, empty);
    }
    const byId = (a: AnyPart, b: AnyPart) => a.id.localeCompare(b.id);
    expect(allParts(empty).sort(byId)).toEqual(demoCatalogue().sort(byId));
    empty.close();
  });

  test('cancelled, nothing of it stays', () => {
    const { importId } = stagePiece({ kind: 'rest', parts: changed() }, db);
    expect(dropImport(importId, db)).toEqual({ dropped: rests().length });
    expect(problemOf(() => lookAtImport(importId, db)).status).toBe(404);
    expect(partById(db, 'rest-brand-new')).toBeNull();
  });

  test.each([
    ['an id twice', () => [rests()[0], rests()[0]], 'stands in the file twice'],
    ['an id of another slot', () => [{ ...rests()[0], id: 'sight-steg' }], 'is the id of a sight'],
  ])('%s refuses the piece', (_, parts, why) => {
    const problem = problemOf(() => stagePiece({ kind: 'rest', parts: parts() }, db));
    expect([problem.status, problem.message]).toEqual([422, expect.stringContaining(why)]);
  });
  test('an id twice in two pieces is found too', () => {
    const parts = [rests()[0]];
    const { importId } = stagePiece({ kind: 'rest', parts }, db);
    expect(problemOf(() => stagePiece({ importId, kind: 'rest', parts }, db)).status).toBe(422);
  });
  test.each([
    [{ kind: 'antenna', parts: [1] }, '/kind'],
    [{ kind: 'rest', parts: [] }, '/parts'],
    [{ kind: 'rest', parts: [{ ...demoCatalogue()[0], slot: 'rest' }] }, '/parts/0'],
    [{ kind: 'rest', parts: [{}] }, '/parts/0/id'],
  ])('%j is refused by its pointer', (body, pointer) => {
    const { status, more } = problemOf(() => stagePiece(body, db));
    expect(status).toBe(400);
    expect(more.errors!.some((error) => error.pointer.startsWith(pointer))).toBe(true);
  });

  test('is read piece by piece with word of how far it is', () => {
    const one = rests()[0]!;
    const many = Array.from({ length: 2500 }, (_, i) => ({ ...one, id: `r-${i}` }));
    const said = [...readPieces(writePartFile('rest', many))];
    expect(said.map(({ say }) => say)).toEqual(['progress', 'progress', 'progress', 'read']);
    const last = said.at(-1) as Extract<FileRead, { say: 'read' }>;
    expect(last).toMatchObject({ kind: 'rest', faultCount: 0 });
    expect(last.parts).toEqual(many);
    const lines = writePartFile('rest', many).replace(/,129,/g, ',-1,');
    expect(read(lines)).toMatchObject({ parts: [], faultCount: 2500 });
    expect((read(lines) as typeof last).faults).toHaveLength(20);
  });
  test.each([
    [7, 'no text'],
    ['', 'empty'],
    ['x'.repeat(60_000_001), 'larger than 60 MB'],
    ['id#slot', 'The header lacks slot'],
    ['id,slot,colour\nx,rest,red', 'The header lacks maker'],
    [`${writePartFile('rest', []).trim()},colour\nx,rest`, 'colour is not a column'],
  ])('%.20j is refused: %s', (text, message) =>
    expect(read(text)).toEqual({ say: 'refused', message: expect.stringContaining(message) }),
  );

  test('saved and read is the same', () => {
    const { text, name } = partsFile('quiver', db);
    expect(name).toBe('quiver.csv');
    expect(readPartFile(text).rows.map(({ record }) => record)).toEqual(
      findParts(new URLSearchParams('kind=quiver&limit=200'), db).parts,
    );
    expect(problemOf(() => partsFile('antenna', db)).status).toBe(404);
  });
});

describe('a supplier’s list', () => {
  test('is fetched, shown as differences, and only what is wanted is taken', () => {
    expect(suppliers(db)).toEqual(['Kontor Achterwasser', 'Nordufer Handel', 'Werkhof Lindental']);
    const before = allParts(db);
    const look = fetchSupplierList({ supplier: 'Nordufer Handel' }, db);
    expect(allParts(db)).toEqual(before);
    expect(look.changed).toBeGreaterThan(0);
    const row = look.rows.find(({ changes }) => changes[0]!.column === 'Price, €')!;
    const price = { id: row.id, after: row.changes[0]!.after };
    takeImport(look.importId, { only: [price.id] }, db);
    const same = new Set(before.map((part) => JSON.stringify(part)));
    expect(allParts(db).filter((part) => !same.has(JSON.stringify(part)))).toEqual([
      expect.objectContaining({ id: price.id, priceCents: Math.round(Number(price.after) * 100) }),
    ]);
  });
  test('is fetched again after all of it was taken: nothing is new any more, nothing breaks', () => {
    for (const supplier of suppliers(db)) {
      const first = fetchSupplierList({ supplier }, db);
      takeImport(first.importId, { only: null }, db);
      const second = fetchSupplierList({ supplier }, db);
      takeImport(second.importId, { only: null }, db);
      expect(() => fetchSupplierList({ supplier }, db)).not.toThrow();
    }
  });
  test('an inner blank too many makes no second supplier', () => {
    const rest = partById(db, 'rest-kiebitz')!;
    const cells = { ...cellsOf(rest), supplier: ' Nordufer \u00a0 Handel ' };
    savePart(rest.id, { kind: 'rest', cells }, db);
    expect(suppliers(db)).toEqual(['Kontor Achterwasser', 'Nordufer Handel', 'Werkhof Lindental']);
  });
  test('the same week it is the same list; an unknown supplier has none', () => {
    const strip = ({ rows }: { rows: readonly object[] }) => rows;
    const supplier = 'Kontor Achterwasser';
    expect(strip(fetchSupplierList({ supplier }, db))).toEqual(
      strip(fetchSupplierList({ supplier }, db)),
    );
    expect(problemOf(() => fetchSupplierList({ supplier: 'Nobody' }, db)).status).toBe(404);
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
