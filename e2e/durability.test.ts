import { answered, click, find, fingers, openAnew, reads, settled, until } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { backups: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

test('a killed process loses no acknowledged entry', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page(1280, 800, true);
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  const hands = fingers(page);
  await click(page, '[data-part="method-rows"] li:first-child [data-part="method"]');
  await hands.number('Arm span', '58 1/8');
  await reads(page, '58 1/8', '[data-part="method-rows"]');
  await shop.restart();
  const { fitReadings } = await shop.snapshot(jobId);
  expect(fitReadings.map((reading) => reading.entered)).toContain('58 1/8 in');
  await openAnew(page, `${shop.url}/jobs/${jobId}`);
  await until(page, () => location.pathname.endsWith('/fit'));
  await reads(page, '58 1/8', '[data-part="method-rows"]');
});

test('what does not wait and cannot be saved says so, and nothing of it is done', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page();
  await openAnew(page, `${shop.url}/jobs/${jobId}/bow?part=choose`);
  await reads(page, 'of 14 in the shop fit');
  // The words are there before the scripts that make the stage answer.
  await page.waitForNetworkIdle({ idleTime: 400 });
  await shop.kill();
  await page.$$eval('button', (all) =>
    all.find((one) => one.getAttribute('aria-label')?.startsWith('Take this bow'))!.click(),
  );
  await reads(page, 'Not connected. Whether the last entry was saved is asked');
  await shop.restart();
  await reads(page, 'The connection broke before this was saved');
  expect((await shop.snapshot(jobId)).job.bowId).toBeNull();
});

test('an entry whose answer was lost is asked for, and counts once', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page();
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  await find(page, '[data-measure]');
  const before = (await shop.snapshot(jobId)).fitReadings.length;
  await page.setRequestInterception(true);
  let lost = 0;
  page.on('request', (request) => {
    const isCommand = request.method() === 'POST' && request.url().endsWith('/commands');
    if (!isCommand || lost > 0) return void request.continue();
    lost++;
    // The server keeps it; its answer never comes back.
    void shop
      .ask(new URL(request.url()).pathname, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: request.postData()!,
      })
      .then(() => request.abort());
  });
  await page.type('[data-measure]', '25 1/4');
  await page.keyboard.press('Enter');
  await reads(page, '25 1/4', '[data-part="method-rows"]');
  await settled(page);
  expect(lost).toBe(1);
  expect(await page.$eval('body', (node) => node.innerText)).not.toContain('Not connected');
  const now = await shop.snapshot(jobId);
  expect(now.fitReadings).toHaveLength(before + 1);
  await shop.send(`/api/v1/jobs/${jobId}/commands`, {
    version: now.job.version,
    command: { name: 'undo' },
  });
});

test('what was typed in a form stands there again after reload and Esc', async () => {
  const page = await shop.page();
  await openAnew(page, `${shop.url}/shop/bows`);
  const open = () => click(page, 'aria/A new bow[role="button"]');
  const value = (id: string) =>
    page.$eval(id, (node) => (node as unknown as HTMLInputElement).value);
  await open();
  await (await find(page, '#cell-maker')).type('Halbfertig');
  await page.reload({ waitUntil: 'load' });
  await open();
  await reads(page, 'stands here again', '[role="dialog"]');
  expect(await value('#cell-maker')).toBe('Halbfertig');
  await page.keyboard.press('Escape');
  await until(page, () => !document.querySelector('[role="dialog"]'));
  await open();
  await until(
    page,
    () => document.querySelector<HTMLInputElement>('#cell-maker')?.value === 'Halbfertig',
  );
  await click(page, 'aria/Throw it away[role="button"]');
  expect(await value('#cell-maker')).toBe('');
});

test('an answer in the middle of being typed stands there again after a reload', async () => {
  const jobId = await shop.jobOf('Ove');
  const page = await shop.page();
  await openAnew(page, `${shop.url}/jobs/${jobId}/meet?ask=notes`);
  await (await find(page, '#notes')).type('left-handed brother');
  await page.reload({ waitUntil: 'load' });
  await until(page, () =>
    document.querySelector<HTMLTextAreaElement>('#notes')?.value.includes('left-handed brother'),
  );
  await (await find(page, '#notes')).focus();
  await page.keyboard.press('Tab');
  await settled(page);
  expect((await shop.snapshot(jobId)).job.notes).toContain('left-handed brother');
  // Emptied, and the page goes before the field is left: it stands there empty.
  await (await find(page, '#notes')).click({ clickCount: 3 });
  await page.keyboard.press('Backspace');
  await page.reload({ waitUntil: 'load' });
  await until(page, () => document.querySelector<HTMLTextAreaElement>('#notes')?.value === '');
});

test('a setting is kept as its field is left, also when the page goes', async () => {
  const page = await shop.page();
  await openAnew(page, `${shop.url}/shop`);
  const settings = async () => (await shop.snapshot(await shop.jobOf('Ove'))).shop;
  const field = await find(page, '#shop-address');
  await field.click({ clickCount: 3 });
  await page.keyboard.type('Am Steg 5');
  await page.keyboard.press('Tab');
  await reads(page, 'Saved.');
  expect((await settings()).address).toBe('Am Steg 5');
  await field.click({ clickCount: 3 });
  await page.keyboard.type('Am Steg 6');
  await page.reload({ waitUntil: 'load' });
  await until(
    page,
    () => document.querySelector<HTMLInputElement>('#shop-address')?.value === 'Am Steg 6',
  );
  await reads(page, 'Saved.');
  expect((await settings()).address).toBe('Am Steg 6');
});

