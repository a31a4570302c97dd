import { readFileSync } from 'node:fs';
import { HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import { codeText, type SheetDocument } from '@/core/sheet';
import { aBow, FINISHED, FULL_KIT } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { appendReading } from '@/data/records';
import { sheetDocument } from '@/data/sheets';
import { bowById, insertBow, insertItem } from '@/data/stock';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { twinPdf } from '../pdf/block-pdfs';
import { orders } from '../orders';
import { registerView } from '../register';
import { problemOf } from '../testing/problem-of';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let first: JobSnapshot;
let spare: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow({ stock: 5 }));
  insertBow(db, aBow({ id: 'other-33-r', model: 'Other 33', letOff: 0.75, stock: 1 }));
  for (const { item } of FULL_KIT) insertItem(db, item!);
  first = createJob({ who: 'T', archer: { name: 'Eins' }, job: {} }, db);
  const { id } = first.job;
  send(id, { name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
  for (const { key, si, si2, choice, entered, method, who, at } of FINISHED)
    appendReading(db, {
      ...{ jobId: id, bowId: 'test-31-r', key, si, si2, choice, entered, method, who, at },
      retracts: null,
    });
  for (const { id: cautionId } of HANDOVER_CAUTIONS)
    send(id, { name: 'acknowledge', cautionId, yes: true });
  send(id, { name: 'handOver', openReason: 'a test' });
  pretendNow(new Date('2026-11-25T09:00:00Z'));
  spare = createJob({ who: 'T', archerId: first.archer.id, archer: {}, job: {} }, db);
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
function send(jobId: string, command: object) {
  const { version } = loadSnapshot(jobId, db)!.job;
  return runCommand(jobId, { version, who: 'T', command }, db);
}
const set = (from: object) => send(spare.job.id, { name: 'setModel', from });
const sheet = () => sheetDocument(db, first.job.id, 1) as SheetDocument;
const refusal = (from: object) => problemOf(() => set(from)).reason;

describe('the model of a job', () => {
  test('is a sheet of this shop, the newest where none is named; taken back it is as before', () => {
    const { like } = set({ kind: 'sheet', jobId: first.job.id }).job;
    expect(like).toMatchObject({
      source: 'sheet',
      title: 'Sheet 1 of ticket 1001, Eins',
      sheet: { jobId: first.job.id, revision: 1 },
    });
    expect(send(spare.job.id, { name: 'undo' }).job.like).toBeNull();
    expect(send(spare.job.id, { name: 'redo' }).job.like).toEqual(like);
    expect(set({ kind: 'none' }).job.like).toBeNull();
    expect(refusal({ kind: 'none' })).toBe('no-model');
  });

  test('is a file of a sheet, of this version or the first; a card’s code', () => {
    const { like } = set({ kind: 'file', sheet: sheet() }).job;
    expect(like).toMatchObject({ source: 'file', sheet: null });
    expect(like!.values.find(({ key }) => key === 'loop')!.si).toBe(12.7);
    const old = JSON.parse(
      readFileSync('src/contracts/testing/sheet-version-1.json', 'utf8'),
    ) as object;
    expect(set({ kind: 'file', sheet: old }).job.like!.values.length).toBeGreaterThan(10);
    const code = set({ kind: 'code', text: codeText(sheet())! }).job.like!;
    expect(code).toMatchObject({ source: 'code', bow: { name: 'Testhav Probe 31' } });
  });

  test.each<[string, object]>([
    ['no-sheet', { kind: 'file', sheet: { format: 'another-program' } }],
    ['no-sheet', { kind: 'file', sheet: { format: 'waffenrad-build-sheet', formatVersion: 99 } }],
    ['no-sheet', { kind: 'file', sheet: { format: 'waffenrad-build-sheet', formatVersion: 2 } }],
    ['no-sheet', { kind: 'file', sheet: null }],
    ['no-sheet', { kind: 'file', sheet: [[[[]]]] }],
    ['other-code', { kind: 'code', text: 'https://example.org' }],
    ['no-job', { kind: 'sheet', jobId: 'nobody' }],
    ['nothing-measured', { kind: 'oldBow' }],
  ])('%s is told, and nothing is taken', (reason, from) => {
    expect(refusal(from)).toBe(reason);
    expect(loadSnapshot(spare.job.id, db)!.job.like).toBeNull();
  });

  test('a sheet out of range, without a bow, of a job without one, of another hand', () => {
    const wrong = sheet();
    const settings = wrong.settings.map((one) =>
      one.key === 'peakWeight' ? { ...one, si: 19_000 } : one,
    );
    expect(refusal({ kind: 'file', sheet: { ...wrong, settings } })).toBe('out-of-range');
    expect(refusal({ kind: 'file', sheet: { ...wrong, bow: null } })).toBe('no-bow');
    expect(refusal({ kind: 'sheet', jobId: spare.job.id })).toBe('no-sheet');
    expect(refusal({ kind: 'sheet', jobId: first.job.id, revision: 7 })).toBe('no-sheet');
    const left = { ...wrong, bow: { ...wrong.bow!, hand: 'left' } };
    expect(refusal({ kind: 'file', sheet: left })).toBe('wrong-hand');
  });

  test('handed over, stock, orders and register agree: two bows, each with its number, one less on the shelf', () => {
    const { id } = spare.job;
    set({ kind: 'sheet', jobId: first.job.id });
    const before = bowById(db, 'test-31-r')!.stock;
    send(id, { name: 'chooseBow', bowId: 'test-31-r', reason: 'a spare' });
    const read = (entered: string) =>
      send(id, { name: 'takeReadings', readings: [{ key: 'serialNumber', entered }] });
    // The first one's number on the spare is a slip.
    expect(problemOf(() => read('SF-31-0412')).reason).toBe('serial-twice');
    read('SF-31-0413');
    pretendNow(new Date('2026-11-26T09:00:00Z'));
    for (const { id: cautionId } of HANDOVER_CAUTIONS)
      send(id, { name: 'acknowledge', cautionId, yes: true });
    const left = send(id, { name: 'handOver', openReason: 'a test' });
    expect(left.job.like!.title).toBe('Sheet 1 of ticket 1001, Eins');
    expect(bowById(db, 'test-31-r')!.stock).toBe(before - 1);
    expect(orders(db)).toEqual([]);
    expect(
      registerView({ bow: 'test-31-r' }, db).rows.map(({ number, serial }) => [number, serial]),
    ).toEqual([
      [spare.job.number, 'SF-31-0413'],
      [first.job.number, 'SF-31-0412'],
    ]);
    // As it was before the repair: its own sheet is a model too.
    expect(set({ kind: 'sheet', jobId: id }).job.like!.sheet).toEqual({ jobId: id, revision: 1 });
  });

  test('both bows go on paper once there is a model', async () => {
    expect(problemOf(() => twinPdf(loadSnapshot(spare.job.id, db)!, 'A4')).reason).toBe('no-model');
    set({ kind: 'sheet', jobId: first.job.id });
    send(spare.job.id, { name: 'chooseBow', bowId: 'other-33-r', reason: 'a test' });
    const pdf = await twinPdf(loadSnapshot(spare.job.id, db)!, 'LETTER');
    expect(Buffer.from(pdf).subarray(0, 5).toString()).toBe('%PDF-');
  });
});
