import { demoCatalogue } from '../../demo/load-csv';
import { partFormat, readPartFile, writePartFile } from '@/contracts/part-csv';
import { writeCell } from '@/contracts/csv';
import type { AnyPart } from '@/core/kit';
import type { Db } from '@/data/db';
import { beginTaking, takeSlice } from '@/data/part-imports';
import { allParts, insertItem, partById } from '@/data/stock';
import { readPieces, type FileRead } from '@/workers/part-file';
import {
  dropImport,
  fetchSupplierList,
  finishTakings,
  offsetOf,
  stagePiece,
  takeImport,
} from './part-imports';
import { lookAtImport } from './part-looks';
import { findParts, partsFile, savePart, suppliers } from './part-stock';
import { problemComing, problemOf } from './testing/problem-of';
import { catalogueDb, newDb } from './testing/new-db';

let db: Db;
beforeEach(() => {
  db = catalogueDb();
});
afterEach(() => db.close());

const names = (q: string) =>
  findParts(new URLSearchParams({ q }), db).parts.map(({ model }) => model);
const cellsOf = (part: AnyPart) =>
  Object.fromEntries(
    partFormat(part.slot).columns.map((column) => [column.header, writeCell(column, part)]),
  );

describe('a file', () => {
  const read = (text: unknown) => [...readPieces(text)].at(-1)!;
  const rests = () => demoCatalogue().filter(({ slot }) => slot === 'rest');
  const changed = () =>
    rests().map((part, i) => ({
      ...part,
      ...(i === 0 ? { priceCents: 13900 } : {}),
      ...(i === 1 ? { id: 'rest-brand-new' } : {}),
    }));

  test('comes in pieces, is looked at, and taken at once', async () => {
    const { importId } = await stagePiece({ kind: 'rest', parts: changed().slice(0, 4) }, db);
    const { count } = await stagePiece({ importId, kind: 'rest', parts: changed().slice(4) }, db);
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
    expect(await takeImport(importId, { only: null }, db)).toEqual({ taken: rests().length });
    expect(partById(db, 'rest-brand-new')).toEqual(changed()[1]);
    expect(partById(db, rests()[0]!.id)!.priceCents).toBe(13900);
    expect(names('brand new')).toEqual(['Kiebitz L']);
    expect((await problemComing(() => takeImport(importId, { only: null }, db))).status).toBe(404);
  });

  test('prices over a third apart stand by themselves, and are taken only one by one', async () => {
    const [first, second, third, fourth] = rests();
    const parts = [
      { ...first!, priceCents: Math.round(first!.priceCents * 1.34) },
      { ...second!, priceCents: Math.round(second!.priceCents * 0.66) },
      { ...third!, priceCents: Math.round(third!.priceCents * 1.33), stock: 9 },
      { ...fourth!, stock: 17 },
    ];
    const { importId } = await stagePiece({ kind: 'rest', parts }, db);
    const look = lookAtImport(importId, db);
    expect(look.jumps.map(({ id }) => id).sort()).toEqual([first!.id, second!.id].sort());
    expect([look.jumpCount, look.rowCount, look.changed]).toEqual([2, 2, 4]);
    await takeImport(importId, { only: null, except: [fourth!.id], jumps: [second!.id] }, db);
    expect(partById(db, first!.id)).toEqual(first);
    expect(partById(db, second!.id)!.priceCents).toBe(parts[1]!.priceCents);
    expect(partById(db, third!.id)).toEqual(parts[2]);
    expect(partById(db, fourth!.id)).toEqual(fourth);
  });

  test('every row that changes is named, a page at a time', async () => {
    const base = rests()[0]!;
    const parts = Array.from({ length: 450 }, (_, i) => ({ ...base, id: `row-${1000 + i}` }));
    const { importId } = await stagePiece({ kind: 'rest', parts }, db);
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

  test('every part of it comes over with every field', async () => {
    const kinds = [...new Set(demoCatalogue().map(({ slot }) => slot))];
    const empty = newDb();
    for (const kind of kinds) {
      const parts = demoCatalogue().filter(({ slot }) => slot === kind);
      await takeImport((await stagePiece({ kind, parts }, empty)).importId, { only: null }, empty);
    }
    const byId = (a: AnyPart, b: AnyPart) => a.id.localeCompare(b.id);
    expect(allParts(empty).sort(byId)).toEqual(demoCatalogue().sort(byId));
    empty.close();
  });

  test('what was begun is finished when the program begins again, as it was wished', async () => {
    const base = rests()[0]!;
    const parts = Array.from({ length: 700 }, (_, i) => ({
      ...base,
      id: `row-${1000 + i}`,
      priceCents: 20_000,
    }));
    insertItem(db, { ...base, id: 'row-1650', priceCents: 9_000 });
    insertItem(db, { ...base, id: 'row-1651', priceCents: 9_000 });
    let importId = '';
    for (const from of [0, 350])
      ({ importId } = await stagePiece(
        { ...(importId ? { importId } : {}), kind: 'rest', parts: parts.slice(from, from + 350) },
        db,
      ));
    // Two slices, then the plug is pulled.
    const wish = { only: null, except: ['row-1600'], jumps: ['row-1651'] };
    expect(beginTaking(db, importId, wish)).toBe(true);
    for (let i = 0; i < 2; i++) expect(takeSlice(db, importId, 250)).toBeNull();
    expect([partById(db, 'row-1499'), partById(db, 'row-1500')]).toEqual([parts[499], null]);
    await finishTakings(db);
    expect(parts.filter(({ id }) => partById(db, id)?.priceCents === 20_000)).toHaveLength(698);
    expect(partById(db, 'row-1600')).toBeNull();
    expect(partById(db, 'row-1650')!.priceCents).toBe(9_000);
    expect(partById(db, 'row-1651')!.priceCents).toBe(20_000);
    expect(problemOf(() => lookAtImport(importId, db)).status).toBe(404);
    await finishTakings(db);
  });

  test('taken twice at once it is taken once; nothing is added to or dropped of what is being taken', async () => {
    const parts = Array.from({ length: 400 }, (_, i) => ({ ...rests()[0]!, id: `row-${i}` }));
    const { importId } = await stagePiece({ kind: 'rest', parts }, db);
    const first = takeImport(importId, { only: null }, db);
    const others = [
      () => takeImport(importId, { only: null }, db),
      () => stagePiece({ importId, kind: 'rest', parts: [{ ...parts[0]!, id: 'late' }] }, db),
      () => dropImport(importId, db),
    ];
    for (const other of others)
      expect(await problemComing(other)).toMatchObject({ status: 409, reason: 'is-taken' });
    expect(await first).toEqual({ taken: 400 });
  });

  test('others are served between two slices', async () => {
    const parts = Array.from({ length: 500 }, (_, i) => ({ ...rests()[0]!, id: `row-${i}` }));
    const { importId } = await stagePiece({ kind: 'rest', parts }, db);
    let served = 0;
    let over = false;
    const count = () => {
      served++;
      if (!over) setImmediate(count);
    };
    setImmediate(count);
    await takeImport(importId, { only: null }, db);
    over = true;
    expect(served).toBeGreaterThanOrEqual(2);
  });

  test('of files nobody takes the newest few are kept', async () => {
    const ids = [];
    for (let i = 0; i < 8; i++)
      ids.push((await stagePiece({ kind: 'rest', parts: [rests()[0]] }, db)).importId);
    const there = ids.map((id) => {
      try {
        return lookAtImport(id, db).same;
      } catch {
        return 0;
      }
    });
    expect(there.reduce((sum, n) => sum + n)).toBe(7);
    expect(there.at(-1)).toBe(1);
  });

  test('a file of too many rows is refused before it fills the disk', async () => {
    const { importId } = await stagePiece({ kind: 'rest', parts: [rests()[0]] }, db);
    db.prepare('UPDATE import_file SET count = 100000').run();
    const more = { importId, kind: 'rest', parts: [rests()[1]] };
    expect((await problemComing(() => stagePiece(more, db))).message).toContain('100000 rows');
  });

  test('cancelled, nothing of it stays', async () => {
    const { importId } = await stagePiece({ kind: 'rest', parts: changed() }, db);
    expect(await dropImport(importId, db)).toEqual({ dropped: rests().length });
    expect(problemOf(() => lookAtImport(importId, db)).status).toBe(404);
    expect(partById(db, 'rest-brand-new')).toBeNull();
  });

  test.each([
    ['an id twice', () => [rests()[0], rests()[0]], 'stands in the file twice'],
    ['an id of another slot', () => [{ ...rests()[0], id: 'sight-steg' }], 'is the id of a sight'],
  ])('%s refuses the piece', async (_, parts, why) => {
    const problem = await problemComing(() => stagePiece({ kind: 'rest', parts: parts() }, db));
    expect([problem.status, problem.message]).toEqual([422, expect.stringContaining(why)]);
  });
  test('an id twice in two pieces is found too', async () => {
    const parts = [rests()[0]];
    const { importId } = await stagePiece({ kind: 'rest', parts }, db);
    const again = await problemComing(() => stagePiece({ importId, kind: 'rest', parts }, db));
    expect(again.status).toBe(422);
  });
  test.each([
    [{ kind: 'antenna', parts: [1] }, '/kind'],
    [{ kind: 'rest', parts: [] }, '/parts'],
    [{ kind: 'rest', parts: [{ ...demoCatalogue()[0], slot: 'rest' }] }, '/parts/0'],
    [{ kind: 'rest', parts: [{}] }, '/parts/0/id'],
  ])('%j is refused by its pointer', async (body, pointer) => {
    const { status, more } = await problemComing(() => stagePiece(body, db));
    expect(status).toBe(400);
    expect(more.errors!.some((error) => error.pointer.startsWith(pointer))).toBe(true);
  });

  test('is read piece by piece with word of how far it is', async () => {
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
  // What the files are made of stands in no name of a test: 60 MB would go from process to process with it.
  test.each([
    ['no text', () => 7],
    ['empty', () => ''],
    ['larger than 60 MB', () => 'x'.repeat(60_000_001)],
    ['The header lacks slot', () => 'id#slot'],
    ['The header lacks maker', () => 'id,slot,colour\nx,rest,red'],
    ['colour is not a column', () => `${writePartFile('rest', []).trim()},colour\nx,rest`],
  ])('a file is refused: %s', (message, file) =>
    expect(read(file())).toEqual({ say: 'refused', message: expect.stringContaining(message) }),
  );

  test('saved and read is the same', async () => {
    const { text, name } = partsFile('quiver', db);
    expect(name).toBe('quiver.csv');
    expect(readPartFile(text).rows.map(({ record }) => record)).toEqual(
      findParts(new URLSearchParams('kind=quiver&limit=200'), db).parts,
    );
    expect(problemOf(() => partsFile('antenna', db)).status).toBe(404);
  });
});

describe('a supplier’s list', () => {
  test('is fetched, shown as differences, and only what is wanted is taken', async () => {
    expect(suppliers(db)).toEqual(['Kontor Achterwasser', 'Nordufer Handel', 'Werkhof Lindental']);
    const before = allParts(db);
    const look = await fetchSupplierList({ supplier: 'Nordufer Handel' }, db);
    expect(allParts(db)).toEqual(before);
    expect(look.changed).toBeGreaterThan(0);
    const row = look.rows.find(({ changes }) => changes[0]!.column === 'Price, €')!;
    const price = { id: row.id, after: row.changes[0]!.after };
    await takeImport(look.importId, { only: [price.id] }, db);
    const same = new Set(before.map((part) => JSON.stringify(part)));
    expect(allParts(db).filter((part) => !same.has(JSON.stringify(part)))).toEqual([
      expect.objectContaining({ id: price.id, priceCents: Math.round(Number(price.after) * 100) }),
    ]);
  });
  test('is fetched again after all of it was taken: nothing is new any more, nothing breaks', async () => {
    for (const supplier of suppliers(db)) {
      const first = await fetchSupplierList({ supplier }, db);
      await takeImport(first.importId, { only: null }, db);
      const second = await fetchSupplierList({ supplier }, db);
      await takeImport(second.importId, { only: null }, db);
      expect((await fetchSupplierList({ supplier }, db)).changed).toBeGreaterThan(0);
    }
  });
  test('an inner blank too many makes no second supplier', async () => {
    const rest = partById(db, 'rest-kiebitz')!;
    const cells = { ...cellsOf(rest), supplier: ' Nordufer \u00a0 Handel ' };
    savePart(rest.id, { kind: 'rest', cells }, db);
    expect(suppliers(db)).toEqual(['Kontor Achterwasser', 'Nordufer Handel', 'Werkhof Lindental']);
  });
  test('the same week it is the same list; an unknown supplier has none', async () => {
    const strip = ({ rows }: { rows: readonly object[] }) => rows;
    const supplier = 'Kontor Achterwasser';
    expect(strip(await fetchSupplierList({ supplier }, db))).toEqual(
      strip(await fetchSupplierList({ supplier }, db)),
    );
    expect((await problemComing(() => fetchSupplierList({ supplier: 'Nobody' }, db))).status).toBe(
      404,
    );
  });
});
