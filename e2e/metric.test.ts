import type { Page } from 'puppeteer-core';
import type { JobSnapshot } from '@/core/job';
import { METRIC_UNITS } from '@/core/units';
import { click, reads, until, visit } from './hands';
import { TestShop } from './shop';

/** A shop that measures in millimetres, newtons and grams: no screen speaks inches to it. */
let shop: TestShop;
let jobId: string;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
  const saved = await shop.send('/api/v1/shop', { units: METRIC_UNITS }, 'PATCH');
  expect(saved.status).toBe(200);
  jobId = await metricJob();
}, 120_000);
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

/** An archer fitted, a bow set, kitted and begun at the bench, all in the shop's units. */
async function metricJob(): Promise<string> {
  const made = await shop.send('/api/v1/jobs', {
    archer: { name: 'Mette Ovesen', birthDay: '1991-04-02', experience: 'some' },
    job: { budgetCents: 200000, furthestM: 40 },
  });
  let { job } = made.body as unknown as JobSnapshot;
  const read = (...readings: [key: string, entered: string, more?: object][]) => ({
    name: 'takeReadings',
    readings: readings.map(([key, entered, more = {}]) => ({ key, entered, ...more })),
  });
  const commands = [
    read(['armSpan', '1760'], ['wallToMouth', '704']),
    read(['weightTrial', '190', { choice: 'smooth' }]),
    read(['oldPeak', '200'], ['oldAxle', '840']),
    { name: 'chooseBow', bowId: 'fjordling-31-r', reason: 'a test' },
    {
      name: 'choosePackage',
      itemIds: [
        'rest-kiebitz',
        'sight-steg',
        'peep-rund-3-16',
        'loop-schlinge',
        'arrows-halm-500',
        'release-daumen',
      ],
    },
    read(['moduleTop', '711'], ['moduleBottom', '711']),
    read(['limbTurnsUpper', '4'], ['limbTurnsLower', '4']),
    read(['peakWeight', '215', { entered2: '4' }]),
    read(['drawLength', '667'], ['braceHeight', '165'], ['axleToAxle', '787']),
    read(['centreShot', '20.5'], ['nockHeight', '1']),
  ];
  for (const command of commands) {
    const sent = await shop.send(`/api/v1/jobs/${job.id}/commands`, {
      version: job.version,
      command,
    });
    if (sent.status !== 200) throw new Error(JSON.stringify([command, sent.body]));
    ({ job } = sent.body as unknown as JobSnapshot);
  }
  return job.id;
}

const TRADE =
  /[^.]{0,40}(?:(?:\d|[½¼¾⅛⅜⅝⅞]|\d\/\d+)\s?(?:in(?! (?:stock|the|\d))|lb|gr|fps|ft|yd)\b|\b(?:inch(?:es)?|pounds?|grains?|fps|ft·lb|gr per|per lb)\b)[^.]{0,30}/gi;

/** What a page says, its fields' placeholders and labels among it, but for the choice of units itself. */
const tradeWords = (page: Page) =>
  page.evaluate((pattern) => {
    // The pad’s unit keys are there to type another unit on purpose.
    document.querySelectorAll('[data-units], [data-part="pad"]').forEach((node) => node.remove());
    const fields = [...document.querySelectorAll('input, textarea')].map(
      (field) => `${field.getAttribute('placeholder') ?? ''} ${(field as HTMLInputElement).value}`,
    );
    const labels = [...document.querySelectorAll('[aria-label], svg title')].map(
      (node) => node.getAttribute('aria-label') ?? node.textContent ?? '',
    );
    const text = [document.body.innerText, ...fields, ...labels].join('. ').replace(/\s+/g, ' ');
    return [...text.matchAll(new RegExp(pattern, 'gi'))].map(([found]) => found.trim());
  }, TRADE.source);

