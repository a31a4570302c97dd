import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SHEET_GROUPS, type SheetDocument } from '@/core/sheet';
import { REGISTRY, setupValue, type SetupKey } from '@/core/setup';
import { click, find, pageText, reads, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

const folder = mkdtempSync(join(tmpdir(), 'waffenrad-sheet-'));

async function pdf<T>(path: string, script: string): Promise<T> {
  const response = await shop.ask(path);
  expect(response.headers.get('content-type')).toBe('application/pdf');
  const file = join(folder, `${Math.abs(Date.now())}.pdf`);
  writeFileSync(file, Buffer.from(await response.arrayBuffer()));
  return JSON.parse(
    execFileSync(process.execPath, [script, file], { encoding: 'utf8', maxBuffer: 2e8 }),
  ) as T;
}

/** Fractions are set from three pieces. */
const plain = (text: string) =>
  text
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .replace(/ ?\/ ?/g, '/')
    .trim();

/** Settings as they are printed: behind the name stands the number, up to how it is measured. */
function settingsIn(page: string): Map<SetupKey, string> {
  const found = new Map<SetupKey, string>();
  // The words of the drawing come first; the table begins with its first heading.
  const table = page.slice(page.indexOf(SHEET_GROUPS[0]!.name));
  for (const { key, name, backTo, tool } of REGISTRY) {
    if (!backTo || typeof backTo.datum !== 'string') continue;
    const at = table.indexOf(`${name} `);
    const end = table.indexOf(backTo.datum.slice(0, 12), at + name.length);
    if (at < 0 || end < 0 || end - at > 120 || !table.slice(end).includes(tool)) continue;
    found.set(key, table.slice(at + name.length, end).trim());
  }
  return found;
}

/** A number as the sheet says it, as a technician would type it. */
const typed = (key: SetupKey, text: string) =>
  text
    .replace(/^[A-Z0-9-]+ = /, '')
    .replace(/ at .* turns?$/, '')
    .replace(/^mark /, '')
    .replace('−', '-')
    .replace(/ twists?$/, '')
    .replace(/ discs?$/, '')
    .trim() || String(key);

test('a second bow is set by the printed sheet alone, every value within its tolerance', async () => {
  const first = await shop.jobOf('Aino');
  const [page] = await pdf<{ text: string }[]>(
    `/api/v1/jobs/${first}/sheets/1/pdf?paper=A4`,
    'e2e/pdf-text.mjs',
  );
  const printed = settingsIn(plain(page!.text));
  const sheet = await shop.get<SheetDocument>(`/api/v1/jobs/${first}/sheets/1`);

  const made = await shop.send('/api/v1/jobs', {
    archer: { name: 'Zweite Ausgabe' },
    job: {},
  });
  const second = (made.body as { job: { id: string } }).job.id;
  const { bow } = await shop.snapshot(first);
  const taken = await shop.command(second, {
    name: 'chooseBow',
    bowId: bow!.id,
    reason: 'as the sheet',
  });
  expect(taken.status).toBe(200);

  const numbers = sheet.settings.filter(
    ({ key, group, si }) =>
      group !== null && si !== null && setupValue(key as SetupKey).takenWhole !== true,
  );
  let compared = 0;
  for (const { key, si } of numbers) {
    const value = setupValue(key as SetupKey);
    const text = printed.get(key as SetupKey);
    if (typeof value.backTo!.datum !== 'string') continue;
    expect([key, text !== undefined]).toEqual([key, true]);
    const answer = await shop.command(second, {
      name: 'takeReadings',
      readings: [{ key, entered: typed(key as SetupKey, text!) }],
    });
    expect([key, text, answer.status]).toEqual([key, text, 200]);
    const reading = (await shop.snapshot(second)).readings.findLast((one) => one.key === key)!;
    expect([key, Math.abs(reading.si! - si!) <= value.tolerance]).toEqual([key, true]);
    compared++;
  }
  expect(compared).toBeGreaterThan(25);
  // What is no number stands there in words, module letters, limit and strings too.
  const text = plain(page!.text);
  for (const words of [
    'E = 28 in',
    'Limb bolts never more than 10 turns out',
    'GR-34-1187',
    'string 60 1/2 in',
  ])
    expect(text).toContain(words);
});

test('cards measure true on paper, with marks to cut along', async () => {
  const id = await shop.jobOf('Aino');
  for (const [size, width, height, count] of [
    ['field', 85, 54, 4],
    ['case', 105, 148, 2],
  ] as const) {
    const drawn = await pdf<{
      widthMm: number;
      lines: { x1: number; y1: number; x2: number; y2: number; widthMm: number }[];
    }>(`/api/v1/jobs/${id}/sheets/1/card?size=${size}&paper=A4`, 'e2e/pdf-lines.mjs');
    expect(drawn.widthMm).toBeCloseTo(210, 1);
    const folds = drawn.lines.filter(
      ({ x1, x2, y1, y2 }) =>
        Math.abs(x1 - x2) < 0.01 && Math.abs(Math.abs(y2 - y1) - height) < 0.05,
    );
    expect(folds).toHaveLength(count);
    // Cut marks stand a card's width to both sides of the fold.
    const cuts = drawn.lines.filter(
      ({ x1, x2, y1, y2 }) => Math.abs(x1 - x2) < 0.01 && Math.abs(Math.abs(y2 - y1) - 4) < 0.05,
    );
    const sides = [...new Set(cuts.map(({ x1 }) => Math.round(x1 * 100) / 100))].sort(
      (a, b) => a - b,
    );
    expect(sides.at(-1)! - sides[0]!).toBeCloseTo(2 * width, 1);
    expect(folds[0]!.x1 - sides[0]!).toBeCloseTo(width, 1);
  }
});

test('a code is read back from its picture and opens the job; another is told', async () => {
  const id = await shop.jobOf('Aino');
  const page = await shop.page();
  await page.setViewport({ width: 700, height: 700, deviceScaleFactor: 2 });
  await page.goto(`${shop.url}/api/v1/jobs/${id}/sheets/1/code?format=svg`);
  // A tenth of it lies under a thumb.
  await page.evaluate(() => {
    const svg = document.documentElement;
    const thumb = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
    for (const [name, value] of Object.entries({ x: 33, y: 27, width: 18, height: 18 }))
      thumb.setAttribute(name, String(value));
    svg.append(thumb);
  });
  const picture = join(folder, 'code.png');
  await page.screenshot({ path: picture as `${string}.png` });
  await page.setViewport({ width: 1280, height: 800 });

  await visit(page, `${shop.url}/code`);
  const input = (await page.$('#code-picture'))!;
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(picture);
  await reads(page, 'It is a sheet of this shop.');
  await reads(page, '27 3/4 in', '[data-part="code"]');
  await click(page, '[data-part="code"] a');
  await reads(page, 'Aino Ruusu');

  await visit(page, `${shop.url}/code`);
  const field = await find(page, '#code-text');
  await field.click();
  await page.keyboard.type('https://example.org/bow');
  await reads(page, 'This is no code of a build sheet');
});

test('a second visit: what settles is looked at, a turned peep makes revision 2 with its changes marked', async () => {
  const id = await shop.jobOf('Aino');
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${id}/handover`);
  const words = await find(page, '#visit-words');
  await words.click();
  await page.keyboard.type('the peep stands askew');
  await click(page, 'aria/Open the visit[role="button"]');
  await find(page, '[data-part="visit"] [data-key="peepHeight"]');
  // One tap for what is still so; a number for what moved, with the way it went.
  await click(page, '[data-part="visit"] [data-key="braceHeight"] button');
  await find(page, '[data-part="visit"] [data-key="braceHeight"][data-done="yes"]');
  const peep = await find(page, '#visit-peepHeight');
  await peep.click();
  await page.keyboard.type('6 1/4 in');
  await page.keyboard.press('Enter');
  await reads(page, '1/4 in more', '[data-part="visit"] [data-key="peepHeight"]');
  await reads(page, 'moved', '[data-part="visit"] [data-key="peepHeight"]');
  const reason = await find(page, '#open-reason');
  await reason.click();
  await page.keyboard.type('only the peep was looked at');
  // Signed on the screen.
  await click(page, 'aria/on this screen[role="button"]');
  const field = await find(page, '[data-part="signature"]');
  await field.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const box = (await field.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 60);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++)
    await page.mouse.move(box.x + 30 + 20 * i, box.y + 60 + (i % 2) * 40);
  await page.mouse.up();
  await click(page, 'aria/Make revision 2[role="button"]');
  await reads(page, 'Revision 2', '[data-part="sheet-rows"]');

  const sheet = await shop.get<SheetDocument>(`/api/v1/jobs/${id}/sheets/2`);
  const change = sheet.since!.changes.find(({ key }) => key === 'peepHeight')!;
  expect(change).toMatchObject({ from: '6 in', to: '6 1/4 in', within: false });
  expect(sheet.signature).toMatchObject({ by: 'archer', name: 'Aino Ruusu' });
  expect(sheet.visit).toEqual({ kind: 'settled', words: 'the peep stands askew' });
  await visit(page, `${shop.url}/jobs/${id}/sheet/2`);
  const line = plain(await pageText(page, '[data-part="sheet-one"] [data-key="peepHeight"]'));
  expect(line).toContain('6 1/4 in');
  expect(line).toContain('was 6 in');
  for (const paper of ['A4', 'LETTER']) {
    const pages = await pdf<{ text: string }[]>(
      `/api/v1/jobs/${id}/sheets/2/pdf?paper=${paper}`,
      'e2e/pdf-text.mjs',
    );
    expect(plain(pages[0]!.text)).toContain('was 6 in');
    expect(plain(pages[1]!.text)).toContain('Changed since revision 1');
    // Left open and why, on the record.
    expect(plain(pages.map(({ text }) => text).join(' '))).toContain('only the peep was looked at');
  }

  await click(page, 'a[href*="sheet/compare"]');
  await reads(page, 'Revision 1 beside revision 2');
  const table = plain(await pageText(page, '[data-part="sheet-compare"]'));
  expect(table).toContain('Peep on the string 6 in 6 1/4 in changed');
  await page.select('#compare-from', '2');
  await reads(page, 'Nothing was moved.');
  // The first revision stays as it was made.
  const first = await shop.get<SheetDocument>(`/api/v1/jobs/${id}/sheets/1`);
  expect(first.since).toBeNull();

  await visit(page, `${shop.url}/jobs/${id}/sheet/2`);
  expect(await pageText(page, '[data-part="sheet-parts"]')).toMatch(/Grauspecht 34.*€ 1.149/s);
  await click(page, 'a[href$="prices=no"]');
  await reads(page, 'With prices');
  expect(await pageText(page, '[data-part="sheet"]')).not.toContain('€');
});

test('photographs: taken at a step, chosen for the record, refused where they are none', async () => {
  const id = await shop.jobOf('Ilse');
  const page = await shop.page();
  const file = join(folder, 'photo.png');
  await visit(page, `${shop.url}/`);
  await page.screenshot({ path: file as `${string}.png` });
  const upload = async (selector: string, path: string) =>
    ((await page.$(selector)) as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
      path,
    );

  await visit(page, `${shop.url}/jobs/${id}/bench`);
  await upload('[data-part="photo-strip"] input', file);
  await find(page, '[data-part="photo-strip"] img');
  const [photo] = (await shop.snapshot(id)).photos;
  expect(photo).toMatchObject({ who: 'T. Okoro', onRecord: false });
  expect(photo!.about).toMatch(/^(value|step):/);

  const disguised = join(folder, 'disguised.jpg');
  writeFileSync(disguised, '<html>not a picture</html>');
  await upload('[data-part="photo-strip"] input', disguised);
  await reads(page, 'Its bytes are no photograph, whatever its name says');
  const large = join(folder, 'large.jpg');
  writeFileSync(large, Buffer.alloc(40_000_000, 1));
  await upload('[data-part="photo-strip"] input', large);
  await reads(page, 'This file has 40 MB, at most 25 are taken');
  const sent = await shop.ask(`/api/v1/jobs/${id}/photos?about=bow`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: new Uint8Array(26_000_000),
  });
  expect(sent.status).toBe(413);
  expect((await shop.snapshot(id)).photos).toHaveLength(1);

  await visit(page, `${shop.url}/jobs/${id}/handover`);
  await click(page, `#photo-record-${photo!.id}`);
  await shopReads(id, (photos) => photos[0]!.onRecord);
  const words = await find(page, `#photo-words-${photo!.id}`);
  await words.click();
  await page.keyboard.type('as it stands today');
  await page.keyboard.press('Tab');
  await shopReads(id, (photos) => photos[0]!.words === 'as it stands today');
  const picture = await shop.ask(`/api/v1/jobs/${id}/photos/${photo!.id}?size=small`);
  expect(picture.headers.get('content-type')).toBe('image/jpeg');
});

/** Waits until the job’s photographs are as they should be. */
async function shopReads(
  id: string,
  isSo: (photos: Awaited<ReturnType<TestShop['snapshot']>>['photos']) => boolean,
) {
  for (let i = 0; i < 200; i++) {
    if (isSo((await shop.snapshot(id)).photos)) return;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('The photographs did not become so');
}
