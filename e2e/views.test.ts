import { AxePuppeteer } from '@axe-core/puppeteer';
import type { Page } from 'puppeteer-core';
import { find, pageText, reads, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo');
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

/** Every main view of the demo shop: what it shows, and whose job. */
const VIEWS = [
  ['today', null, '/', 'The bench today'],
  ['shop settings', null, '/shop', 'How numbers are written'],
  ['meet', 'Noor', 'meet', 'What do you want to shoot?'],
  ['full draw', 'Noor', 'fit?part=posture', 'contradict each other'],
  ['eye', 'Ove', 'fit?part=eye', 'how to go on'],
  ['release', 'Ove', 'fit?part=release', 'A firm wall is wanted'],
  ['old bow', 'Jarle', 'fit?part=old', 'Peep above the arrow'],
  ['draw-off', 'Casimir', 'bow?part=drawOff', 'What they liked'],
  ['twists', 'Ilse', 'bow?part=twists', 'The rest of the draw length'],
  ['bows of the shop', null, '/shop/bows', 'Read a file'],
  ['draw length', 'Ilse', 'fit', '3 methods agree'],
  ['draw weight', 'Ilse', 'fit?part=weight', 'start weight'],
  ['bows', 'Noor', 'bow?part=choose', '2 of 14 in the shop fit'],
  ['module', 'Ilse', 'bow?part=module', 'Two cams carry a module'],
  ['limb bolts', 'Ilse', 'bow?part=bolts', 'Turning plan'],
  ['draw force', 'Ilse', 'bow?part=force', 'a pound more weight'],
  ['kit', 'Ove', 'kit?slot=sight', 'does not fit'],
  ['packages', 'Ove', 'kit?part=packages', 'What more money buys'],
  ['ways out', 'Bettina', 'kit?part=packages', 'Whole packages'],
  ['arrow', 'Aino', 'kit?part=arrow', 'Front of centre'],
  ['quote', 'Ilse', 'kit?part=quote', 'Give this quote'],
  ['parts of the shop', null, '/shop/parts', 'Rohrdommel Kiebitz'],
  ['orders', null, '/orders', 'Vassdrag Lever Pro'],
  ['bench', 'Ilse', 'bench', 'The way from here'],
  ['a choice at the bench', 'Ilse', 'bench?step=loop&value=loopPlace', 'both knots under'],
  ['a school at the bench', 'Ilse', 'bench?step=centreShot', 'by a second arrow'],
  ['calendar', null, '/calendar', 'Visits of this day'],
  ['steps of the bench', null, '/shop/steps', 'Weigh a finished arrow'],
  ['paper', 'Teodor', 'lane?part=paper', 'Papers so far'],
  ['speed', 'Teodor', 'lane?part=speed', 'Three shots, a metre in front'],
  ['first distance', 'Teodor', 'lane?part=first', 'Tap each hit'],
  ['marks', 'Aino', 'lane?part=marks', 'Pin below 18 m'],
  ['bare shafts', 'Teodor', 'lane?part=paper&check=bare', 'Note the pair'],
  ['walk-back', 'Teodor', 'lane?part=paper&check=walk', 'Hang a plumb line'],
  ['chronograph', 'Aino', 'lane?part=speed', 'Shots of this speed'],
  ['distances', 'Aino', 'lane?part=first', 'Confirmed distances'],
  ['tape', 'Aino', 'lane?part=marks&view=tape', 'lines on'],
  ['field card', 'Aino', 'lane?part=marks&view=field', 'Shoot as level distance'],
  ['sight for good', 'Aino', 'lane?part=sight', 'Done again'],
  ['steady', 'Aino', 'steady', 'After the shot it'],
  ['handover', 'Aino', 'handover', 'Revision 1'],
  ['sheet', 'Aino', 'sheet/1', 'Settings as measured'],
] as const;

async function open(page: Page, who: string | null, path: string, words: string) {
  await visit(page, shop.url + (who ? `/jobs/${await shop.jobOf(who)}/${path}` : path));
  await reads(page, words);
  await page.evaluate(() => document.fonts.ready);
}

/** Sizes of a laptop, a tablet and a telephone. */
const SIZES = [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const;

/** Things to press that a finger would miss; a field is as large as the frame it stands in. */
const tooSmall = (page: Page) =>
  page.$$eval('button, [role="button"], input, select, textarea, .rail a, .slots a', (nodes) =>
    nodes
      .map((node) => node.closest('.MuiInputBase-root, .stepper, .caution-rows label') ?? node)
      .map((node) => ({ box: node.getBoundingClientRect(), node }))
      .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
      .map(({ box, node }) => `${node.outerHTML.slice(0, 90)} ${box.width | 0}×${box.height | 0}`),
  );

describe('every view', () => {
  let page: Page;
  beforeAll(async () => {
    page = await shop.page();
  });

  test.each(VIEWS)('%s has no fault a screen reader or a weak eye would meet', async (...view) => {
    const [, who, path, words] = view;
    await page.setViewport({ width: 1280, height: 800 });
    await open(page, who, path, words);
    expect(await faultsOf(page)).toEqual([]);
  });

  test('and the console has nothing to complain of', () => expect(shop.complaints).toEqual([]));

  test.each(VIEWS)('%s fits laptop, tablet and telephone', async (_, who, path, words) => {
    await page.setViewport({ width: 1280, height: 800 });
    await open(page, who, path, words);
    for (const [width, height] of SIZES) {
      await page.setViewport({ width, height });
      await page.evaluate(() => new Promise((done) => setTimeout(done, 120)));
      const sticksOut = await page.evaluate(
        () => document.documentElement.scrollWidth - window.innerWidth,
      );
      expect([width, Math.max(0, sticksOut)]).toEqual([width, 0]);
      expect([width, ...(await tooSmall(page))]).toEqual([width]);
    }
  });
});

/** Screens one measures on, and the sizes they are measured on: also upright, and on its side. */
const MEASURED = [
  ['draw length', 'Ilse', 'fit', '3 methods agree'],
  ['draw weight', 'Ilse', 'fit?part=weight', 'start weight'],
  ['old bow', 'Jarle', 'fit?part=old', 'Peep above the arrow'],
  ['limb bolts', 'Ilse', 'bow?part=bolts', 'Turning plan'],
  ['twists', 'Ilse', 'bow?part=twists', 'The rest of the draw length'],
  ['bench', 'Ilse', 'bench', 'The way from here'],
  ['a choice', 'Ilse', 'bench?step=loop&value=loopPlace', 'both knots under'],
  ['paper', 'Teodor', 'lane?part=paper', 'Papers so far'],
  ['bare shafts', 'Teodor', 'lane?part=paper&check=bare', 'Bare shafts'],
  ['walk-back', 'Teodor', 'lane?part=paper&check=walk', 'Hang a plumb line'],
  ['chronograph', 'Aino', 'lane?part=speed', 'Shots of this speed'],
  ['distances', 'Aino', 'lane?part=first', 'Confirmed distances'],
  ['steady', 'Aino', 'steady', 'After the shot it'],
] as const;
const HELD = [
  [1280, 800],
  [1024, 768],
  [820, 1180],
  [390, 844],
  [844, 390],
] as const;

/** Of a dock: what of it is not wholly on the screen, or lies under something else. */
const outOfReach = (page: Page) =>
  page.$$eval('.dock input, .dock button', (nodes) =>
    nodes
      .filter((node) => !(node as HTMLButtonElement).disabled)
      .filter((node) => {
        const { left, right, top, bottom } = node.getBoundingClientRect();
        const inside = left >= 0 && top >= 0 && right <= innerWidth && bottom <= innerHeight;
        const over = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
        return !inside || !(over && (node.contains(over) || over.contains(node)));
      })
      .map((node) => node.outerHTML.slice(0, 80)),
  );

test.each(MEASURED)('the dock of %s is in reach at every size', async (_, who, path, words) => {
  const page = await shop.page();
  await page.setViewport({ width: 1280, height: 800 });
  await open(page, who, path, words);
  await page.waitForSelector('.dock :is(input, button)');
  for (const [width, height] of HELD) {
    await page.setViewport({ width, height });
    await page.evaluate(() => new Promise((done) => setTimeout(done, 150)));
    expect([`${width} × ${height}`, ...(await outOfReach(page))]).toEqual([`${width} × ${height}`]);
    // The strip is the last thing on the screen, and the dock ends above it.
    const [dock, strip] = await page.$$eval('.dock, .strip', (nodes) =>
      nodes.map((node) => node.getBoundingClientRect().bottom),
    );
    expect(strip).toBe(height);
    expect(dock).toBeLessThanOrEqual(height);
  }
});

test('upright, what is worked on scrolls by itself and its end is not under the dock', async () => {
  const page = await shop.page();
  await page.setViewport({ width: 820, height: 1180 });
  await open(page, 'Ilse', 'fit', '3 methods agree');
  const end = await page.$eval('.job-body', (body) => {
    body.scrollTop = body.scrollHeight;
    const last = [...body.children].reduce((a, b) =>
      a.getBoundingClientRect().bottom > b.getBoundingClientRect().bottom ? a : b,
    );
    const dock = document.querySelector('.dock')!.getBoundingClientRect();
    return { scrolled: body.scrollTop, gap: dock.top - last.getBoundingClientRect().bottom };
  });
  expect(end.scrolled).toBeGreaterThan(0);
  expect(end.gap).toBeGreaterThanOrEqual(-1);
  // The pad writes where the field is, and another stage begins at its top.
  await (await find(page, '.pad [data-key="7"]')).tap();
  expect(await page.$eval('.dock input', (field) => field.value)).toBe('7');
  await (await find(page, '.pad [data-key="⌫"]')).tap();
  await (await find(page, '.rail a:nth-child(3)')).click();
  await reads(page, 'Turning plan');
  expect(await page.$eval('.job-body', (body) => body.scrollTop)).toBe(0);
});

/** Rules of order that are best practice, not law: a screen reader finds its way by them. */
const ORDER_RULES = ['heading-order', 'page-has-heading-one', 'scrollable-region-focusable'];

const faultsOf = async (page: Page) => {
  const wcag = await new AxePuppeteer(page).withTags(['wcag2a', 'wcag2aa']).analyze();
  const order = await new AxePuppeteer(page).withRules(ORDER_RULES).analyze();
  return [...wcag.violations, ...order.violations].map(
    (v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`,
  );
};

describe('dim, and at twice the size', () => {
  let page: Page;
  beforeAll(async () => {
    page = await shop.page();
    await page.evaluateOnNewDocument(() => localStorage.setItem('waffenrad.dim', 'yes'));
  });
  test.each(VIEWS)('%s keeps its contrast and its order', async (...view) => {
    const [, who, path, words] = view;
    // A browser at 200 % has half the room in each direction.
    await page.setViewport({ width: 640, height: 400, deviceScaleFactor: 2 });
    await open(page, who, path, words);
    await page.waitForFunction(() => document.documentElement.dataset.dim === 'yes');
    expect(await faultsOf(page)).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
    expect(await faultsOf(page)).toEqual([]);
  });
});

test('what went stale is told on the strip, the rail and the map, with the reason', async () => {
  const page = await shop.page();
  await open(page, 'Ilse', 'bench', 'To do again: 11');
  expect(await pageText(page, '.strip')).toContain('the string was twisted after');
  expect(await pageText(page, '.rail')).toContain('6 again');
  expect(
    await page.$$eval('.map .label[data-state="again"]', (nodes) => nodes.length),
  ).toBeGreaterThan(3);
});

test('a part of the bow map leads to the step that sets it', async () => {
  const page = await shop.page();
  await open(page, 'Ilse', 'fit', '3 methods agree');
  await (await find(page, '.map a[aria-label^="centre shot"] .label')).click();
  await reads(page, 'Set the centre shot', '.step-title');
});

test('find, keys and the list of keys', async () => {
  const page = await shop.page();
  await open(page, null, '/', 'The bench today');
  await page.keyboard.press('?');
  await reads(page, 'mark the step done and go to the next');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  await page.keyboard.press('/');
  await find(page, '#find');
  await page.keyboard.type('droge');
  await reads(page, 'Casimir Dröge', '.found');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.endsWith('/bow'));
  await reads(page, 'Casimir Dröge', '.top');
  await page.keyboard.press('g');
  await page.keyboard.press('4');
  await page.waitForFunction(() => location.pathname.endsWith('/kit'));
});

test('an empty shop says what to do first', async () => {
  const empty = await TestShop.open('empty');
  try {
    const page = await empty.page();
    await visit(page, empty.url);
    await reads(page, 'No job yet.');
    await reads(page, 'A new job needs a name');
  } finally {
    await empty.close();
  }
});

test('settings that cannot be saved say so at their field', async () => {
  const page = await shop.page();
  await open(page, null, '/shop', 'How numbers are written');
  const put = async (id: string, text: string) => {
    await (await find(page, id)).click();
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.press('Backspace');
    await page.keyboard.type(text);
  };
  await put('#shop-name', ' ');
  await put('#shop-timeZone', 'Mars/Base');
  await put('#shop-people', '');
  await page.keyboard.press('Tab');
  await reads(page, 'A shop needs a name');
  await reads(page, 'Not a time zone, for example Europe/Berlin');
  await reads(page, 'At least one name');
});

test('changed units are counted from then on; what was typed stays as typed', async () => {
  const page = await shop.page();
  await open(page, null, '/shop', 'How numbers are written');
  await (await find(page, 'button[value="mm"]')).click();
  await reads(page, 'Saved.');
  await open(page, 'Ilse', 'fit', '3 methods agree');
  expect(await pageText(page, '.parts')).toContain('700 mm');
  expect(await pageText(page, '.method-rows')).toContain('27 1/2 in');
});
