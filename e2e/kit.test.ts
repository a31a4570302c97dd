import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { jobTotal } from '@/core/quote';
import { derive, type JobSnapshot } from '@/core/job';
import { click, find, pageText, reads, settled, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
const folder = mkdtempSync(join(tmpdir(), 'waffenrad-parts-'));
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await shop.close();
});

interface Fitted {
  readonly name: string;
  readonly budget: number;
  readonly furthestM: number;
  readonly span: string;
  readonly weight: string;
  readonly bowId: string;
}

/** A new archer, met and fitted, with a bow in hand; the kit is chosen on the screen. */
async function fitted({ name, budget, furthestM, span, weight, bowId }: Fitted): Promise<string> {
  const made = await shop.send('/api/v1/jobs', {
    archer: { name, experience: 'some', dominantEye: 'right' },
    job: { budgetCents: budget * 100, furthestM, promisedDay: '2026-12-18' },
  });
  let { job } = made.body as unknown as JobSnapshot;
  const reading = (key: string, entered: string, choice?: string) => ({
    key,
    entered,
    ...(choice ? { choice } : {}),
  });
  for (const command of [
    { name: 'takeReadings', readings: [reading('armSpan', span)] },
    { name: 'takeReadings', readings: [reading('weightTrial', weight, 'smooth')] },
    { name: 'chooseBow', bowId, reason: 'it is what there is' },
  ]) {
    const sent = await shop.send(`/api/v1/jobs/${job.id}/commands`, {
      version: job.version,
      command,
    });
    expect([command.name, sent.status]).toEqual([command.name, 200]);
    ({ job } = sent.body as unknown as JobSnapshot);
  }
  return job.id;
}