const OF_JOB = [
  ['meet', 'Have you shot before?'],
  ['fit', 'Arm span'],
  ['fit?part=posture', 'Mette Ovesen'],
  ['fit?part=weight', 'start weight'],
  ['fit?part=eye', 'eye'],
  ['fit?part=release', 'wall'],
  ['fit?part=old', 'Peep above the arrow'],
  ['bow?part=choose', 'in the shop fit'],
  ['bow?part=drawOff', 'Which bows are drawn'],
  ['bow?part=module', 'carry a module'],
  ['bow?part=bolts', 'Peak weight'],
  ['bow?part=twists', 'twist'],
  ['bow?part=force', 'more weight'],
  ['kit?slot=rest', 'Kiebitz'],
  ['kit?slot=sight', 'Steg'],
  ['kit?slot=arrows', 'Halm'],
  ['kit?slot=stabiliser', 'Stab'],
  ['kit?part=packages', 'Whole packages'],
  ['kit?part=arrow', 'Front of centre'],
  ['kit?part=quote', 'Quote'],
  ['bench', 'The way from here'],
  ['bench?step=centreShot', 'Centre shot'],
  ['bench?step=loop', 'Tie the loop'],
  ['bench?step=cord', 'cord'],
  ['bench?step=downCable', 'cable'],
  ['bench?step=pins', 'Mette Ovesen'],
  ['lane?part=paper', 'Papers so far'],
  ['lane?part=paper&check=bare', 'Note the pair'],
  ['lane?part=paper&check=walk', 'plumb line'],
  ['lane?part=speed', 'Three shots'],
  ['lane?part=first', 'Mette Ovesen'],
  ['lane?part=marks', 'Mette Ovesen'],
  ['steady', 'Centre of the bare bow'],
  ['steady?part=bars', 'One move at a time'],
  ['handover', 'Told and understood'],
] as const;

const OF_SHOP = [
  ['/', 'The bench today'],
  ['/calendar', 'Visits of this day'],
  ['/orders', 'by supplier'],
  ['/shop', 'How numbers are written'],
  ['/shop/bows', 'Read a file'],
  ['/shop/parts', 'Rohrdommel Kiebitz'],
  ['/shop/steps', 'Weigh a finished arrow'],
] as const;

describe('a metric shop', () => {
  // One tablet goes from screen to screen: it has the scripts of the last one still.
  let page: Page;
  beforeAll(async () => void (page = await shop.page()));
  test.each(OF_JOB)('reads no trade unit on %s', async (path, words) => {
    await visit(page, `${shop.url}/jobs/${jobId}/${path}`);
    await reads(page, words);
    expect(await tradeWords(page)).toEqual([]);
  });
  test.each(OF_SHOP)('nor on %s', async (path, words) => {
    await visit(page, shop.url + path);
    await reads(page, words);
    expect(await tradeWords(page)).toEqual([]);
  });

  test('nor on its build sheet', async () => {
    await visit(page, `${shop.url}/jobs/${jobId}/handover`);
    for (const box of await page.$$('[data-part="caution-rows"] input')) await box.click();
    await until(
      page,
      () =>
        document.querySelectorAll('[data-part="caution-rows"] input:not(:checked)').length === 0,
    );
    await (await page.waitForSelector('#open-reason'))!.type('a test');
    await click(page, 'aria/Make the build sheet[role="button"]');
    await reads(page, 'Revision 1');
    await visit(page, `${shop.url}/jobs/${jobId}/sheet/1`);
    await reads(page, 'Back to these numbers');
    expect(await tradeWords(page)).toEqual([]);
  });

  test('a bow’s form is read and written in them, and what is left alone stays exact', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/bows`);
    await page.$$eval('[data-part="stock-table"] tr', (rows) =>
      rows
        .find((row) => /Fjordling 31\s+right/.test((row as HTMLElement).innerText))!
        .querySelector('button')!
        .click(),
    );
    await page.waitForSelector('#cell-axle_to_axle_in');
    const value = (id: string) =>
      page.$eval(id, (node) => (node as unknown as HTMLInputElement).value);
    expect(await value('#cell-axle_to_axle_in')).toBe('787.4');
    expect(await value('#cell-modules')).toContain('=685.8');
    expect(await tradeWords(page)).toEqual([]);
    const before = (await shop.snapshot(jobId)).bow!;
    const brace = (await page.$('#cell-brace_height_in'))!;
    await brace.click({ clickCount: 3 });
    await page.keyboard.type('170');
    await click(page, 'aria/Save the bow[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    const after = (await shop.snapshot(jobId)).bow!;
    expect(after.braceHeightMm).toBeCloseTo(170, 3);
    expect({ ...after, braceHeightMm: 0 }).toEqual({ ...before, braceHeightMm: 0 });
    await page.close();
  });

  test('refusals too', async () => {
    const snapshot = await shop.snapshot(jobId);
    const sent = await shop.send(`/api/v1/jobs/${jobId}/commands`, {
      version: snapshot.job.version,
      command: { name: 'takeReadings', readings: [{ key: 'braceHeight', entered: '900' }] },
    });
    expect(sent.status).toBe(422);
    const { detail } = sent.body as unknown as { detail: string };
    expect(detail).toMatch(/mm/);
    expect(detail).not.toMatch(TRADE);
  });
});
