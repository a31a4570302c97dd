import type { Page } from 'puppeteer-core';
import { assertSheet } from '@/contracts/sheet';
import type { SheetDocument } from '@/core/sheet';
import { click, find, hits, keyboard, ON_THE_AIM, reads, settled, until, visit } from './hands';
import { Journey } from './journey';
import {
  arrived,
  keptStage,
  namesOwner,
  pairingCode,
  pairs,
  pin,
  sentAll,
  takesSample,
} from './opening';
import { TestShop } from './shop';

const button = (name: string) => `aria/${name}[role="button"]`;
const top = '[data-part="top"]';
/** What waits stands there again, and nothing moves any more. */
const waits = async (page: Page) => {
  await reads(page, 'not connected', top);
  await new Promise((resolve) => setTimeout(resolve, 400));
};

test('an empty machine to the first delivered bow, with two tablets, one of them off line on the lane', async () => {
  const shop = await TestShop.open('none');
  try {
    const counter = await shop.page();
    await visit(counter, shop.url);
    await arrived(counter, '/open');
    await click(counter, button('Open a new shop'));
    await namesOwner(counter, 'Ada Weiss', '2580');
    await takesSample(counter);
    shop.keep(await counter.cookies());
    const journey = new Journey(shop, counter, keyboard(counter));
    await journey.meet('Nele Weber');
    await journey.fit();
    await journey.bow();
    await journey.kit();
    await journey.bench();

    const lane = await shop.page(1280, 800, false, { signedIn: false, keepsPages: true });
    await pairs(lane, shop.url, await pairingCode(counter, shop.url), 'Lane');
    // Nobody else works here yet: it is she.
    await pin(lane, '2580');
    await arrived(lane, '/');
    await keptStage(lane, shop.url, journey.jobId, 'lane');
    // Out to the lane, where the shop's wireless does not reach.
    await lane.setOfflineMode(true);
    const version = (await journey.snapshot()).job.version;
    const hands = keyboard(lane);
    /** Without the server the page is opened anew from the tablet's memory. */
    const part = async (name: string) => {
      await hands.press(`[data-part="parts"] a[href*="part=${name}"]`);
      await until(lane, (wanted) => location.search.includes(wanted), {}, `part=${name}`);
      await lane.waitForSelector('html[data-ready]');
      await waits(lane);
    };
    await part('paper');
    await hands.fill('Nock right (+) or left (−)', '-2');
    await hands.fill('Nock high (+) or low (−)', '3');
    await lane.keyboard.press('Enter');
    await reads(lane, 'good enough', '[data-part="papers"]');
    await reads(lane, 'not connected, 1 entry waits', top);
    await part('cord');
    await hands.press('[data-part="tick"]');
    await reads(lane, '2 entries wait', top);
    await part('speed');
    await hands.number('Arrow speed', await journey['valueFor']('arrowSpeed'));
    await reads(lane, '3 entries wait', top);
    // The tablet's battery was changed in the middle.
    await lane.reload({ waitUntil: 'load' });
    await reads(lane, '3 entries wait', top);
    await part('first');
    await hits(lane, ON_THE_AIM);
    await hands.press('aria/Confirm the distance 18 m[role="button"]');
    // What follows rests on what waits: the marks are there without the server.
    await reads(lane, 'Pin below 18 m');
    await reads(lane, '4 entries wait', top);
    expect((await journey.snapshot()).job.version).toBe(version);

    // Meanwhile at the counter: something else of the same bow.
    await shop.command(journey.jobId, { name: 'setAnswers', job: { notes: 'red string' } });
    // Back in the shop.
    await lane.setOfflineMode(false);
    await sentAll(lane);
    await reads(lane, 'Pin below 18 m');
    const { readings, job } = await journey.snapshot();
    expect(job.notes).toBe('red string');
    for (const key of ['paperTear', 'arrowSpeed', 'firstMark'])
      expect(readings.filter((reading) => reading.key === key)).toHaveLength(1);

    await visit(counter, `${shop.url}/jobs/${journey.jobId}/lane`);
    await find(counter, '[data-part="parts"]');
    await settled(counter);
    await journey.sight();
    await journey.handOver();
    const sheet = await shop.get<SheetDocument>(`/api/v1/jobs/${journey.jobId}/sheets/1`);
    expect(() => assertSheet(sheet)).not.toThrow();
    expect(sheet.open).toEqual([]);
    expect(sheet.marks!.rows.length).toBeGreaterThan(3);
    await visit(counter, `${shop.url}/delivered`);
    await reads(counter, 'Nele Weber');
  } finally {
    await shop.close();
  }
}, 600_000);
