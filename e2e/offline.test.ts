import type { Page } from 'puppeteer-core';
import { click, find, openAnew, pageText, reads, settled, until } from './hands';
import { arrived, keptStage, pairingCode, pairs, sentAll, signsIn } from './opening';
import { TestShop } from './shop';

/** The lane out of reach of the shop's wireless: entries wait in the tablet and come back in order. */

let shop: TestShop;
beforeAll(async () => (shop = await TestShop.open('demo')));
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

const button = (name: string) => `aria/${name}[role="button"]`;
const top = '[data-part="top"]';
const waits = (page: Page, words: string) => reads(page, words, top);
/** Types a reading into the measuring field and takes it. */
async function take(page: Page, text: string): Promise<void> {
  await find(page, '[data-measure]');
  await page.focus('[data-measure]');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await until(page, () => document.querySelector<HTMLInputElement>('[data-measure]')?.value === '');
}

/** Another tablet, paired by a code, with somebody at it. */
async function secondTablet(): Promise<Page> {
  const code = await pairingCode(await shop.page(), shop.url);
  const page = await shop.page(1024, 768, false, { signedIn: false, keepsPages: true });
  await pairs(page, shop.url, code, 'Lane');
  await signsIn(page, 'M. Lindauer', '1379');
  await arrived(page, '/');
  return page;
}

test('two tablets, one off line: what it took waits over reload and stage, comes in order, and both stay', async () => {
  const jobId = await shop.jobOf('Noor');
  const lane = await secondTablet();
  await keptStage(lane, shop.url, jobId, 'fit');
  const before = await shop.snapshot(jobId);
  await lane.setOfflineMode(true);
  await take(lane, '25 7/8');
  await waits(lane, 'not connected, 1 entry waits');
  await take(lane, '26');
  await waits(lane, '2 entries wait');
  await reads(lane, 'not sent yet');
  // The application opens again without the server, with what waits.
  await lane.reload({ waitUntil: 'load' });
  await waits(lane, '2 entries wait');
  await reads(lane, '25 7/8', '[data-part="method-rows"]');
  // Meanwhile, at the counter.
  expect((await shop.snapshot(jobId)).job.version).toBe(before.job.version);
  await shop.command(jobId, {
    name: 'takeReadings',
    readings: [{ key: 'wallToMouth', entered: '25 3/4' }],
  });
  await lane.setOfflineMode(false);
  await sentAll(lane);
  const { fitReadings, events } = await shop.snapshot(jobId);
  expect(fitReadings.slice(-3).map(({ key, entered, who }) => [key, entered, who])).toEqual(
    [
      ['markedArrow', '25 7/8 in', 'M. Lindauer'],
      ['markedArrow', '26 in', 'M. Lindauer'],
      ['wallToMouth', '25 3/4 in', 'T. Okoro'],
    ].sort((a, b) => order(fitReadings, a) - order(fitReadings, b)),
  );
  expect(events.slice(0, 3).map(({ who }) => who)).toEqual([
    'M. Lindauer',
    'M. Lindauer',
    'T. Okoro',
  ]);
  await reads(lane, '25 3/4', '[data-part="method-rows"]');
}, 180_000);

/** Where a reading stands among all. */
const order = (all: readonly { readonly entered: string }[], [, entered]: readonly string[]) =>
  all.findIndex((reading) => reading.entered === entered);

