import axe, { type RunOptions } from 'axe-core';
import type { Page } from 'puppeteer-core';
import { openAnew, reads, visit } from './hands';
import { TestShop } from './shop';

interface Colour {
  alpha: number;
  parseString(text: string): void;
}
/** What of the checker's arithmetic its types leave out. */
interface Checker {
  readonly commons: {
    readonly color: {
      readonly Color: new () => Colour;
      flattenColors(ink: Colour, ground: Colour): Colour;
      getContrast(ground: Colour, ink: Colour): number;
    };
  };
}

/** A view of the demo shop: its name, whose job, its address, words that are read there. */
type View = readonly [string, string | null, string, string];

export async function openView(
  shop: TestShop,
  page: Page,
  who: string | null,
  path: string,
  words: string,
  goes: (page: Page, url: string) => Promise<unknown> = visit,
) {
  await goes(page, shop.url + (who ? await ofSomebody(shop, who, path) : path));
  await reads(page, words);
  await page.evaluate(() => document.fonts.ready);
}

/** A page of somebody's job, or of what is known of them. */
async function ofSomebody(shop: TestShop, who: string, path: string): Promise<string> {
  const jobId = await shop.jobOf(who);
  return path === '/archers'
    ? `/archers/${(await shop.snapshot(jobId)).archer.id}`
    : `/jobs/${jobId}/${path}`;
}

/** Sizes of a laptop, a tablet and a telephone. */
const SIZES = [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const;

/** Things to press that a finger would miss; a field is as large as the frame it stands in. */
const tooSmall = (page: Page) =>
  page.$$eval(
    'button, [role="button"], input, select, textarea, [data-part="rail"] a, [data-part="slots"] a',
    (nodes) =>
      nodes
        .map(
          (node) =>
            node.closest(
              '.MuiInputBase-root, [data-part="stepper"], [data-part="caution-rows"] label',
            ) ?? node,
        )
        .map((node) => ({ box: node.getBoundingClientRect(), node }))
        .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
        .map(
          ({ box, node }) => `${node.outerHTML.slice(0, 90)} ${box.width | 0}×${box.height | 0}`,
        ),
  );

/** Rules of order that are best practice, not law: a screen reader finds its way by them. */
const RULES = {
  'heading-order': { enabled: true },
  'page-has-heading-one': { enabled: true },
  'scrollable-region-focusable': { enabled: true },
};

const said = (violations: readonly { id: string; nodes: readonly { html: string }[] }[]) =>
  violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);

/** The checker is put into a page once. */
async function withChecker(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
}

/** What it finds against us: in the page itself, which holds no frames. */
async function against(page: Page, options: RunOptions): Promise<string[]> {
  await withChecker(page);
  const found = await page.evaluate(
    (asked) =>
      (window as unknown as { axe: typeof axe }).axe
        .run(document, asked)
        .then(({ violations }) =>
          violations.map(({ id, nodes }) => ({ id, nodes: nodes.map(({ html }) => ({ html })) })),
        ),
    { ...options, resultTypes: ['violations'] } as RunOptions,
  );
  return said(found);
}

const faultsOf = (page: Page, rules = {}) =>
  against(page, {
    runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa'] },
    rules: { ...RULES, ...rules },
  });

/**
 * Texts that are too faint for AA. What lies over what the checker has seen on paper already, and is the same in other
 * colours: a text stands on what its ancestors are filled with, which takes a fiftieth of the time.
 */
async function faintIn(page: Page): Promise<string[]> {
  await withChecker(page);
  return page.evaluate(faintTexts);
}

