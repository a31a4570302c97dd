import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { drawOffOrder } from '@/core/bow';
import { click, find, keyboard, pageText, reads, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
const folder = mkdtempSync(join(tmpdir(), 'waffenrad-files-'));
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await shop.close();
});

async function open(who: string, path: string, words: string) {
  const page = await shop.page();
  const jobId = await shop.jobOf(who);
  await visit(page, `${shop.url}/jobs/${jobId}/${path}`);
  await reads(page, words);
  return { page, jobId };
}

/** Puts a file into a file field, as the browser's own window would. */
async function upload(page: Page, selector: string, name: string, text: string) {
  const path = join(folder, name);
  writeFileSync(path, text);
  const input = (await page.$(selector)) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
}

describe('the draw-off', () => {
  test('bows in the archer’s own order, set alike, marked by pairs, ranked with how sure', async () => {
    const { page, jobId } = await open('Aino', 'bow?part=drawOff', 'Which bows are drawn?');
    const { archer } = await shop.snapshot(jobId);
    // What fits is chosen beforehand; one more is added by hand.
    for (const pressed of await page.$$('[data-part="pick"][aria-pressed="true"]'))
      await pressed.click();
    const picks = await page.$$('[data-part="pick"]');
    const found = await Promise.all(picks.map((pick) => pick.evaluate((node) => node.textContent)));
    for (const name of ['Almveit Grauspecht 34', 'Sundhav Fjordling 31', 'Almveit Grauspecht 36'])
      await picks[found.findIndex((one) => one.includes(name))]!.click();
    await click(page, 'aria/Draw 3 bows[role="button"]');
    await reads(page, 'Draw the first two, then ask.');
    const order = drawOffOrder(archer.id, ['grauspecht-34-r', 'fjordling-31-r', 'grauspecht-36-r']);
    expect((await shop.snapshot(jobId)).job.drawOff!.bowIds).toEqual(order);
    const rows = await page.$$eval('[data-part="line-up"] li', (nodes) =>
      nodes.map((n) => n.innerText),
    );
    expect(rows).toHaveLength(3);
    for (const row of rows)
      expect(row).toMatch(/Module [A-Z].*Bolts .* out \(it comes at 0 turns\)/s);

    // The first pair: the second bow liked in all but one.
    for (let i = 1; i <= 4; i++)
      await click(page, `[data-part="pair-rows"] li:nth-child(${i}) button:nth-child(3)`);
    await click(page, '[data-part="pair-rows"] li:nth-child(5) button:nth-child(2)');
    await reads(page, '5/5', '[data-part="pair-tabs"]');
    await reads(page, 'draw another pair', 'main');
    await click(page, 'aria/Bow 2 against bow 3[role="button"]');
    for (let i = 1; i <= 5; i++)
      await click(page, `[data-part="pair-rows"] li:nth-child(${i}) button:nth-child(1)`);
    const first = await page.$eval('[data-part="rank-rows"] li', (node) => node.innerText);
    const second = (await shop.snapshot(jobId)).job.drawOff!.bowIds[1]!;
    const names: Record<string, string> = {
      'grauspecht-34-r': 'Almveit Grauspecht 34',
      'fjordling-31-r': 'Sundhav Fjordling 31',
      'grauspecht-36-r': 'Almveit Grauspecht 36',
    };
    expect(first).toContain(names[second]);
    expect(first).toContain('liked 9.5 of 10');
    await reads(page, `% sure`, 'main');
    await reads(page, '1 pair is not drawn against each other yet');

    // A mark taken back, and speed let in only on purpose.
    await page.keyboard.press('z');
    await reads(page, 'liked 8.5 of 9', '[data-part="rank-rows"]');
    expect((await shop.snapshot(jobId)).job.drawOff!.speedCounts).toBe(false);
    await click(page, 'aria/yes, as one mark more[role="button"]');
    expect((await shop.snapshot(jobId)).job.drawOff!.speedCounts).toBe(true);
    await click(page, 'aria/Put the draw-off away[role="button"]');
    await reads(page, 'Which bows are drawn?');
  });

  test('one bow alone is no draw-off', async () => {
    const { page } = await open('Bettina', 'bow?part=drawOff', 'Which bows are drawn?');
    for (const pressed of await page.$$('[data-part="pick"][aria-pressed="true"]'))
      await pressed.click();
    await page.$eval('[data-part="pick"]', (node) => (node as HTMLElement).click());
    await click(page, 'aria/Draw 1 bow[role="button"]');
    await reads(page, 'Choose two to five bows.');
  });
});

