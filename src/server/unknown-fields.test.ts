import type { Db } from '@/data/db';
import { saveSingleBow } from './bow-pieces';
import { importBows, saveBow } from './bow-stock';
import { putVisit } from './calendar';
import { historyPreview } from './history';
import { takeClosedDays } from './ics';
import { noteStepTime } from './note-step-time';
import { settleShelfOrder } from './orders';
import { fetchSupplierList, stagePiece, takeImport } from './part-imports';
import { savePart } from './part-stock';
import { Problem } from './problem';
import { rememberPlace } from './remember-place';
import { newDb } from './testing/new-db';

let db: Db;
beforeEach(() => (db = newDb()));
afterEach(() => db.close());

/** Each with a body it reads; what it then says of an empty shop is no matter here. */
const READS: readonly [string, (body: object) => unknown, object][] = [
  ['a part', (body) => savePart('p1', body, db), { kind: 'rest', cells: {} }],
  ['a piece of a file', (body) => stagePiece(body, db), { kind: 'rest', parts: [{}] }],
  ['what is taken of a file', (body) => takeImport('i1', body, db), { only: null }],
  ['a supplier’s list', (body) => fetchSupplierList(body, db), { supplier: 'Nordufer Handel' }],
  ['an order', (body) => settleShelfOrder('1', body, db), { state: 'arrived' }],
  ['a bow', (body) => saveBow('b1', body, db), { cells: {} }],
  ['a single bow', (body) => saveSingleBow('S-1', body, db), { bowId: 'b1', cells: {} }],
  ['a file of bows', (body) => importBows(body, db), { text: 'id', mode: 'check' }],
  [
    'a visit put',
    (body) => putVisit(body, db),
    { jobId: 'j', visitId: 'v', at: { day: '2026-11-24', minutes: 600 }, who: 'T. Okoro' },
  ],
  ['what taking back would change', (body) => historyPreview('j', body, db), { event: 1 }],
  ['closed days', (body) => takeClosedDays(body, db), { text: 'BEGIN:VCALENDAR' }],
  [
    'minutes of a step',
    (body) => noteStepTime('j', body, db),
    { stepId: 'loop', seconds: 200, who: 'T. Okoro' },
  ],
  ['a place', (body) => rememberPlace('j', body, db), { place: 'fit' }],
];
/** What a refusal says, as it is sent; empty where there was none. */
const refusalOf = async (work: () => unknown): Promise<string> => {
  try {
    await work();
  } catch (fault) {
    if (fault instanceof Problem) return JSON.stringify(fault.body());
    throw fault;
  }
  return '';
};

describe('a field nobody knows is refused, never passed over', () => {
  test.each(READS)('%s', async (_, call, body) => {
    const said = await refusalOf(() => call({ ...body, stranger: 1 }));
    expect(said).toContain('"status":400');
    expect(said).toContain('stranger');
    // Without it nothing is said of it.
    expect(await refusalOf(() => call(body))).not.toContain('stranger');
  });
  test('also one level down', async () => {
    const [, put, body] = READS.find(([name]) => name === 'a visit put')!;
    const at = { day: '2026-11-24', minutes: 600, stranger: 1 };
    expect(await refusalOf(() => put({ ...body, at }))).toContain('stranger');
  });
});