test('another word on the same value is asked about; both are kept and the one chosen counts', async () => {
  const jobId = await shop.jobOf('Ilse');
  const lane = await shop.page(1024, 768, false, { keepsPages: true });
  const step = 'bench?step=peepHeight';
  await keptStage(lane, shop.url, jobId, 'bench');
  await openAnew(lane, `${shop.url}/jobs/${jobId}/${step}`);
  await find(lane, '[data-measure]');
  const label = await lane.$eval(
    '[data-measure]',
    (node) => (node as HTMLInputElement).labels![0]!.innerText,
  );
  await lane.setOfflineMode(true);
  await take(lane, '150 mm');
  await waits(lane, '1 entry waits');
  const [taken] = (await lane.evaluate(
    () =>
      new Promise((resolve) => {
        const asked = indexedDB.open('waffenrad');
        asked.onsuccess = () => {
          const all = asked.result.transaction('waiting').objectStore('waiting').getAll();
          all.onsuccess = () => resolve(all.result);
        };
      }),
  )) as { command: { readings: [{ key: string }] } }[];
  const { key } = taken!.command.readings[0];
  await shop.command(jobId, { name: 'takeReadings', readings: [{ key, entered: '158 mm' }] });
  await lane.setOfflineMode(false);
  await waits(lane, '1 entry asks');
  const of = async () =>
    (await shop.snapshot(jobId)).readings
      .filter((reading) => reading.key === key)
      .map(({ entered }) => entered);
  expect(await of()).not.toContain('150 mm');
  await click(lane, 'aria/1 entry asks[role="button"]');
  await reads(lane, '158 mm', '[role="dialog"]');
  await reads(lane, '150 mm', '[role="dialog"]');
  await click(lane, button('Theirs counts, both stay'));
  await sentAll(lane);
  expect((await of()).slice(-2)).toEqual(['150 mm', '158 mm']);
  expect(label).not.toBe('');
}, 180_000);

test('the session is over when it comes back: who signs in sends it, who made it stays', async () => {
  const jobId = await shop.jobOf('Noor');
  const lane = await secondTablet();
  await keptStage(lane, shop.url, jobId, 'fit');
  await lane.setOfflineMode(true);
  await take(lane, '25 5/8');
  await waits(lane, '1 entry waits');
  // Meanwhile the owner gives M. Lindauer another PIN: whoever was signed in with the old one is out.
  const { people } = await shop.get<{ people: { id: string; name: string }[] }>('/api/v1/session');
  const { id } = people.find(({ name }) => name === 'M. Lindauer')!;
  await shop.send(`/api/v1/people/${id}`, { secret: '739164' }, 'PATCH');
  await lane.setOfflineMode(false);
  await reads(lane, 'What was typed stands behind it');
  await signsIn(lane, 'P. Sander', '4826');
  await reads(lane, 'P. Sander', '#who');
  await sentAll(lane);
  const { fitReadings } = await shop.snapshot(jobId);
  expect(fitReadings.find(({ entered }) => entered === '25 5/8 in')).toMatchObject({
    who: 'M. Lindauer',
  });
}, 180_000);

test('the server dies while something is entered: it waits, and counts once', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page();
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  await find(page, '[data-measure]');
  await shop.kill();
  await take(page, '25 15/16');
  await take(page, '25 13/16');
  await waits(page, '2 entries wait');
  // What rests on the shelf of the shop does not wait, and says so.
  await page.keyboard.press('Escape');
  await shop.restart();
  await sentAll(page);
  await settled(page);
  const entered = (await shop.snapshot(jobId)).fitReadings.map((reading) => reading.entered);
  expect(entered.filter((text) => text === '25 15/16 in')).toHaveLength(1);
  expect(entered.filter((text) => text === '25 13/16 in')).toHaveLength(1);
  expect(await pageText(page, top)).not.toContain('wait');
}, 180_000);

test('a wireless that says nothing: the page that is here opens, the entry waits, and counts once', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page(1280, 800, false, { keepsPages: true });
  await keptStage(page, shop.url, jobId, 'fit');
  const version = (await shop.snapshot(jobId)).job.version;
  shop.silent();
  try {
    await take(page, '25 11/16');
    await waits(page, '1 entry waits');
    await page.goto(`${shop.url}/jobs/${jobId}/fit`);
    await waits(page, '1 entry waits');
    await reads(page, '25 11/16', '[data-part="method-rows"]');
  } finally {
    shop.heardAgain();
  }
  await sentAll(page);
  const { job, fitReadings } = await shop.snapshot(jobId);
  expect(fitReadings.filter(({ entered }) => entered === '25 11/16 in')).toHaveLength(1);
  expect(job.version).toBe(version + 1);
}, 180_000);