describe('twists and timing', () => {
  test('the board says how far, the string how many; the cable by what leads, and it is learned', async () => {
    const { page, jobId } = await open('Bettina', 'bow?part=twists', 'The rest of the draw length');
    const hands = keyboard(page);
    await reads(page, 'between module and archer');
    await hands.number('Draw length at the wall', '26 1/2');
    await reads(page, 'between draw board and archer');
    await reads(page, 'into the string', '[data-part="twist-say"]');
    await hands.number('String twists', '2');
    await click(page, 'aria/Measure draw length at the wall[role="button"]');
    await hands.number('Draw length at the wall', '26 3/8');
    await reads(page, 'on this bow, from 1 change');

    await click(page, 'aria/Measure cam timing[role="button"]');
    await click(page, 'aria/bottom cam[role="button"]');
    await hands.number('Cam timing', '3');
    expect((await shop.snapshot(jobId)).readings.at(-1)).toMatchObject({ key: 'timing', si: -3 });
    await reads(page, 'out of the cable the top cam takes up', 'main');
    await click(page, 'aria/Measure cable twists[role="button"]');
    await hands.number('Cable twists', '-2');
    await reads(page, 'Twisted since: look at the stops again');
    await click(page, 'aria/Measure cam timing[role="button"]');
    await click(page, 'aria/bottom cam[role="button"]');
    await hands.number('Cam timing', '1.4');
    await reads(page, 'on this bow, once');
    await click(page, 'aria/Measure cam timing[role="button"]');
    await click(page, 'aria/Both together: take 0[role="button"]');
    await reads(page, 'The cams run together');
  });

  test('one cam has nothing to run together with', async () => {
    const { page } = await open('Noor', 'bow?part=choose', 'in the shop fit');
    await click(page, 'aria/Take this bow: Almveit Zeisig 27[role="button"]');
    await click(page, '[data-part="parts"] a[href*="part=twists"]');
    await reads(page, 'nothing runs ahead of anything');
    expect(await pageText(page, '[data-part="method-rows"]')).not.toContain('Cam timing');
  });
});

