import { derive, HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import { jobTotal } from '@/core/quote';
import { deliveryNote, type SheetDocument } from '@/core/sheet';
import { writeMoney } from '@/core/units';
import { aBow } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { sheetDocument } from '@/data/sheets';
import { insertBow, partById } from '@/data/stock';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { deliveryPdf } from '../pdf/sheet-pdf';
import { loadDelivery } from '../sheets';
import { saveShop } from '../shop';
import { problemOf } from '../testing/problem-of';
import { createJob, runCommand } from '.';
import { catalogueDb } from '../testing/new-db';

let db: Db;
let one: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow({ stock: 3 }));
  one = createJob({ who: 'T', archer: { name: 'Eins' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const now = () => loadSnapshot(one.job.id, db)!;
function send(command: object, who = 'T') {
  return runCommand(one.job.id, { version: now().job.version, who, command }, db);
}
/** Blanks of every width as one. */
const plain = (text: string) => text.replace(/\s+/g, ' ');
const total = () => jobTotal(now(), derive(now())).totalCents;
const refusal = (command: object) => problemOf(() => send(command));
const handOver = (more: object = {}) => {
  for (const { id } of HANDOVER_CAUTIONS)
    if (!now().acknowledged.includes(id)) send({ name: 'acknowledge', cautionId: id, yes: true });
  return send({ name: 'handOver', openReason: 'a test of the bill', ...more });
};
const sheet = (revision = 1) => sheetDocument(db, one.job.id, revision) as SheetDocument;

describe('lines of the bill', () => {
  test('are added, taken off, undone; header, quote and sheet come to the same', () => {
    send({ name: 'addExtra', text: 'Engraving', entered: '15,90' });
    send({ name: 'addExtra', text: '', entered: '5 %' });
    expect(now().job.extras.map(({ text, cents }) => [text, cents])).toEqual([
      ['Engraving', 1590],
      ['Discount 5 %', -Math.round((89900 + 1590) * 0.05)],
    ]);
    expect(total()).toBe(89900 + 1590 - 4575);
    send({ name: 'giveQuote' });
    expect(now().quotes[0]!.totalCents).toBe(total());
    handOver();
    pretendNow(new Date('2026-11-24T10:00:00Z'));
    expect(sheet().totalCents).toBe(total());
    expect(sheet().extras).toHaveLength(2);
    const [line] = now().job.extras;
    send({ name: 'removeExtra', id: line!.id });
    expect(now().job.extras).toHaveLength(1);
    expect(send({ name: 'undo' }).job.extras).toHaveLength(2);
  });
  test.each([
    ['more off than it comes to', { text: 'x', entered: '-900' }, 'below-nothing'],
    ['a line without words', { text: '  ', entered: '5' }, 'no-text'],
    ['an amount that is none', { text: 'x', entered: 'five' }, 'notANumber'],
    ['one that is not there', { id: 'x' }, 'no-line'],
  ])('%s is refused, and nothing is changed', (_, fields, reason) => {
    const name = 'id' in fields ? 'removeExtra' : 'addExtra';
    expect(refusal({ name, ...fields }).reason).toBe(reason);
    expect(now().job.extras).toEqual([]);
  });
  test('a bow put back under a discount leaves a total of nothing, never less', () => {
    send({ name: 'addExtra', text: 'a friend', entered: '-800' });
    send({ name: 'chooseBow', bowId: null });
    expect(total()).toBe(0);
  });
});

describe('quote and money', () => {
  test('a quote is accepted while it holds; what is other since is told by its total', () => {
    send({ name: 'giveQuote' });
    expect(send({ name: 'acceptQuote', revision: 1 }, 'M').job.accepted).toEqual({
      revision: 1,
      totalCents: 89900,
      day: '2026-11-24',
      who: 'M',
    });
    expect(refusal({ name: 'acceptQuote', revision: 1 }).reason).toBe('accepted-already');
    expect(refusal({ name: 'acceptQuote', revision: 9 }).reason).toBe('no-quote');
    expect(send({ name: 'undo' }).job.accepted).toBeNull();
    pretendNow(new Date('2027-02-01T09:00:00Z'));
    expect(refusal({ name: 'acceptQuote', revision: 1 }).message).toContain('held until');
  });
  test('deposit, rest, and back again; never more than is left or was paid', () => {
    send({ name: 'notePayment', kind: 'deposit', way: 'cash', entered: '300' });
    expect(
      plain(refusal({ name: 'notePayment', kind: 'rest', way: 'card', entered: '600' }).message),
    ).toContain('€ 599 are left');
    send({ name: 'notePayment', kind: 'rest', way: 'card', entered: '599' });
    expect(
      refusal({ name: 'notePayment', kind: 'rest', way: 'card', entered: '1' }).message,
    ).toContain('Everything is paid');
    expect(refusal({ name: 'notePayment', kind: 'back', way: 'cash', entered: '900' }).reason).toBe(
      'more-than-paid',
    );
    send({ name: 'notePayment', kind: 'back', way: 'cash', entered: '99' });
    expect(now().payments.map(({ kind, cents, way, who }) => [kind, cents, way, who])).toEqual([
      ['deposit', 30000, 'cash', 'T'],
      ['rest', 59900, 'card', 'T'],
      ['back', -9900, 'cash', 'T'],
    ]);
    expect(send({ name: 'undo' }).payments).toHaveLength(2);
    expect(send({ name: 'redo' }).payments).toHaveLength(3);
    send({ name: 'removePayment', payment: now().payments[0]!.id });
    expect(now().payments).toHaveLength(2);
    expect(send({ name: 'undo' }).payments).toHaveLength(3);
  });
});

describe('the delivery note', () => {
  test('says what went with its number, what it cost, was paid and is left', async () => {
    send({ name: 'takeReadings', readings: [{ key: 'serialNumber', entered: 'TH-9001' }] });
    send({
      name: 'choosePart',
      slot: 'rest',
      itemId: 'rest-regenpfeifer',
      owned: false,
      label: '',
    });
    expect(problemOf(() => loadDelivery(one.job.id, db)).reason).toBe('not-handed-over');
    send({ name: 'notePayment', kind: 'deposit', way: 'cash', entered: '300' });
    handOver();
    const { sheet: made, money } = loadDelivery(one.job.id, db);
    const note = deliveryNote(made, money, true);
    const text = note.blocks.flatMap(({ rows }) =>
      rows.map((row) => plain(row.map((c) => c.text).join(' | '))),
    );
    expect(text.join('\n')).toContain('no. TH-9001');
    expect(text).toContain('Deposit | Tue 24 Nov 2026, cash | −€ 300');
    const left = made.totalCents - 30000;
    expect(text).toContain(`Left to pay | | ${plain(writeMoney(left))}`);
    // What is handed over open has its reason on it.
    expect(note.blocks.find(({ id }) => id === 'open')!.note).toContain('a test of the bill');
    const bare = deliveryNote(made, money, false);
    expect(JSON.stringify(bare.blocks)).not.toContain('€');
    const pdf = await deliveryPdf(made, money, { paper: 'A4', prices: true });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  });
});

describe('the signature', () => {
  const drawn = {
    width: 400,
    height: 150,
    strokes: [
      [1, 2, 30, 40],
      [5, 6],
    ],
  };
  test('drawn on the screen it stands on the sheet', () => {
    handOver({ signature: drawn });
    expect(sheet().signature).toEqual({
      by: 'archer',
      name: 'Eins',
      width: 400,
      height: 150,
      path: 'M1 2L30 40M5 6',
    });
  });
  test('of a minor the guardian signs; on paper there is none', () => {
    send({ name: 'setAnswers', archer: { minor: true, guardianName: 'Femke' } });
    handOver({ signature: drawn });
    expect(sheet().signature).toMatchObject({ by: 'guardian', name: 'Femke' });
    handOver();
    expect(sheet(2).signature).toBeNull();
  });
  test.each([
    ['half a point', { ...drawn, strokes: [[1, 2, 3]] }],
    ['nothing drawn', { ...drawn, strokes: [] }],
    ['beyond every screen', { ...drawn, strokes: [[1, 99_999]] }],
    ['no numbers', { ...drawn, strokes: [['M0', 'L9']] }],
    ['too many strokes', { ...drawn, strokes: Array.from({ length: 201 }, () => [1, 1]) }],
  ])('%s is refused and nothing is handed over', (_, signature) => {
    for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
    const problem = refusal({ name: 'handOver', openReason: 'a test', signature });
    expect([400, 422]).toContain(problem.status);
    expect(now().sheets).toEqual([]);
  });
});

describe('what steps use up', () => {
  const uses = (lasts: number) =>
    saveShopSettings(db, {
      ...shopSettings(db),
      steps: { edits: [], own: [], uses: [{ stepId: 'loop', partId: 'wachs', lasts }] },
    });
  const stock = () => partById(db, 'wachs')!.stock;
  /** The step is done: a loop was tied. */
  const tie = () => {
    send({ name: 'choosePart', slot: 'loop', itemId: null, owned: true, label: 'a cord' });
    send({
      name: 'takeReadings',
      readings: [
        { key: 'nockHeight', entered: '1 mm' },
        { key: 'loop', entered: '13 mm' },
        { key: 'loopPlace', entered: '', choice: 'around' },
      ],
    });
  };

  test('comes off the shelf in whole pieces, once for a bow, and back with the handover', () => {
    uses(2);
    const before = stock();
    tie();
    handOver();
    expect(stock()).toBe(before);
    const first = one;
    one = createJob({ who: 'T', archer: { name: 'Zwei' }, job: {} }, db);
    send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
    tie();
    handOver();
    expect(stock()).toBe(before - 1);
    handOver();
    expect(stock()).toBe(before - 1);
    send({ name: 'takeBackHandover', reason: 'again' });
    expect(stock()).toBe(before);
    one = first;
    send({ name: 'takeBackHandover', reason: 'again' });
    expect(stock()).toBe(before);
  });
  test('a step that was not done uses nothing', () => {
    uses(1);
    const before = stock();
    handOver();
    expect(stock()).toBe(before);
  });
  test('of a step or part nobody knows, or twice: refused in the settings', () => {
    const { people: _people, ...shop } = shopSettings(db);
    const save = (use: readonly object[]) => () =>
      saveShop({ ...shop, steps: { edits: [], own: [], uses: use } }, db);
    const use = { stepId: 'loop', partId: 'wachs', lasts: 3 };
    expect(save([use])()).toBeDefined();
    for (const [list, pointer] of [
      [[{ ...use, stepId: 'dance' }], '/steps/uses/0/stepId'],
      [[{ ...use, partId: 'air' }], '/steps/uses/0/partId'],
      [[use, use], '/steps/uses/1'],
      [[{ ...use, lasts: 0 }], '/steps/uses/0/lasts'],
    ] as const)
      expect(problemOf(save(list)).more.errors![0]!.pointer).toBe(pointer);
  });
});