test('a stage opened without a connection shows the application and says so', async () => {
  const jobId = await shop.jobOf('Ilse');
  const page = await shop.page(1280, 800, false, { keepsPages: true });
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload({ waitUntil: 'load' });
  await reads(page, '3 methods agree');
  // The other stages come along while there is time.
  await until(
    page,
    async (path) => Boolean(await caches.match(location.origin + path)),
    { polling: 500 },
    `/jobs/${jobId}/bow`,
  );
  await shop.kill();
  await page.goto(`${shop.url}/jobs/${jobId}/fit`);
  await reads(page, '3 methods agree');
  await reads(page, 'not connected', '[data-part="top"]');
  await page.goto(`${shop.url}/jobs/${jobId}/bow`);
  await reads(page, 'Ilse Maarand');
  await reads(page, 'not connected', '[data-part="top"]');
  await page.goto(`${shop.url}/orders`);
  await reads(page, 'This page was not opened on this screen before');
  await reads(page, 'Ilse Maarand', 'ul');
  await shop.restart();
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  await reads(page, '3 methods agree');
  await until(
    page,
    () => !document.querySelector('[data-part="top"]')?.textContent?.includes('not connected'),
  );
}, 90_000);

test('settings two screens change are merged; what both change is refused, shown, and saved when meant', async () => {
  const [left, right] = [await shop.page(), await shop.page(1024, 768)];
  for (const page of [left, right]) await openAnew(page, `${shop.url}/shop`);
  const put = async (page: typeof left, field: string, text: string) => {
    await click(page, `#shop-${field}`);
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.type(`#shop-${field}`, text);
    await page.keyboard.press('Tab');
  };
  const settings = async () => (await shop.snapshot(await shop.jobOf('Ove'))).shop;
  const before = await settings();
  await put(left, 'name', 'Bootshaus am Steg');
  await reads(left, 'Saved');
  await put(right, 'address', 'Am Steg 7');
  await reads(right, 'Saved');
  expect(await settings()).toMatchObject({ name: 'Bootshaus am Steg', address: 'Am Steg 7' });
  await put(right, 'name', 'Bootshaus Nord');
  await reads(right, 'It is now “Bootshaus am Steg”');
  expect((await settings()).name).toBe('Bootshaus am Steg');
  expect(
    await right.$eval('#shop-name', (node) => (node as unknown as HTMLInputElement).value),
  ).toBe('Bootshaus Nord');
  await click(right, '#shop-name');
  await right.keyboard.press('Tab');
  await reads(right, 'Saved');
  expect((await settings()).name).toBe('Bootshaus Nord');
  await put(right, 'name', before.name);
  await put(right, 'address', before.address);
  await until(right, () => !sessionStorage.getItem('waffenrad.draft.shop.unsaved'));
});

test('z takes back the newest entry, and only that', async () => {
  const jobId = await shop.jobOf('Noor');
  const before = (await shop.snapshot(jobId)).fitReadings.map((reading) => reading.seq);
  const page = await shop.page();
  await openAnew(page, `${shop.url}/jobs/${jobId}/fit`);
  await find(page, '[data-measure]');
  await page.type('[data-measure]', '24 1/2');
  await page.keyboard.press('Enter');
  await settled(page);
  expect((await shop.snapshot(jobId)).fitReadings).toHaveLength(before.length + 1);
  await page.keyboard.press('Escape');
  await page.keyboard.press('z');
  await reads(page, 'Last:');
  await until(
    page,
    () => !document.querySelector('[data-part="method-rows"]')?.textContent?.includes('24'),
  );
  expect((await shop.snapshot(jobId)).fitReadings.map((reading) => reading.seq)).toEqual(before);
});

test('the owner puts a backup back while another tablet works; that one is told, and goes on', async () => {
  const jobId = await shop.jobOf('Ilse');
  await shop.send('/api/v1/backups', {});
  const lane = await shop.page();
  await openAnew(lane, `${shop.url}/jobs/${jobId}/bench?step=braceHeight`);
  await lane.type('[data-measure]', '6 7/16');
  await lane.keyboard.press('Enter');
  await reads(lane, '6 7/16');
  await settled(lane);
  const braces = async () =>
    (await shop.snapshot(jobId)).readings.filter(({ key }) => key === 'braceHeight');
  const taken = (await braces()).length;

  const counter = await shop.page();
  await openAnew(counter, `${shop.url}/shop`);
  const backups = await counter.waitForSelector('[data-part="put-back"] li button');
  await backups!.click();
  await reads(counter, '1 entry on 1 job was made since and stands there no longer');
  await answered(counter, 'Put it back');
  await until(counter, () => location.pathname === '/');
  await reads(counter, 'Ilse');
  expect(await braces()).toHaveLength(taken - 1);

  // The other tablet is not locked, and hears of it with its next entry.
  await reads(lane, 'Axle to axle');
  await lane.type('[data-measure]', '31');
  await lane.keyboard.press('Enter');
  await reads(lane, 'Put back as it stood in the backup of');
  await click(lane, 'aria/I have seen it[role="button"]');
  // Until it is gone the window keeps every key to itself.
  await until(lane, () => !document.querySelector('[role="dialog"]'));
  await lane.focus('[data-measure]');
  await lane.keyboard.press('Enter');
  await settled(lane);
  const { readings } = await shop.snapshot(jobId);
  expect(readings.at(-1)).toMatchObject({ key: 'axleToAxle', entered: '31 in' });

  // What stood there was backed up first.
  const { backups: kept } = await shop.get<{ backups: unknown[] }>('/api/v1/backups');
  expect(kept.length).toBeGreaterThan(1);
});