describe('draw-force curves', () => {
  const curve = (header: string, rows: readonly (readonly [number, number])[]) =>
    [header, ...rows.map((row) => row.join(','))].join('\n');
  const good = Array.from({ length: 40 }, (_, i): [number, number] => [
    i * 12,
    i < 20 ? i * 10 : i < 32 ? 200 : 200 - (i - 31) * 20,
  ]);

  test('logged on the draw board, kept, laid over another bow’s', async () => {
    const { page, jobId } = await open('Ilse', 'bow?part=force', 'Laid over it');
    const before = (await shop.snapshot(jobId)).curves.length;
    await click(page, 'aria/Log on the draw board[role="button"]');
    await reads(page, 'Draw board, stand-in');
    await (await page.waitForSelector('::-p-aria(Keep this curve[role="button"])'))!.click();
    await reads(page, 'Log on the draw board');
    const { curves } = await shop.snapshot(jobId);
    expect(curves).toHaveLength(before + 1);
    expect(curves.at(-1)).toMatchObject({ source: 'device', bowId: 'fjordling-31-r' });
    expect(curves.at(-1)!.points.length).toBeGreaterThan(70);
    await page.select('[data-part="overlay"] select', 'granit-35-r');
    await reads(page, 'Torvik Granit 35, by the model', '[data-part="legend"]');
    expect((await page.$$('.apexcharts-series')).length).toBe(3);
    expect(await pageText(page, 'main')).toMatch(/Valley \d+ mm \d+ mm \d+ mm/);
  });

  test('a line cut in the middle is said, and what came stays in sight', async () => {
    const { page, jobId } = await open('Ilse', 'bow?part=force', 'Log on the draw board');
    const before = (await shop.snapshot(jobId)).curves.length;
    await click(page, 'aria/Log on the draw board[role="button"]');
    await until(page, () => /[1-9]\d* points/.test(document.body.innerText));
    await shop.kill();
    await reads(page, 'The line to the device was cut');
    await reads(page, 'points', '[data-part="log-curve"]');
    await shop.restart();
    await click(page, 'aria/Forget it[role="button"]');
    expect((await shop.snapshot(jobId)).curves).toHaveLength(before);
  });

  test('over HTTP a pulled cable ends the stream with its reason', async () => {
    const jobId = await shop.jobOf('Ilse');
    const stream = await shop.ask(`/api/v1/jobs/${jobId}/devices/draw-board?pull=12`);
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    const text = await stream.text();
    expect(text).toContain('event: lost');
    expect(text).toContain('does not answer any more');
    expect(text.match(/"point /g)).toHaveLength(12);
    const noBow = await shop.ask(`/api/v1/jobs/${await shop.jobOf('Jarle')}/devices/draw-board`);
    expect(noBow.status).toBe(422);
  });

  test.each([
    [
      'back.csv',
      curve('drawn_mm,force_n', [...good.slice(0, 20), good[10]!]),
      'Line 22: The draw goes back',
    ],
    ['nan.csv', curve('drawn_mm,force_n', [...good.slice(0, 20), [250, Number.NaN]]), 'Line 22'],
    ['five.csv', curve('drawn_mm,force_n', good.slice(0, 5)), 'at least 8 points; this has 5'],
    ['junk.csv', 'k%'.repeat(500_000), 'larger than 200 kB'],
    ['bare.csv', curve('a,b', good), 'Line 1 must be drawn_mm,force_n'],
  ])('%s is refused by name, nothing is kept', async (name, text, says) => {
    const { page, jobId } = await open('Ilse', 'bow?part=force', 'Read a logged curve');
    const before = (await shop.snapshot(jobId)).job.version;
    await upload(page, '#curve-file', name, text);
    await reads(page, `${name}: `, '[data-part="log-curve"]');
    await reads(page, says, '[data-part="log-curve"]');
    expect((await shop.snapshot(jobId)).job.version).toBe(before);
  });

  test('a good file is kept and can be taken back', async () => {
    const { page, jobId } = await open('Ilse', 'bow?part=force', 'Read a logged curve');
    const before = (await shop.snapshot(jobId)).curves.length;
    await upload(page, '#curve-file', 'good.csv', curve('drawn_mm,force_n', good));
    await reads(page, 'Draw-force curve of 40 points kept');
    expect((await shop.snapshot(jobId)).curves).toHaveLength(before + 1);
    await page.keyboard.press('z');
    await until(page, () => !document.body.innerText.includes('40 points kept'));
    expect((await shop.snapshot(jobId)).curves).toHaveLength(before);
  });
});

describe('the shop’s bows', () => {
  const demo = readFileSync('demo/bows.csv', 'utf8').trimEnd().split('\n');
  const [head, ...rows] = demo as [string, ...string[]];
  const faulty = [
    head,
    rows[0]!.replace(',899,2,', ',950,2,'),
    rows[1]!.replace(',left,', ',both,'),
    rows[2]!.replace('fjordling-29-r', 'fjordling-29-x').replace(',50,70,', ',70,50,'),
  ].join('\n');

  test('a file is looked at first; bad rows are named by line and column, good ones kept', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/bows`);
    await click(page, 'aria/Read a file[role="button"]');
    await upload(page, '#bow-file', 'bows.csv', faulty);
    await reads(page, '0 new, 1 changed, 0 as they are, 2 faults. Nothing is saved yet.');
    const table = await pageText(page, '[data-part="faults"]');
    expect(table).toMatch(/3 hand “both” must be one of right, left/);
    expect(table).toMatch(/4 min_peak_lb must be lighter/);
    await click(page, 'aria/Refuse the whole file[role="button"]');
    await reads(page, '€ 899', '[data-part="stock-table"]');
    await click(page, 'aria/Read a file[role="button"]');
    await upload(page, '#bow-file', 'bows.csv', faulty);
    await click(page, 'aria/Keep the 1 good row[role="button"]');
    await reads(page, '€ 950', '[data-part="stock-table"]');
    const refused = await shop.send('/api/v1/shop/bows/file', { text: faulty, mode: 'allOrNone' });
    expect(refused.status).toBe(422);
  });

  test('what the shop writes it reads back as it is', async () => {
    const text = await (await shop.ask(`/api/v1/shop/bows/file`)).text();
    const answer = await shop.send('/api/v1/shop/bows/file', { text, mode: 'check' });
    expect(answer.body).toMatchObject({ added: 0, changed: 0, same: 12, faults: [] });
  });

  test('one bow by its form: wrong figures are marked and kept in sight, right ones saved', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/bows`);
    await click(page, '[data-part="stock-table"] .MuiButton-link');
    await (await find(page, '#cell-max_turns')).click({ clickCount: 3 });
    await page.keyboard.type('many');
    await click(page, 'aria/Save the bow[role="button"]');
    await reads(page, 'Limit of turns “many” is not a number');
    expect(await page.$eval('#cell-max_turns', (node) => (node as HTMLInputElement).value)).toBe(
      'many',
    );
    await (await find(page, '#cell-max_turns')).click({ clickCount: 3 });
    await page.keyboard.press('Backspace');
    await click(page, 'aria/Save the bow[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    await reads(page, 'weigh only', '[data-part="stock-table"]');
  });
});