async function packages(jobId: string, words: string): Promise<Page> {
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${jobId}/kit?part=packages`);
  await reads(page, words);
  return page;
}

const spent = (snapshot: JobSnapshot) => jobTotal(snapshot, derive(snapshot)).totalCents;

describe('whole packages', () => {
  test('a new archer with 860 €, bench work and all, gets three that differ; the one taken keeps the money', async () => {
    const jobId = await fitted({
      name: 'Frieda Sandholm',
      budget: 860,
      furthestM: 18,
      span: '66',
      weight: '28',
      bowId: 'zeisig-27-r',
    });
    const page = await packages(jobId, 'No compromise');
    const heads = await page.$$eval('[data-part="package"] header', (nodes) =>
      nodes.map((n) => n.innerText),
    );
    expect(heads).toHaveLength(3);
    expect(heads[0]).toMatch(/Thrifty[\s\S]* left/);
    expect(heads[1]).toMatch(/Balanced[\s\S]* left/);
    expect(heads[2]).toMatch(/No compromise[\s\S]* over/);
    const columns = await page.$$eval('[data-part="package"]', (nodes) =>
      nodes.map((n) =>
        [...n.querySelectorAll('[data-part="place-name"]')].map((p) => p.textContent).join(),
      ),
    );
    expect(new Set(columns).size).toBe(3);
    // What else there is, and what would turn the choice, stands at every part when asked for.
    await click(page, 'aria/What else there is[role="button"]');
    await reads(page, 'turns when this one is over', '[data-part="package"]:nth-child(2)');
    const places = await page.$$(
      '[data-part="package"]:nth-child(2) [data-part="place"]:not([data-empty])',
    );
    expect(
      await page.$$('[data-part="package"]:nth-child(2) [data-part="place-else"]'),
    ).toHaveLength(places.length);
    await click(page, 'aria/Take this package: Balanced[role="button"]');
    await page.waitForSelector('[data-part="slots"]');
    const after = await shop.snapshot(jobId);
    expect(spent(after)).toBeLessThanOrEqual(86000);
    expect(after.parts.map(({ slot }) => slot)).toEqual(
      expect.arrayContaining(['rest', 'sight', 'peep', 'loop', 'arrows', 'release']),
    );
  });

  test('an old quiver and stabiliser move over, cost nothing and stay', async () => {
    const jobId = await fitted({
      name: 'Henrik Borglund',
      budget: 1500,
      furthestM: 40,
      span: '69',
      weight: '38',
      bowId: 'wellenlaeufer-r',
    });
    const page = await shop.page();
    await visit(page, `${shop.url}/jobs/${jobId}/kit?slot=quiver`);
    await click(page, 'button[value="own"]');
    await click(page, 'aria/They have this one: Rohrdommel Köcher Fünf[role="button"]');
    await reads(page, 'brought along', '[data-part="slots"] a[aria-current]');
    await visit(page, `${shop.url}/jobs/${jobId}/kit?slot=stabiliser`);
    await click(page, 'button[value="own"]');
    await (await find(page, '#own-stabiliser')).type('his short old bar');
    await click(page, 'aria/Use their own[role="button"]');
    await reads(page, 'his short old bar', '[data-part="slots"]');
    await click(page, 'aria/Whole packages side by side[role="link"]');
    await reads(page, 'Balanced', '[data-part="packages"]');
    const words = await pageText(page, '[data-part="packages"]');
    expect(words).not.toContain('Quiver');
    expect(words).not.toContain('Stabiliser');
    await click(page, 'aria/Take this package: Balanced[role="button"]');
    await page.waitForSelector('[data-part="slots"]');
    const after = await shop.snapshot(jobId);
    const moved = after.parts.filter(({ owned }) => owned);
    expect(moved.map(({ slot, priceCents }) => [slot, priceCents])).toEqual([
      ['quiver', 0],
      ['stabiliser', 0],
    ]);
    expect(moved[0]!.item!.id).toBe('quiver-kocher-funf');
    // The sight that was taken leaves room for the quiver that shares its holes.
    const sight = after.parts.find(({ slot }) => slot === 'sight')!.item!;
    expect(sight.attrs).toMatchObject({ carriesQuiver: true });
    expect(spent(after)).toBeLessThanOrEqual(150000);
  });

  test('a wish that cannot be met is told the cheapest ways out, and one of them is taken', async () => {
    const jobId = await fitted({
      name: 'Rasmus Tell',
      budget: 1100,
      furthestM: 60,
      span: '69',
      weight: '38',
      bowId: 'wellenlaeufer-r',
    });
    const page = await packages(jobId, 'Any one of these makes it work');
    const ways = await page.$$eval('[data-part="ways"] li b', (nodes) =>
      nodes.map((n) => n.innerText),
    );
    expect(ways.join()).toMatch(/€\s\d+.* more money/);
    expect(ways.join()).toMatch(/Shoot to \d+\sm with it/);
    const near = ways.find((way) => way.startsWith('Shoot to'))!;
    await click(page, `aria/Do this: ${near}[role="button"]`);
    await until(page, () => !document.querySelector('[data-part="ways"]'));
    await reads(page, 'left', '[data-part="package"]:first-child');
    const { job } = await shop.snapshot(jobId);
    expect(job.furthestM).toBe(Number(/\d+/.exec(near)![0]));
    // Taken back, the wish stands as it was and so do the ways out.
    await page.keyboard.press('z');
    await reads(page, 'Any one of these makes it work');
  });

  test('wishes are kept with the job: more places, a limit of mass, a part not wanted', async () => {
    const jobId = await fitted({
      name: 'Wenke Aas',
      budget: 1700,
      furthestM: 30,
      span: '69',
      weight: '36',
      bowId: 'wellenlaeufer-r',
    });
    const page = await packages(jobId, 'No compromise');
    await click(page, 'aria/More places, a limit of mass[role="button"]');
    await click(page, '[data-part="wish"]::-p-text(Sling)');
    await reads(page, 'Sling', '[data-part="packages"]');
    await (await find(page, '#mass-limit')).type('2 tons');
    await page.keyboard.press('Tab');
    await reads(page, '“tons” is not a unit known here', '[data-part="wish-mass"]');
    expect(await page.$eval('#mass-limit', (n) => (n as HTMLInputElement).value)).toBe('2 tons');
    await (await find(page, '#mass-limit')).click({ clickCount: 3 });
    await page.keyboard.type('2500 g');
    await page.keyboard.press('Enter');
    await reads(page, 'at most 2500 g ready to shoot');
    await settled(page);
    const first = await page.$eval(
      '[data-part="package"]:last-child [data-part="place-name"]',
      (n) => n.textContent!,
    );
    await click(page, `aria/Not ${first}: show what comes instead[role="button"]`);
    await reads(page, `without ${first}`, '[data-part="without"]');
    await page.reload();
    await reads(page, `without ${first}`, '[data-part="without"]');
    await reads(page, 'and sling; at most 2500 g ready to shoot');
    const { kitWishes } = (await shop.snapshot(jobId)).job;
    expect(kitWishes).toMatchObject({ extra: ['sling'], massLimitG: 2500 });
    expect(kitWishes.without).toHaveLength(1);
    // A part kept whatever else is taken stands in the kit, and is asked for no more.
    const place = await find(page, '[data-part="package"]:first-child [data-part="place-name"]');
    const kept = await place.evaluate((n) => n.textContent!);
    await click(page, `aria/Keep ${kept}, whatever else is taken[role="button"]`);
    await settled(page);
    await until(
      page,
      (name) => !document.querySelector('[data-part="packages"]')?.textContent?.includes(name),
      {},
      kept,
    );
    expect((await shop.snapshot(jobId)).parts.map(({ label }) => label)).toEqual([kept]);
    // What more money buys: a sum is picked, seen, and taken.
    await click(page, '[data-part="frontier-steps"] button:nth-child(2)');
    await reads(page, 'Take this package', '[data-part="frontier-point"]');
    await click(page, '[data-part="frontier-point"] button');
    await page.waitForSelector('[data-part="slots"]');
    expect((await shop.snapshot(jobId)).parts.length).toBeGreaterThanOrEqual(6);
  });
});

describe('the shop’s parts', () => {
  const open = async (): Promise<Page> => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/parts`);
    await reads(page, 'Rohrdommel Kiebitz', '[data-part="parts-grid"]');
    return page;
  };
  const upload = async (page: Page, name: string, text: string) => {
    const path = join(folder, name);
    writeFileSync(path, text);
    await click(page, 'aria/Read a file[role="button"]');
    const input = (await page.waitForSelector('#part-file')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path);
  };
  const HEADER = 'id;slot;maker;model;hand;mass_g;price_eur;stock;delivery_days;supplier;contents';
  const row = (id: string, price = '5') =>
    `${id};consumables;Auge & Faden;Probe ${id};both;10;${price};1;2;Werkhof Lindental;"wax; thread"`;

  test('found by any word, changed where it stands, refused where it cannot be', async () => {
    const page = await open();
    await click(page, '[data-part="part-kinds"] button::-p-text(All)');
    await (await find(page, '#part-search')).type('daumen links');
    await reads(page, '1–1 of 1', '[data-part="parts-grid"]');
    await reads(page, 'Handwerk Süd Daumen links', '[data-part="parts-grid"]');
    const cell = '[data-id="release-daumen-links"] [data-field="price_eur"]';
    await (await find(page, cell)).click({ clickCount: 2 });
    await page.waitForSelector(`${cell} input`);
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.type('-4');
    await page.keyboard.press('Enter');
    await reads(page, 'Price, €: -4 must be 0 to 20000. Nothing was saved.');
    expect(await page.$eval(`${cell} input`, (n) => (n as HTMLInputElement).value)).toBe('-4');
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Backspace');
    await page.keyboard.type('135,50');
    await page.keyboard.press('Enter');
    await until(page, (where) => document.querySelector(where)?.textContent === '135.50', {}, cell);
    const found = await shop.get<{ parts: { priceCents: number }[] }>(
      '/api/v1/shop/parts?q=daumen+links',
    );
    expect(found.parts[0]!.priceCents).toBe(13550);
  });

  test('a part by its form: faults at their fields, nothing typed lost', async () => {
    const page = await open();
    await click(page, '[data-part="part-kinds"] button::-p-text(Sling)');
    await reads(page, 'Handschlaufe', '[data-part="parts-grid"]');
    await click(page, 'aria/New: sling[role="button"]');
    const type = async (header: string, text: string) => {
      const cell = await find(page, `#cell-${header}`);
      if ((await cell.evaluate((node) => node.tagName)) === 'SELECT') await cell.select(text);
      else await cell.type(text);
    };
    for (const [header, text] of [
      ['maker', 'Handwerk Süd'],
      ['model', 'Schlaufe neu'],
      ['hand', 'both'],
      ['mass_g', '25'],
      ['price_eur', 'cheap'],
      ['stock', '2'],
      ['delivery_days', '3'],
      ['mount', 'bushing'],
    ] as const)
      await type(header, text);
    await click(page, 'aria/Save the part[role="button"]');
    await reads(page, 'Price, € “cheap” is not an amount');
    await (await find(page, '#cell-price_eur')).click({ clickCount: 3 });
    await page.keyboard.type('17');
    await click(page, 'aria/Save the part[role="button"]');
    await reads(page, 'Schlaufe neu', '[data-part="parts-grid"]');
  });

  test('a file with faults names them; the good rows are looked at before they are taken', async () => {
    const page = await open();
    const bad = [HEADER, row('probe-1'), row('probe-2', '-1'), row('probe-1')].join('\r\n');
    await upload(page, 'bad.csv', `\ufeff${bad}`);
    await reads(page, '2 faults; 1 good row. Nothing is saved yet.');
    const faults = await pageText(page, '[data-part="faults"]');
    expect(faults).toContain('3 price_eur -1 must be 0 to 20000');
    expect(faults).toContain('4 id “probe-1” stands in line 2 already');
    await click(page, 'aria/Look at the 1 good row[role="button"]');
    await reads(page, 'Consumables: 1 new, 0 changed, 0 as they are. Nothing is saved yet.');
    const count = async () =>
      (await shop.get<{ count: number }>('/api/v1/shop/parts?q=probe')).count;
    expect(await count()).toBe(0);
    await click(page, 'aria/Take 1 row[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    expect(await count()).toBe(1);
  });

  test.each([
    ['junk.csv', 'a#b#c\n1#2#3', 'The header lacks slot. Between columns stands'],
    ['empty.csv', ' ', 'The file is empty.'],
    ['slot.csv', HEADER.replace(';contents', '') + '\nx;antenna;a;b;both;1;1;1;1;s', 'is no slot'],
  ])('%s is refused with a word on why', async (name, text, why) => {
    const page = await open();
    await upload(page, name, text);
    await reads(page, why, '[role="dialog"]');
  });

  test('a big file shows how far it is and can be stopped; nothing of it stays', async () => {
    const page = await open();
    const rows = Array.from({ length: 12_000 }, (_, i) => row(`viele-${i}`));
    await upload(page, 'big.csv', [HEADER, ...rows].join('\n'));
    await page.waitForSelector('[role="progressbar"]');
    await reads(page, 'Looking at it …');
    await click(page, 'aria/Stop[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    const found = await shop.get<{ count: number }>('/api/v1/shop/parts?q=viele');
    expect(found.count).toBe(0);
    // The same file again, this time to its end: all of it at once.
    await upload(page, 'big.csv', [HEADER, ...rows].join('\n'));
    await reads(page, 'Consumables: 12000 new, 0 changed, 0 as they are.');
    await click(page, 'aria/Take 12000 rows[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    const after = await shop.get<{ count: number }>('/api/v1/shop/parts?q=viele');
    expect(after.count).toBe(12_000);
  });

  test('a supplier’s list is shown as differences; only what is ticked is taken', async () => {
    const page = await open();
    await click(page, 'aria/Supplier’s list[role="button"]');
    await click(page, 'aria/Nordufer Handel[role="button"]');
    await reads(page, 'as they are.', '[role="dialog"]');
    const boxes = await page.$$('[role="dialog"] tbody input[type="checkbox"]');
    expect(boxes.length).toBeGreaterThan(1);
    for (const box of boxes.slice(1)) if (await box.evaluate((n) => n.checked)) await box.click();
    await click(page, 'aria/Take what is ticked[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
  });
});

test('the shop’s own word on what counts moves the packages', async () => {
  const page = await shop.page();
  await visit(page, `${shop.url}/shop`);
  await (await find(page, '#shop-weight-quiver')).type('40');
  await reads(page, 'A number from 0 to 20.');
  await page.keyboard.press('Tab');
  expect((await shop.snapshot(await shop.jobOf('Ove'))).shop.kit.weights).toEqual({});
  await (await find(page, '#shop-weight-quiver')).click({ clickCount: 3 });
  await page.keyboard.type('19');
  await page.keyboard.press('Tab');
  await reads(page, 'Saved.');
  const jobId = await shop.jobOf('Ove');
  await visit(page, `${shop.url}/jobs/${jobId}/kit?part=packages`);
  await reads(page, 'quiver 19');
});

describe('the arrow from its parts', () => {
  test('built, compared, taken, weighed; what is unsafe is refused and kept as typed', async () => {
    const jobId = await fitted({
      name: 'Solveig Brand',
      budget: 1500,
      furthestM: 40,
      span: '70',
      weight: '40',
      bowId: 'wellenlaeufer-r',
    });
    const page = await shop.page();
    await visit(page, `${shop.url}/jobs/${jobId}/kit?slot=arrows`);
    await click(page, 'aria/Build the arrow from its parts[role="link"]');
    await reads(page, 'good', '[data-part="arrow-facts"]');
    await click(page, 'aria/Another build[role="button"]');
    await reads(page, 'Side by side');
    const point = (await find(
      page,
      'aria/Point[role="combobox"]',
    )) as ElementHandle<HTMLSelectElement>;
    await point.select('point-feld-150');
    await settled(page);
    await until(page, () => {
      const [first, second] = [
        ...document.querySelectorAll('[data-part="compare-builds"] tbody tr'),
      ].map((row) =>
        [...row.querySelectorAll('td')]
          .slice(1)
          .map((cell) => cell.textContent)
          .join(),
      );
      return first !== second;
    });
    // Cut so short that it could fall off the rest: refused, and the bow's arrow stays as it was.
    await (await find(page, '#arrow-length')).click({ clickCount: 3 });
    await page.keyboard.type('26');
    await page.keyboard.press('Enter');
    await reads(page, 'it may fall off the rest at full draw');
    expect(
      await page.$eval('aria/Take this arrow: Build B[role="button"]', (n) =>
        n.hasAttribute('disabled'),
      ),
    ).toBe(true);
    await (await find(page, '#arrow-length')).click({ clickCount: 3 });
    await page.keyboard.type('very long');
    await page.keyboard.press('Enter');
    await reads(page, 'very', '[data-part="arrow-numbers"]');
    await (await find(page, '#arrow-length')).click({ clickCount: 3 });
    await page.keyboard.type('29');
    await page.keyboard.press('Enter');
    await reads(page, 'Front of centre', '[data-part="arrow-facts"]');
    await settled(page);
    await click(page, 'aria/Take this arrow: Build B[role="button"]');
    await reads(page, 'Chosen now: Schilf Halm');
    const { parts } = await shop.snapshot(jobId);
    const arrows = parts.find(({ slot }) => slot === 'arrows')!;
    expect(arrows.build).toMatchObject({ name: 'B', pointId: 'point-feld-150', count: 12 });
    expect(arrows.item!.attrs).toMatchObject({ count: 12 });
    // The set on the scale, read by the device, then by hand.
    await click(page, 'aria/Read the scale[role="button"]');
    await reads(page, 'Mean', '[data-part="verdict"]');
    await until(page, () => document.querySelectorAll('[data-part="set-masses"] li').length === 12);
    await settled(page);
    await click(page, 'aria/Weigh anew[role="button"]');
    await settled(page);
    await (await find(page, '#arrow-masses')).type('24.5 24.55 25.9 g heavy');
    await page.keyboard.press('Enter');
    await reads(page, '“heavy” is not a mass');
    await (await find(page, '#arrow-masses')).click({ clickCount: 3 });
    await page.keyboard.type('24.5 24.55 25.9 g');
    await page.keyboard.press('Enter');
    await reads(page, 'Leave out arrow 3; the other 2 lie', '[data-part="verdict"]');
  });
});

describe('selling', () => {
  const two = async () => {
    const base = { budget: 2000, furthestM: 40, span: '69', weight: '38' };
    const bowId = 'wellenlaeufer-r';
    return [
      await fitted({ ...base, bowId, name: 'Mattis Eins' }),
      await fitted({ ...base, bowId, name: 'Nele Zwei' }),
    ] as const;
  };

  test('two tablets, one last part: the second is told, and may order it', async () => {
    const [first, second] = await two();
    const [left, right] = [await shop.page(), await shop.page(1024, 768)];
    await visit(left, `${shop.url}/jobs/${first}/kit?slot=release`);
    await visit(right, `${shop.url}/jobs/${second}/kit?slot=release`);
    const take = 'aria/Take: Handwerk Süd Rücken[role="button"]';
    await click(left, take);
    await reads(left, 'Handwerk Süd Rücken', '[data-part="slots"]');
    await click(right, take);
    await reads(right, 'The last Handwerk Süd Rücken is gone. It was put aside for ticket');
    expect((await shop.snapshot(second)).parts).toEqual([]);
    // What the screen says now is what there is: it comes in some days, and is taken so.
    await until(right, () =>
      [...document.querySelectorAll('[data-part="item-rows"] li')].some(
        (row) =>
          row.querySelector('b')?.textContent?.trim() === 'Handwerk Süd Rücken' &&
          row.textContent.includes('in 4 days'),
      ),
    );
    await click(right, take);
    await reads(right, 'Handwerk Süd Rücken', '[data-part="slots"]');
    const ordered = (await shop.snapshot(second)).parts[0]!;
    expect(ordered.arrivesDay).toBe('2026-11-28');
  });

  test('a quote is given, stays as it was, and says what has changed since', async () => {
    const [jobId] = await two();
    const page = await shop.page();
    await visit(page, `${shop.url}/jobs/${jobId}/kit?slot=sight`);
    await click(page, 'aria/Take: Peilwerk Steg[role="button"]');
    await settled(page);
    await click(page, '[data-part="head"] a::-p-text(Quote)');
    await reads(page, 'Peilwerk Steg', '[data-part="quote-table"]');
    await reads(page, 'Setting up,', '[data-part="quote-table"]');
    await click(page, 'aria/Give this quote[role="button"]');
    await reads(page, 'Nothing has changed since.');
    await visit(page, `${shop.url}/jobs/${jobId}/kit?slot=sight`);
    await click(page, 'aria/Take: Lumen & Lot Einton[role="button"]');
    await settled(page);
    await visit(page, `${shop.url}/jobs/${jobId}/kit?part=quote`);
    await reads(page, 'Since the last quote: Peilwerk Steg is gone, Lumen & Lot Einton is new.');
    await click(page, '[data-part="quote-rows"] a');
    await reads(page, 'Peilwerk Steg', '[data-part="sheet"]');
    expect(await pageText(page, '[data-part="sheet"]')).not.toContain('Einton');
    await reads(page, 'Deposit, 30 %');
  });

  test('what has to be ordered stands by supplier until it is here', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/orders`);
    await reads(page, 'Vassdrag Lever Pro');
    await click(page, 'aria/Ordered: Vassdrag Lever Pro[role="button"]');
    await click(page, 'aria/It is here: Vassdrag Lever Pro[role="button"]');
    await reads(page, 'has come');
    const jobId = await shop.jobOf('Bettina');
    const part = (await shop.snapshot(jobId)).parts.find(({ slot }) => slot === 'rest')!;
    expect(part.arrivedAt).not.toBeNull();
    const file = await (await shop.ask(`/api/v1/shop/orders/file`)).text();
    expect(file).not.toContain('Lever Pro');
  });
});
