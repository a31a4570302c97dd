import { click, find, fingers, reads, settled, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo');
});
afterAll(() => shop.close());

test('a killed process loses no acknowledged entry', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page(1280, 800, true);
  await visit(page, `${shop.url}/jobs/${jobId}/fit`);
  const hands = fingers(page);
  await click(page, '.method-rows li:first-child .method');
  await hands.number('Arm span', '58 1/8');
  await reads(page, '58 1/8', '.method-rows');
  await shop.restart();
  const { fitReadings } = await shop.snapshot(jobId);
  expect(fitReadings.map((reading) => reading.entered)).toContain('58 1/8 in');
  await visit(page, `${shop.url}/jobs/${jobId}`);
  await page.waitForFunction(() => location.pathname.endsWith('/fit'));
  await reads(page, '58 1/8', '.method-rows');
});

test('an entry that cannot be saved says so and stays in its field', async () => {
  const jobId = await shop.jobOf('Noor');
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${jobId}/fit`);
  await find(page, '[data-measure]');
  await page.type('[data-measure]', '25');
  await shop.kill();
  await page.keyboard.press('Enter');
  await reads(page, 'Not saved: the program does not answer', '.measure .field-error');
  expect(await page.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe('25');
  await shop.restart();
});

test('z takes back the newest entry, and only that', async () => {
  const jobId = await shop.jobOf('Noor');
  const before = (await shop.snapshot(jobId)).fitReadings.map((reading) => reading.seq);
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${jobId}/fit`);
  await find(page, '[data-measure]');
  await page.type('[data-measure]', '24 1/2');
  await page.keyboard.press('Enter');
  await settled(page);
  expect((await shop.snapshot(jobId)).fitReadings).toHaveLength(before.length + 1);
  await page.keyboard.press('Escape');
  await page.keyboard.press('z');
  await reads(page, 'Last:');
  await page.waitForFunction(
    () => !document.querySelector('.method-rows')?.textContent?.includes('24'),
  );
  expect((await shop.snapshot(jobId)).fitReadings.map((reading) => reading.seq)).toEqual(before);
});
