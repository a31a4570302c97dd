import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { assertSheet } from '@/contracts/sheet';
import type { SheetDocument } from '@/core/sheet';
import { find, fingers, hits, keyboard, ON_THE_AIM, pageText, reads, settled } from './hands';
import { Journey } from './journey';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo');
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

/** Fractions are set from three pieces, on the page and on paper. */
const plain = (text: string) =>
  text
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .replace(/ ?\/ ?/g, '/')
    .trim();

async function pdfPages(jobId: string, paper: string) {
  const response = await shop.ask(`/api/v1/jobs/${jobId}/sheets/1/pdf?paper=${paper}`);
  expect(response.headers.get('content-type')).toBe('application/pdf');
  const file = join(mkdtempSync(join(tmpdir(), 'waffenrad-pdf-')), 'sheet.pdf');
  writeFileSync(file, Buffer.from(await response.arrayBuffer()));
  const text = execFileSync(process.execPath, ['e2e/pdf-text.mjs', file], { encoding: 'utf8' });
  return JSON.parse(text) as { width: number; height: number; text: string }[];
}

/** Page, JSON and both papers say the same numbers as the job's own readings. */
async function sheetAgrees(page: Page, journey: Journey): Promise<void> {
  const { jobId } = journey;
  const sheet = await shop.get<SheetDocument>(`/api/v1/jobs/${jobId}/sheets/1`);
  expect(() => assertSheet(sheet)).not.toThrow();
  const snapshot = await journey.snapshot();
  const onPage = plain(await pageText(page, '[data-part="sheet"]'));
  const a4 = await pdfPages(jobId, 'A4');
  const letter = await pdfPages(jobId, 'LETTER');
  expect([a4[0]!.width, a4[0]!.height].map(Math.round)).toEqual([595, 842]);
  expect([letter[0]!.width, letter[0]!.height].map(Math.round)).toEqual([612, 792]);
  const onPaper = plain(a4.map((p) => p.text).join(' '));
  const onLetter = plain(letter.map((p) => p.text).join(' '));
  expect(sheet.settings.length).toBeGreaterThan(25);
  for (const setting of sheet.settings) {
    const reading = snapshot.readings.filter((r) => r.key === setting.key).at(-1)!;
    expect(setting.si).toBe(reading.si);
    expect(setting.entered).toBe(reading.entered);
    for (const text of [onPage, onPaper, onLetter]) {
      expect(text).toContain(plain(setting.text));
    }
  }
  for (const part of sheet.parts) expect(onPaper).toContain(plain(part.label));
  for (const caution of sheet.cautions) expect(onPage).toContain(caution);
  expect(sheet.open).toEqual([]);
  expect(sheet.marks!.rows.length).toBeGreaterThan(3);
}

test('a new archer through all stages, by touch', async () => {
  const page = await shop.page(1280, 800, true);
  const hands = fingers(page);
  const journey = new Journey(shop, page, hands);
  await journey.meet('Runa Velde');
  await journey.fit();
  await journey.bow();
  await journey.kit();
  await journey.bench();

  await hands.stage(6);
  await hands.press('[data-part="parts"] a[href*="part=paper"]');
  const paper = (await (await find(page, '[data-part="paper"]')).boundingBox())!;
  const centre = { x: paper.x + paper.width / 2, y: paper.y + paper.height / 2 };
  await page.touchscreen.tap(centre.x + (3 / 96) * paper.width, centre.y - (2 / 96) * paper.width);
  await reads(page, 'Note it: nock 2 mm high, 3 mm right');
  await hands.press('form [data-part="enter"]');
  await reads(page, 'good enough', '[data-part="papers"]');

  await hands.press('[data-part="parts"] a[href*="part=cord"]');
  await hands.press('[data-part="tick"]');
  await settled(page);
  await hands.press('[data-part="parts"] a[href*="part=speed"]');
  await hands.number('Arrow speed', await journey['valueFor']('arrowSpeed'));
  await hands.press('[data-part="parts"] a[href*="part=first"]');
  const face = await find(page, '[data-part="paper"]');
  await face.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const target = (await face.boundingBox())!;
  for (const [dx, dy] of [
    [0.06, -0.02],
    [-0.05, 0.04],
    [0.01, 0.05],
    [-0.02, -0.06],
  ] as const) {
    await page.touchscreen.tap(
      target.x + target.width * (0.5 + dx),
      target.y + target.height * (0.5 + dy),
    );
  }
  await reads(page, 'cannot be told from the aim');
  await hands.press('aria/Confirm the distance 18 m[role="button"]');
  await reads(page, 'Pin below 18 m');
  await journey.sight();

  await journey.handOver();
  await sheetAgrees(page, journey);
});

test('the same by keyboard only', async () => {
  const page = await shop.page();
  const hands = keyboard(page);
  const journey = new Journey(shop, page, hands);
  await journey.meet('Merle Anders');
  await journey.fit();
  await journey.bow();
  await journey.kit();
  await journey.bench();

  await hands.stage(6);
  await hands.press('[data-part="parts"] a[href*="part=paper"]');
  await hands.fill('Nock right (+) or left (−)', '-2');
  await hands.fill('Nock high (+) or low (−)', '3');
  await page.keyboard.press('Enter');
  await settled(page);
  await reads(page, 'good enough', '[data-part="papers"]');
  await hands.press('[data-part="parts"] a[href*="part=cord"]');
  await hands.press('[data-part="tick"]');
  await settled(page);
  await hands.press('[data-part="parts"] a[href*="part=speed"]');
  await hands.number('Arrow speed', await journey['valueFor']('arrowSpeed'));
  await hands.press('[data-part="parts"] a[href*="part=first"]');
  await hits(page, ON_THE_AIM);
  await hands.press('aria/Confirm the distance 18 m[role="button"]');
  await reads(page, 'Pin below 18 m');
  await journey.sight();
  await journey.handOver();
  await sheetAgrees(page, journey);
});
