import type { Page } from 'puppeteer-core';
import type { JobSnapshot } from '@/core/job';
import { answered, find, fingers, openAnew, pageText, reads, settled, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

const clear = async (page: Page, selector: string) => {
  const field = await find(page, selector);
  await field.click({ clickCount: 3 });
  await page.keyboard.press('Backspace');
};

describe('a measuring field', () => {
  let page: Page;
  let jobId: string;
  let before: JobSnapshot;
  beforeAll(async () => {
    jobId = await shop.jobOf('Jarle');
    before = await shop.snapshot(jobId);
    page = await shop.page();
    await visit(page, `${shop.url}/jobs/${jobId}/fit`);
  });

  test.each([
    ['nothing', '', 'Enter the arm span, for example 65 3/8'],
    ['a word', 'long', '“long” is not a number'],
    ['below nothing', '-68', 'Too small for the arm span: possible is'],
    ['nought', '0', 'Too small for the arm span'],
    ['a span of four metres', '4 m', 'Too large for the arm span: possible is'],
    ['the wrong unit', '68 lb', 'lb is not a unit for the arm span'],
    ['an unknown unit', '68 ells', '“ells” is not a unit known here'],
    ['two numbers', '68 70', 'reads as more than one number'],
    ['nought below the line', '68 1/0', 'cannot have 0 below the line'],
  ])('%s: says what is possible, keeps what was typed, saves nothing', async (_, typed, says) => {
    await clear(page, '[data-measure]');
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
    await reads(page, says, '[data-part="measure"] .MuiFormHelperText-root');
    expect(await page.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe(
      typed,
    );
    expect(await page.$eval('[data-measure]', (node) => node.getAttribute('aria-invalid'))).toBe(
      'true',
    );
    expect((await shop.snapshot(jobId)).job.version).toBe(before.job.version);
  });

  test('a length hardly any adult has is asked about once, and kept', async () => {
    await visit(page, `${shop.url}/jobs/${jobId}/fit`);
    await (await find(page, 'aria/Measure wall to mouth[role="button"]')).click();
    await clear(page, '[data-measure]');
    await page.keyboard.type('20');
    // A second tap of the finger that asked, right after the first, answers nothing.
    await Promise.all([page.keyboard.press('Enter'), page.keyboard.press('Enter')]);
    await reads(page, 'very short for an adult. Look at the tape once more.');
    await reads(page, 'Is that what the tape says?');
    expect((await shop.snapshot(jobId)).job.version).toBe(before.job.version);
    await answered(page, 'It is right, take it');
    await reads(page, 'Wall to mouth: 20');
    expect((await shop.snapshot(jobId)).fitReadings.at(-1)).toMatchObject({ si: 508 });
    await page.keyboard.press('Escape');
    await page.keyboard.press('z');
    await until(page, () => !document.body.innerText.includes('Last: Wall to mouth: 20'));
  });

  test('a weight trial is not taken without how it went', async () => {
    await visit(page, `${shop.url}/jobs/${jobId}/fit?part=weight`);
    await find(page, '[data-measure]');
    await page.type('[data-measure]', '40');
    await page.keyboard.press('Enter');
    await reads(page, 'Say how it went', '[data-part="measure"] .MuiFormHelperText-root');
    const { fitReadings } = await shop.snapshot(jobId);
    expect(fitReadings.filter(({ key }) => key === 'weightTrial')).toEqual([]);
  });

  test('readings far apart are said to disagree, by name', async () => {
    await visit(page, `${shop.url}/jobs/${jobId}/fit`);
    const hands = fingers(await page);
    await page.setViewport({ width: 1280, height: 800, hasTouch: true });
    // What was refused before still stands there.
    await clear(page, '[data-measure]');
    await hands.number('Arm span', '60');
    await reads(page, 'the methods disagree');
    // Of two that disagree none is the culprit.
    await reads(page, 'two cannot tell which of them is wrong');
  });
});

describe('the questions of Meet', () => {
  test('budget, distance, address and name refuse nonsense and keep it in sight', async () => {
    const page = await shop.page();
    const jobId = await shop.jobOf('Jarle');
    await visit(page, `${shop.url}/jobs/${jobId}/meet`);
    await (await find(page, 'aria/All at once[role="button"]')).click();
    const wrong = async (id: string, text: string, says: string) => {
      await clear(page, `#${id}`);
      await page.type(`#${id}`, text);
      await page.keyboard.press('Tab');
      await reads(page, says);
      expect(await page.$eval(`#${id}`, (node) => (node as HTMLInputElement).value)).toBe(text);
    };
    const { job, archer } = await shop.snapshot(jobId);
    await wrong('budget', 'plenty', '“plenty” is not an amount');
    await wrong('budget', '-5', 'cannot be below nothing');
    await wrong('furthest', '900 m', 'Too large for the furthest distance');
    await wrong('furthest', '0', 'Too small for the furthest distance');
    await wrong('furthest', '20 kg', 'kg is not a unit for the furthest distance');
    await wrong('email', 'nobody', 'An address has an @ in it');
    await wrong('name', ' ', 'A job needs a name');
    const date = await find(page, '#promised');
    await date.focus();
    await page.keyboard.type('12100026');
    await date.evaluate((node) => node.blur());
    await reads(page, 'A date from 2000 to 2099');
    const after = await shop.snapshot(jobId);
    expect(after.job).toEqual({ ...job, place: 'meet' });
    expect(after.archer).toEqual(archer);
  });

  test('a new job needs a name and nothing else', async () => {
    const page = await shop.page();
    await visit(page, shop.url);
    await page.keyboard.press('n');
    await find(page, '#new-name');
    await page.keyboard.press('Enter');
    await reads(page, 'Enter a name; everything else can wait');
  });
});

describe('limb bolts', () => {
  test('stop hard at the bow’s limit', async () => {
    const page = await shop.page();
    const jobId = await shop.jobOf('Ilse');
    const { version } = (await shop.snapshot(jobId)).job;
    await visit(page, `${shop.url}/jobs/${jobId}/bow?part=bolts`);
    await clear(page, '[data-part="stepper"] input');
    await page.type('[data-part="stepper"] input', '9');
    await reads(page, 'Too large for the upper limb bolt: possible is 0 turns to 8 turns');
    await page.type('[data-measure]', '40');
    await page.keyboard.press('Enter');
    await reads(
      page,
      'possible is 0 turns to 8 turns',
      '[data-part="measure"] .MuiFormHelperText-root',
    );
    expect((await shop.snapshot(jobId)).job.version).toBe(version);
  });

  test('no limit known: weighed, never turned', async () => {
    const answer = await shop.send('/api/v1/jobs', {
      archer: { name: 'Alba Stein', hand: 'right' },
      job: {},
    });
    const { job } = answer.body as unknown as JobSnapshot;
    await shop.send(`/api/v1/jobs/${job.id}/commands`, {
      version: job.version,
      command: { name: 'chooseBow', bowId: 'uferlaeufer-r' },
    });
    const page = await shop.page();
    await visit(page, `${shop.url}/jobs/${job.id}/bow?part=bolts`);
    await reads(page, 'No turn limit is known for this bow');
    expect(await page.$('[data-part="stepper"]')).toBeNull();
  });
});

describe('two tablets', () => {
  test('the slower entry is refused with what changed, and still stands in its field', async () => {
    const jobId = await shop.jobOf('Casimir');
    const [left, right] = [await shop.page(), await shop.page()];
    for (const page of [left, right]) {
      await visit(page, `${shop.url}/jobs/${jobId}/fit`);
      await find(page, '[data-measure]');
    }
    // The right one has been lying there since before the left one's entry.
    await right.evaluate(() =>
      Object.defineProperty(document, 'visibilityState', { value: 'hidden' }),
    );
    await left.type('[data-measure]', '28');
    await left.keyboard.press('Enter');
    await settled(left);
    await right.type('[data-measure]', '28 1/8');
    await right.keyboard.press('Enter');
    await reads(right, 'This job was changed on another screen');
    await reads(right, 'Wall to mouth: 28 in', '[data-part="conflict"]');
    await right.keyboard.press('Enter');
    await until(right, () => !document.querySelector('[role="dialog"]'));
    expect(await pageText(right, '[data-part="method-rows"]')).toContain('28 in');
    const held = await right.$$eval('input', (nodes) => nodes.map((node) => node.value));
    expect(held).toContain('28 1/8');
    const taken = (await shop.snapshot(jobId)).fitReadings.filter((r) => r.key === 'wallToMouth');
    expect(taken.map((r) => r.entered)).toEqual(['28 in']);
  });
});

describe('addresses and bodies', () => {
  test('an unknown job, stage, sheet or page is said plainly', async () => {
    const page = await shop.page();
    const jobId = await shop.jobOf('Aino');
    for (const path of [
      '/jobs/nobody',
      '/jobs/nobody/fit',
      `/jobs/${jobId}/attic`,
      `/jobs/${jobId}/sheet/99`,
      '/cellar',
    ]) {
      const response = await openAnew(page, shop.url + path);
      expect([path, response!.status()]).toEqual([path, 404]);
      await reads(page, 'There is nothing at this address');
      await reads(page, 'Back to today');
    }
  });

  test.each([
    [
      'malformed JSON',
      'POST',
      '/api/v1/compute/draw-length',
      '{"readings":',
      400,
      'malformed-json',
    ],
    ['an unknown calculation', 'POST', '/api/v1/compute/horoscope', {}, 404, 'not-found'],
    ['an unknown address', 'GET', '/api/v2/anything', undefined, 404, 'not-found'],
    ['an unknown job', 'GET', '/api/v1/jobs/nobody', undefined, 404, 'not-found'],
    [
      'a missing field',
      'POST',
      '/api/v1/compute/limb-bolts',
      { readings: [] },
      400,
      'invalid-input',
    ],
    [
      'a field too many',
      'POST',
      '/api/v1/jobs',
      { archer: { name: 'x' }, job: {}, extra: 1 },
      400,
      'invalid-input',
    ],
    [
      'a wrong paper',
      'GET',
      '/api/v1/jobs/nobody/sheets/1/pdf?paper=A5',
      undefined,
      400,
      'invalid-input',
    ],
  ])('%s is problem+json', async (_, method, path, body, status, reason) => {
    const response = await shop.ask(path, {
      method,
      ...(body === undefined
        ? {}
        : {
            headers: { 'content-type': 'application/json' },
            body: typeof body === 'string' ? body : JSON.stringify(body),
          }),
    });
    expect(response.status).toBe(status);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    const problem = (await response.json()) as { type: string; title: string; status: number };
    expect(problem).toMatchObject({ type: `urn:waffenrad:problem:${reason}`, status });
    expect(problem.title).not.toBe('');
  });
});
