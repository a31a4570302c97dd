import { existsSync } from 'node:fs';
import { answered, click, find, lacks, openAnew, pageText, reads, settled, until } from './hands';
import { arrived, choose, pairingCode, pin, signsIn, takesSample } from './opening';
import { TestShop } from './shop';

/** People, tablets and roles, as they are met in the browser. */

const button = (name: string) => `aria/${name}[role="button"]`;
describe('the demo shop', () => {
  let shop: TestShop;
  beforeAll(async () => (shop = await TestShop.open('demo')));
  beforeEach(() => shop.testBegins());
  afterEach(() => shop.testEnds());
  afterAll(async () => {
    await shop.close();
  });
  const door = () => shop.page(1280, 800, false, { signedIn: false });

  test('shows its people with their PINs first; signed in one goes on where one wanted', async () => {
    const page = await door();
    await openAnew(page, `${shop.url}/shop/parts?q=rest`);
    await reads(page, 'Who works here?');
    await reads(page, 'Learner · PIN 7193');
    await signsIn(page, 'J. Imhoff', '7194');
    await reads(page, 'That is not the PIN or password');
    await pin(page, '7193');
    await arrived(page, '/shop/parts');
    expect(page.url()).toContain('?q=rest');
    await reads(page, 'J. Imhoff', '#who');
  });

  test('a learner reads and enters, and is told who may do the rest', async () => {
    const page = await door();
    await openAnew(page, shop.url);
    await signsIn(page, 'J. Imhoff', '7193');
    await arrived(page, '/');
    await openAnew(page, `${shop.url}/shop`);
    await page.waitForSelector('#shop-phone');
    await page.type('#shop-phone', '9');
    await page.keyboard.press('Tab');
    await reads(page, 'A learner may not change the shop’s settings. T. Okoro (owner) can');
    expect(await pageText(page)).not.toContain('People and tablets');
    await page.goto(`${shop.url}/shop/people`);
    await reads(page, 'A learner may not manage people');
  });

  test('another person takes over in the middle of a reading; it is theirs, and what was typed stays', async () => {
    const jobId = await shop.jobOf('Noor');
    const page = await shop.page();
    await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
    await find(page, '[data-measure]');
    await page.type('[data-measure]', '25 3/8');
    await click(page, '#who');
    await signsIn(page, 'M. Lindauer', '1379');
    await reads(page, 'M. Lindauer', '#who');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    expect(await page.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe(
      '25 3/8',
    );
    await page.focus('[data-measure]');
    await page.keyboard.press('Enter');
    await settled(page);
    await reads(page, '25 3/8', '[data-part="method-rows"]');
    const { fitReadings } = await shop.snapshot(jobId).catch(() => ({ fitReadings: [] }));
    // The tablet is M. Lindauer’s now: whoever asked as T. Okoro from it is nobody.
    expect(fitReadings).toBeUndefined();
    await click(page, '#who');
    await signsIn(page, 'T. Okoro', '2580');
    await reads(page, 'T. Okoro', '#who');
    const cookies = await page.cookies();
    shop.keep(cookies);
    const now = await shop.snapshot(jobId);
    expect(now.fitReadings.at(-1)).toMatchObject({ who: 'M. Lindauer', entered: '25 3/8 in' });
    await shop.command(jobId, { name: 'undo' });
  });

  test('locked, the work is covered and keeps what was typed, on every page of the tablet', async () => {
    const jobId = await shop.jobOf('Noor');
    const page = await shop.page();
    await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
    await find(page, '[data-measure]');
    await page.type('[data-measure]', '25 1/2');
    const other = await page.browserContext().newPage();
    await openAnew(other, shop.url);
    await page.bringToFront();
    await click(page, '#who');
    await click(page, button('Lock this tablet'));
    await reads(page, 'What was typed stands behind it');
    await reads(other, 'What was typed stands behind it');
    // The keys of the page behind it are dead.
    await page.keyboard.press('n');
    expect(await pageText(page)).not.toContain('The archer’s name');
    expect((await shop.ask('/api/v1/find?q=Noor')).status).toBe(401);
    await signsIn(page, 'T. Okoro', '2580');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    await until(other, () => !document.querySelector('[role="dialog"]'));
    expect(await page.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe(
      '25 1/2',
    );
    shop.keep(await page.cookies());
  });

  test('a tablet is paired by a code shown once, works, and is out as soon as it is sent away', async () => {
    const page = await shop.page();
    const code = await pairingCode(page, shop.url);
    // As if from another machine: through something that says so.
    const lane = await shop.page(1024, 768, false, { signedIn: false });
    await lane.setExtraHTTPHeaders({ 'x-forwarded-for': '192.0.2.9' });
    await openAnew(lane, `${shop.url}/calendar`);
    await reads(lane, 'This tablet is not known here');
    expect(await pageText(lane)).not.toMatch(/Okoro|Lindauer|Bootshaus/);
    await lane.type('#pair-code', code.toLowerCase());
    await lane.type('#pair-name', 'Lane');
    await click(lane, button('Pair this tablet'));
    await signsIn(lane, 'M. Lindauer', '1379');
    await arrived(lane, '/calendar');
    await openAnew(page, `${shop.url}/shop/people`);
    await reads(page, 'Lane', '[data-part="tablets"]');
    await page.$$eval('[data-part="tablets"] li', (rows) => {
      const row = (rows as HTMLElement[]).find((one) => one.innerText.includes('Lane'))!;
      row.querySelector<HTMLElement>('button')!.click();
    });
    await answered(page, 'Send it away');
    await reads(page, 'sent away');
    await lane.goto(`${shop.url}/orders`);
    await reads(lane, 'This tablet is not known here');
    await openAnew(page, `${shop.url}/shop/done`);
    await reads(page, 'Tablet “Lane” sent away');
    await page.type('#done-find', 'wrong pin');
    await click(page, button('Look'));
    await lacks(page, 'sent away', '[data-part="done"]');
    expect(await pageText(page, '[data-part="done"]')).toContain('Wrong PIN or password');
  });

  test('five wrong PINs wait, and the right one waits with them', async () => {
    const page = await door();
    await openAnew(page, shop.url);
    await choose(page, 'P. Sander');
    for (let i = 0; i < 5; i++) {
      await pin(page, '9998');
      await reads(page, 'That is not the PIN or password');
      await until(
        page,
        () => (document.querySelector('#door-secret') as HTMLInputElement).value === '',
      );
    }
    await pin(page, '4826');
    await reads(page, 'Too many wrong tries. The next one is looked at in');
  });
});

test('an empty machine is opened in the browser: owner, guide, sample, first job, second tablet', async () => {
  const shop = await TestShop.open('none');
  try {
    const page = await shop.page();
    await openAnew(page, shop.url);
    await arrived(page, '/open');
    await reads(page, 'There is no shop here yet');
    await page.type('#open-file', '/nowhere/at-all.zip');
    await click(page, button('Put it in place'));
    await reads(page, 'There is no such file on this machine');
    expect(existsSync(shop.file)).toBe(false);
    await click(page, button('Open a new shop'));
    await arrived(page, '/sign-in');
    await page.waitForSelector('#owner-name');
    await page.type('#owner-name', 'Ada Weiss');
    await page.type('#owner-secret', '1234');
    await page.type('#owner-again', '1234');
    await click(page, button('Open the shop'));
    await reads(page, 'Digits in a row are guessed first');
    for (const id of ['#owner-secret', '#owner-again']) {
      await page.click(id, { clickCount: 3 });
      await page.type(id, '2580');
    }
    await click(page, button('Open the shop'));
    await arrived(page, '/shop/first');
    await page.waitForSelector('html[data-ready]');
    await page.click('#shop-name', { clickCount: 3 });
    await page.type('#shop-name', 'Am Wehr');
    await takesSample(page);
    await click(page, button('Open the first job'));
    await page.waitForSelector('#new-name');
    await page.type('#new-name', 'Nele Weber');
    await click(page, button('Open the job'));
    await until(page, () => location.pathname.endsWith('/meet'));
    await reads(page, 'First time here: Ask what decides the bow');
    await click(page, button('Seen'));
    await page.reload();
    await page.waitForSelector('html[data-ready]');
    expect(await pageText(page)).not.toContain('First time here');
    await openAnew(page, shop.url);
    await reads(page, 'Am Wehr');
    await reads(page, 'Nele Weber');
    // The sample goes again in one go.
    await openAnew(page, `${shop.url}/shop/parts`);
    await click(page, button('Take the sample off'));
    await until(page, () => !document.querySelector('[data-part="samples"]'));
    const cookies = await page.cookies();
    shop.keep(cookies);
    const { parts } = await shop.get<{ parts: unknown[] }>('/api/v1/shop/parts');
    expect(parts).toEqual([]);
  } finally {
    await shop.close();
  }
});
