import type { Db } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { deliveryNote } from '@/core/sheet';
import { told } from '@/core/testing/told';
import { knownArcher, longGoneArchers } from '@/server/archers';
import { singleBows } from '@/server/bow-pieces';
import { calendarView } from '@/server/calendar';
import { pretendNow } from '@/server/clock';
import { find } from '@/server/find';
import { historyPage } from '@/server/history';
import { orders, ordersFile } from '@/server/orders';
import { frontierFor, packagesFor } from '@/server/packages';
import { findParts } from '@/server/part-stock';
import { registerFile, registerView } from '@/server/register';
import { loadDelivery } from '@/server/sheets';
import { bowsFor } from '@/server/stock';
import { stopSolver } from '@/server/solver';
import { demoAt, demoJobs } from '@/server/testing/demo-db';
import { todayView } from '@/server/today-view';

/* What the shop's pages say of the demo shop, kept as in told.test.ts. */
let db: Db;
beforeAll(() => {
  db = demoAt();
});
afterAll(async () => {
  pretendNow(null);
  db.close();
  await stopSolver();
});
const id = (name: string) => demoJobs(db).get(name)!.job.id;

/** Rows of a table of the shop's file, what is long in JSON opened; `by` where their order hangs on ids. */
const table = (name: string, by = 'rowid') =>
  (db.prepare(`SELECT * FROM ${name} ORDER BY ${by}`).all() as Record<string, unknown>[]).map(
    (row) =>
      Object.fromEntries(
        // The bows of a draw-off come in an order made of the archer's id.
        Object.entries({ ...row, draw_off_json: null }).map(([key, value]) => [
          key,
          key.endsWith('_json') && typeof value === 'string' ? JSON.parse(value) : value,
        ]),
      ),
  );

const TABLES = [
  ...['archer', 'job', 'job_part', 'job_bow', 'bow_piece', 'acknowledgement'],
  ...['left_bow', 'used_up'],
];
test.each(TABLES)('rows of %s', (name) => {
  expect(told(table(name))).toMatchSnapshot();
});
test('parts on bows', () => {
  const rows = table('part_on_bow', 'item_id');
  expect(told(rows.map(({ item_id, slot }) => `${slot}: ${item_id}`).sort())).toMatchSnapshot();
});
test('entries of a job, with what takes them back', () => {
  expect(
    told(table('job_event').filter(({ job_id }) => job_id === id('Teodor'))),
  ).toMatchSnapshot();
});

test('today', async () => {
  expect(told(await todayView(db))).toMatchSnapshot();
});
test('the calendar', async () => {
  expect(told(await calendarView(db))).toMatchSnapshot();
});
test('people, and what is held of them', () => {
  const archers = allJobs(db).map(({ archerId }) => knownArcher(archerId, db));
  expect(told({ archers, gone: longGoneArchers(db) })).toMatchSnapshot();
});
test('what is found', () => {
  const found = ['aino', 'lindqvst', '1', 'ruusu', 'nobody'].map((words) => find(words, db));
  expect(told(found)).toMatchSnapshot();
});
test('the register, orders and single bows', () => {
  expect(
    told({
      register: registerView({}, db),
      file: registerFile({}, db),
      orders: orders(db),
      ordersFile: ordersFile(db),
      single: singleBows(db),
    }),
  ).toMatchSnapshot();
});
test('bows and parts as a job sees them', () => {
  const bows = bowsFor(id('Ove'), db).map(({ bow, ...rest }) => ({
    ...rest,
    bow: bow.id,
    stock: bow.stock,
    priceCents: bow.priceCents,
  }));
  const { parts, ...found } = findParts(new URLSearchParams('words=sight'), db);
  expect(told({ bows, found, parts: parts.slice(0, 3) })).toMatchSnapshot();
});
test('packages', async () => {
  const packages = await packagesFor(id('Bettina'), db);
  const frontier = await frontierFor(id('Bettina'), db);
  expect(told({ packages, frontier })).toMatchSnapshot();
});
test('a page of history', () => {
  const page = historyPage(id('Teodor'), new URLSearchParams(), db);
  expect(told(page)).toMatchSnapshot();
});
test('the delivery note', () => {
  const { sheet, money } = loadDelivery(id('Aino'), db);
  expect(told(deliveryNote(sheet, money, true))).toMatchSnapshot();
});