/** Runs in the page. */
function faintTexts(): string[] {
  const { Color, flattenColors, getContrast } = (window as unknown as { axe: Checker }).axe.commons
    .color;
  const grounds = new Map<Element | null, Colour>();
  const read = (text: string) => {
    const colour = new Color();
    colour.parseString(text);
    return colour;
  };
  const groundOf = (node: Element | null): Colour => {
    const known = grounds.get(node);
    if (known) return known;
    const fill = read(node ? getComputedStyle(node).backgroundColor : '#ffffff');
    const ground = fill.alpha === 1 ? fill : flattenColors(fill, groundOf(node!.parentElement));
    grounds.set(node, ground);
    return ground;
  };
  const fadedBy = (node: Element | null): number =>
    node ? Number(getComputedStyle(node).opacity) * fadedBy(node.parentElement) : 1;
  // What stands on a drawing stands on none of its ancestors; here as there it cannot be told.
  const isOff = (node: Element) =>
    node.closest('svg, [data-part="visit-box"], [disabled], [aria-disabled="true"]') ||
    node.closest('label')?.control?.matches(':disabled');
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const bearers = new Set<Element>(
    document.querySelectorAll('input:not([type="checkbox"], [type="radio"]), textarea, select'),
  );
  while (texts.nextNode())
    if (texts.currentNode.nodeValue!.trim()) bearers.add(texts.currentNode.parentElement!);
  return [...bearers].flatMap((node) => {
    const { width, height } = node.getBoundingClientRect();
    const seen = node.checkVisibility({ visibilityProperty: true }) && width > 1 && height > 1;
    if (!seen || isOff(node)) return [];
    const { color, fontSize, fontWeight } = getComputedStyle(node);
    const ink = read(color);
    ink.alpha *= fadedBy(node);
    const ground = groundOf(node);
    const sizePx = Number.parseFloat(fontSize);
    const isLarge = sizePx >= 24 || (sizePx >= 18.66 && Number(fontWeight) >= 700);
    const ratio = getContrast(ground, flattenColors(ink, ground));
    if (ratio >= (isLarge ? 3 : 4.5)) return [];
    return [`${ratio.toFixed(2)} : 1, ${color}: ${node.outerHTML.slice(0, 120)}`];
  });
}

/** What would move although stillness was asked for. */
const moving = (page: Page) =>
  page.$$eval('button, a, input', (nodes) =>
    nodes
      .filter((node) => {
        const { transitionDuration, transitionProperty } = getComputedStyle(node);
        return transitionProperty !== 'none' && Number.parseFloat(transitionDuration) > 0;
      })
      .map((node) => node.outerHTML.slice(0, 90)),
  );

/** A new size or colour is laid out and drawn, and nothing is on its way to it any more. */
export const laidOut = (page: Page) =>
  page.evaluate(async () => {
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const moving = document.getAnimations().filter((one) => one instanceof CSSTransition);
    await Promise.allSettled(moving.map((one) => one.finished));
  });

export const everyView = (views: readonly View[]) => {
  let shop: TestShop;
  let page: Page;
  beforeAll(async () => {
    shop = await TestShop.open('demo');
    page = await shop.page();
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  });
  afterAll(() => shop.close());

  test.each(views)(
    '%s: no fault for a weak eye, every size, dim, twice the size',
    async (...view) => {
      const [, who, path, words] = view;
      await page.setViewport({ width: 1280, height: 800 });
      // Anew: what the server drew and what the page makes of it are compared by it too.
      await openView(shop, page, who, path, words, openAnew);
      expect(await faultsOf(page)).toEqual([]);
      expect(await moving(page)).toEqual([]);
      // Of the dim colours the wide page shows the most.
      await page.evaluate(() => (document.documentElement.dataset.scheme = 'dark'));
      await laidOut(page);
      expect(await faintIn(page)).toEqual([]);
      for (const [width, height] of SIZES) {
        await page.setViewport({ width, height });
        await laidOut(page);
        const sticksOut = await page.evaluate(
          () => document.documentElement.scrollWidth - window.innerWidth,
        );
        expect([width, Math.max(0, sticksOut)]).toEqual([width, 0]);
        expect([width, ...(await tooSmall(page))]).toEqual([width]);
      }
      // A browser at 200 % has half the room in each direction.
      await page.setViewport({ width: 640, height: 400, deviceScaleFactor: 2 });
      await laidOut(page);
      expect(await faultsOf(page, { 'color-contrast': { enabled: false } })).toEqual([]);
    },
  );

  test('what is planted against a weak eye is found', async () => {
    const planted = await page.evaluateHandle(() => {
      const box = document.createElement('p');
      box.innerHTML = '<img src="/icon.svg"><span style="color:#777;background:#888">faint</span>';
      document.querySelector('main')!.append(box);
      return box;
    });
    const found = (await faultsOf(page)).map((fault) => fault.split(':')[0]);
    expect(found).toEqual(expect.arrayContaining(['color-contrast', 'image-alt']));
    expect(await faintIn(page)).toEqual([expect.stringContaining('faint')]);
    await planted.evaluate((box) => box.remove());
  });

  test('and the console has nothing to complain of', () => expect(shop.complaints).toEqual([]));
};
