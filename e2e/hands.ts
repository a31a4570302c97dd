import type { CDPSession, ElementHandle, KeyInput, Page } from 'puppeteer-core';
import { apart, tapped } from './apart';

/** What a technician's hands can do; done once with fingers, once with the keyboard alone. */
export interface Hands {
  /** Presses a button or follows a link: a CSS selector, or `aria/Name`. */
  press(target: string): Promise<void>;
  /** Puts text into a field, named by its label. */
  fill(label: string, text: string): Promise<void>;
  /** Enters a number into the measuring field of this name, and takes it. */
  number(label: string, text: string): Promise<void>;
  /** The same without taking it. */
  numberOnly(label: string, text: string): Promise<void>;
  /** Goes to a stage of the job, 1 to 8. */
  stage(number: number): Promise<void>;
  /** On the bench: what `.` does. */
  onward(): Promise<void>;
}

const STAGES = ['meet', 'fit', 'bow', 'kit', 'bench', 'lane', 'steady', 'handover'];
/**
 * A slow machine is no fault: what never comes alone is to be noticed. Looked for every so often, not with every frame
 * the page draws: that would be most of the work it has.
 */
export const WAIT = { timeout: 60_000, polling: 50 };

interface Point {
  readonly x: number;
  readonly y: number;
}

export async function find(page: Page, target: string): Promise<ElementHandle<HTMLElement>> {
  const found = target.startsWith('aria/')
    ? await named(page, target.slice(5))
    : await page.waitForSelector(target, { timeout: WAIT.timeout }).catch(() => null);
  if (!found) throw new Error(`Not on the page: ${target}\n${await pageText(page)}`);
  return found as ElementHandle<HTMLElement>;
}

/** What stands for a role in our pages; another role stands as its attribute. */
const OF_ROLE: Readonly<Record<string, string>> = {
  button: 'button',
  link: 'a[href]',
  textbox:
    'input:not([type]), input:is([type="text"], [type="search"], [type="tel"], [type="email"]), textarea',
  combobox: 'select',
  checkbox: 'input[type="checkbox"]',
  radio: 'input[type="radio"]',
  any: 'button, a[href], input, textarea, select, [role], [aria-label]',
};
const ASK_BROWSER_EVERY_MS = 4000;

/**
 * The element of an accessible name: "Name" or "Name[role="button"]". The browser's own search for it builds the
 * whole tree of what assistive technology sees, again and again while it is waited for; so it is looked for by what
 * gives our elements their names, and the browser is asked now and then.
 */
async function named(page: Page, target: string): Promise<ElementHandle | null> {
  const [, name = '', role = 'any'] = /^(.*?)(?:\[role="(\w+)"\])?$/s.exec(target)!;
  const elements = [OF_ROLE[role], `[role="${role}"]`].filter(Boolean).join(', ');
  for (const end = Date.now() + WAIT.timeout; Date.now() < end;) {
    const found = await page
      .waitForFunction(elementNamed, { ...WAIT, timeout: ASK_BROWSER_EVERY_MS }, elements, name)
      .catch(() => null);
    const element = found?.asElement() ?? (await page.$(`::-p-aria(${target})`).catch(() => null));
    if (element) return element as ElementHandle;
  }
  return null;
}

/** Runs in the page: the first visible one of these elements that is called so; white space is no matter. */
function elementNamed(elements: string, name: string): Element | null {
  const bare = (text: string) => text.replace(/[\s\u200b\u00a0\u202f]+/g, '');
  const textOf = (node: Node): string => {
    if (node.nodeType === Node.TEXT_NODE) return node.textContent ?? '';
    if (!(node instanceof Element) || node.getAttribute('aria-hidden') === 'true') return '';
    return node.getAttribute('aria-label') ?? [...node.childNodes].map(textOf).join(' ');
  };
  const nameOf = (node: Element): string => {
    const by = node.getAttribute('aria-labelledby');
    if (by)
      return by
        .split(/\s+/)
        .map((id) => document.getElementById(id))
        .map((one) => (one ? textOf(one) : ''))
        .join(' ');
    const labels = (node as HTMLInputElement).labels;
    return (
      node.getAttribute('aria-label') ??
      (labels?.length ? [...labels].map(textOf).join(' ') : textOf(node))
    );
  };
  const wanted = bare(name);
  const seen = (node: Element) =>
    !node.closest('[aria-hidden="true"], [inert]') &&
    (node.checkVisibility({ visibilityProperty: true }) || node.matches('input'));
  for (const node of document.querySelectorAll(elements))
    if (bare(nameOf(node)) === wanted && seen(node)) return node;
  return null;
}

/** Opens an address anew, as after a reload, and waits until the page hears keys and taps. */
export async function openAnew(page: Page, url: string) {
  const response = await page.goto(url);
  await page.waitForSelector('html[data-ready]', WAIT);
  return response;
}

/**
 * Goes to an address: where the application is open already it goes there by itself, as by a link, which takes a
 * fifth of what opening it anew does. The address it stands at is opened anew.
 */
export async function visit(page: Page, url: string): Promise<void> {
  const [from, to] = [new URL(page.url()), new URL(url)];
  const inside = from.origin === to.origin && from.href !== to.href;
  if (!inside || !(await page.evaluate(goInside, to.pathname + to.search)))
    return void (await openAnew(page, url));
  await page.waitForFunction((before) => location.href !== before, WAIT, from.href);
  await page.evaluate(twoFrames);
}

/** Runs in the page: follows a link of its own; false where it is none of the application’s pages. */
function goInside(path: string): boolean {
  const { next } = window as { next?: { router?: { push(path: string): void } } };
  if (!next?.router || !document.documentElement.hasAttribute('data-ready')) return false;
  next.router.push(path);
  return true;
}

/** Runs in the page: by then it is drawn, and hears keys. */
const twoFrames = () =>
  new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));

/** Words of the page as they are read, fractions as "3/8", blanks as one. */
export const pageText = (page: Page, selector = 'body'): Promise<string> =>
  page.$eval(selector, (node) =>
    (node as HTMLElement).innerText
      .replace(/\u200b/g, '')
      .replace(/[\s\u00a0\u202f]+/g, ' ')
      .replace(/ \/ |⁄/g, '/'),
  );

/** Puts a text into a field in one go, as from the clipboard. */
export async function pasted(page: Page, target: string, text: string): Promise<void> {
  await (await find(page, target)).focus();
  const session = await page.createCDPSession();
  await session.send('Input.insertText', { text });
  await session.detach();
}

/**
 * Waits until it is so on the page. Asked for now and then: with every frame, as the browser does it by itself, the page
 * would draw all the time it is waited for.
 */
export const until = <A extends unknown[]>(
  page: Page,
  isSo: (...args: A) => unknown,
  options: { timeout?: number; polling?: number } = {},
  ...args: A
) =>
  page.waitForFunction(isSo as (...args: unknown[]) => unknown, { ...WAIT, ...options }, ...args);

/** Waits until the words stand on the page. */
export async function reads(page: Page, words: string, selector = 'body'): Promise<void> {
  const wanted = words.replace(/[\s\u00a0\u202f]+/g, ' ');
  await page
    .waitForFunction(
      (text, where) =>
        ((document.querySelector(where) as HTMLElement | null)?.innerText ?? '')
          .replace(/\u200b/g, '')
          .replace(/[\s\u00a0\u202f]+/g, ' ')
          .includes(text),
      WAIT,
      wanted,
      selector,
    )
    .catch(async () => {
      throw new Error(`“${wanted}” is not read in:\n${await pageText(page)}`);
    });
}

/** Waits until the words stand there no longer. */
export const lacks = (page: Page, words: string, selector = 'body') =>
  page.waitForFunction(
    (text, where) =>
      !(document.querySelector(where) as HTMLElement | null)?.innerText.includes(text),
    WAIT,
    words,
    selector,
  );

/** Entries are saved one after another; a screen at rest has nothing on its way. */
export const settled = (page: Page) =>
  until(
    page,
    () => !document.querySelector('[data-part="strip"]')?.textContent.includes('Saving …'),
  );

const sessions = new WeakMap<Page, Promise<CDPSession>>();
function sessionOf(page: Page): Promise<CDPSession> {
  if (!sessions.has(page)) sessions.set(page, page.createCDPSession());
  return sessions.get(page)!;
}

/** A finger down and up again; neither waits until the page has drawn what the other did. */
async function touch(page: Page, at: Point): Promise<void> {
  const session = await sessionOf(page);
  await Promise.all([
    session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] }),
    session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] }),
  ]);
}

/** A page whose keys go in one after another as a quick typist’s do: none waits until what the one before did is drawn. */
export function quickKeys({ keyboard: keys }: Page): void {
  keys.type = async (text) => {
    await Promise.all(
      [...text].flatMap((key) =>
        / |[!-~]/.test(key)
          ? [keys.down(key as KeyInput), keys.up(key as KeyInput)]
          : [keys.sendCharacter(key)],
      ),
    );
  };
}

/** Runs in the page: the middle of an element, where a finger or a mouse meets it. */
function middleOf(node: HTMLElement) {
  const [box] = node.getClientRects();
  if (!box) throw new Error('detached: drawn anew, or not drawn');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Its middle once it is scrolled to and at rest: a page still moving is tapped beside its buttons. */
export async function inReach(element: ElementHandle<HTMLElement>): Promise<Point> {
  await element.evaluate(async (node) => {
    node.scrollIntoView({ block: 'center' });
    let before = '';
    for (let i = 0; i < 120; i++) {
      const { x, y } = node.getBoundingClientRect();
      if (before === `${x} ${y}`) return;
      before = `${x} ${y}`;
      await new Promise((go) => requestAnimationFrame(go));
    }
  });
  return element.evaluate(middleOf);
}

/** Answers a question: a moment after it stands, since earlier taps are not meant for it. */
export async function answered(page: Page, name: string): Promise<void> {
  await find(page, `aria/${name}[role="button"]`);
  await new Promise((resolve) => setTimeout(resolve, 600));
  await click(page, `aria/${name}[role="button"]`);
}

/** What the browser says of a part that was replaced, or not yet laid out, under the hand. */
const drawnAnew = (error: unknown) => /detached|not clickable/.test(String(error));

/** Clicks like a mouse, wherever it stands on the page, and waits until it is saved. */
export async function click(page: Page, target: string): Promise<void> {
  for (let again = 0; ; again++) {
    const element = await find(page, target);
    try {
      await apart(page, await inReach(element));
      // Where it is now, should it have moved while the hand waited.
      const { x, y } = await element.evaluate(middleOf);
      await page.mouse.click(x, y);
      return void (await settled(page));
    } catch (error) {
      // The screen was drawn anew between looking and clicking: look again.
      if (again === 3 || !drawnAnew(error)) throw error;
    }
  }
}

/** Taps of the pad for a number as it is spoken: digits, fractions, unit, sign. */
function padTaps(text: string): string[] {
  const match = /^([-−]?)([\d.]*)(?: ?(\d+\/\d+))?(?: ?([A-Za-z/]+))?$/.exec(text)!;
  const [, sign, digits = '', fraction, unit] = match;
  const taps = [...digits];
  const sixteenths = fraction?.endsWith('/16') ? Number(fraction.split('/')[0]) : 0;
  if (sixteenths > 0) taps.push(...Array.from({ length: sixteenths }, () => '+1/16'));
  else if (fraction) taps.push(fraction);
  if (unit) taps.push(unit);
  if (sign) taps.push('±');
  return taps;
}

/** Types the hits of a group, right and up in mm, one after another. */
export async function hits(
  page: Page,
  all: readonly (readonly [right: string, up: string])[],
): Promise<void> {
  const hands = keyboard(page);
  for (const [right, up] of all) {
    await hands.fill('Right +, left −', right);
    await hands.fill('High +, low −', up);
    await page.keyboard.press('Enter');
  }
  await reads(page, `${all.length} hits`);
}

/** Four round the aim: they confirm the distance. */
export const ON_THE_AIM = [
  ['20', '-8'],
  ['-16', '12'],
  ['3', '19'],
  ['-9', '-18'],
] as const;

export function fingers(page: Page): Hands {
  const tap = async (target: string) => {
    for (let again = 0; ; again++) {
      const element = await find(page, target);
      try {
        await apart(page, await inReach(element));
        // Where it is now, should it have moved while the hand waited.
        const at = await element.evaluate(middleOf);
        await touch(page, at);
        return tapped(page, at);
      } catch (error) {
        // The screen was drawn anew between looking and tapping: look again.
        if (again === 3 || !drawnAnew(error)) throw error;
      }
    }
  };
  const numberOnly = async (label: string, text: string) => {
    const field = await find(page, `aria/${label}[role="textbox"]`);
    await field.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    // Words have no pad: they are typed.
    if (/[A-Z]{2}/.test(text)) {
      await tap(`aria/${label}[role="textbox"]`);
      await page.keyboard.type(text);
      return;
    }
    const pad = (key: string) =>
      field.evaluateHandle(
        (node, name) =>
          node
            .closest('form')!
            .querySelector<HTMLElement>(`[data-part="pad"] [data-key="${name}"]`)!,
        key,
      ) as Promise<ElementHandle<HTMLElement>>;
    // The pad stays in reach: it is looked for once.
    const taps = padTaps(text);
    if (taps[0]) await inReach(await pad(taps[0]));
    for (const key of taps) await touch(page, await (await pad(key)).evaluate(middleOf));
  };
  return {
    press: tap,
    numberOnly,
    async fill(label, text) {
      const target = `aria/${label}[role="textbox"]`;
      // On a busy machine a tap or the keys after it are now and then lost; a person sees it and does
      // it again.
      for (let again = 0; again < 4; again++) {
        await tap(target);
        const field = await find(page, target);
        const valueOf = () => field.evaluate((node) => (node as unknown as HTMLInputElement).value);
        const before = await valueOf();
        await page.keyboard.type(text);
        if ((await valueOf()) !== before) break;
      }
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      await settled(page);
    },
    async number(label, text) {
      await numberOnly(label, text);
      const field = await find(page, `aria/${label}[role="textbox"]`);
      const take = (await field.evaluateHandle((node) =>
        node.closest('form')!.querySelector<HTMLElement>('[data-part="take"]')!,
      )) as ElementHandle<HTMLElement>;
      await touch(page, await take.evaluate(middleOf));
      await settled(page);
    },
    async stage(number) {
      await tap(`[data-part="rail"] a:nth-child(${number})`);
      await page.waitForFunction(
        (part) => location.pathname.endsWith(part),
        WAIT,
        STAGES[number - 1]!,
      );
    },
    onward: () => tap('.MuiStack-root button:has(span)'),
  };
}

/** Runs in the page: how far Tab has come; once it is there, what was pressed beyond goes nowhere. */
function whereFocusStands(node: HTMLElement) {
  const stand = () => {
    if (!node.isConnected) return 'drawn anew';
    if (node === document.activeElement) return 'there';
    const group = node.closest('.MuiToggleButtonGroup-root');
    return group?.contains(document.activeElement) ? 'in its group' : 'elsewhere';
  };
  const held = window as { waffenradTab?: (event: KeyboardEvent) => void };
  document.removeEventListener('keydown', held.waffenradTab!, true);
  delete held.waffenradTab;
  const at = stand();
  if (at !== 'elsewhere') return at;
  held.waffenradTab = (event) => {
    if (event.key !== 'Tab' || stand() === 'elsewhere') return;
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  document.addEventListener('keydown', held.waffenradTab, true);
  return at;
}

const TAB = { key: 'Tab', code: 'Tab', windowsVirtualKeyCode: 9 };
/** Tab so many times, without waiting for each. */
async function tabs(page: Page, times: number): Promise<void> {
  const session = await sessionOf(page);
  const presses = Array.from({ length: times }, () =>
    (['rawKeyDown', 'keyUp'] as const).map((type) =>
      session.send('Input.dispatchKeyEvent', { type, ...TAB }),
    ),
  );
  await Promise.all(presses.flat());
}

export function keyboard(page: Page): Hands {
  const key = async (name: KeyInput) => {
    await page.keyboard.press('Escape');
    await page.keyboard.press(name);
  };
  /** Tab until it has the focus, as somebody without a mouse does. */
  const tabTo = async (target: string) => {
    let element = await find(page, target);
    for (let i = 0; i < 60; i++) {
      const at = await element.evaluate(whereFocusStands);
      if (at === 'there') return;
      if (at === 'drawn anew') element = await find(page, target);
      // A group of choices is one stop of Tab; inside it the arrows go on.
      else if (at === 'in its group') await page.keyboard.press('ArrowRight');
      else await tabs(page, 8);
    }
    throw new Error(`Tab never reaches ${target}`);
  };
  const numberOnly = async (label: string, text: string) => {
    await key('m');
    const there = await page.evaluate((name) => {
      const field = document.activeElement as HTMLInputElement | null;
      return field?.labels?.[0]?.innerText.trim() === name;
    }, label);
    if (!there) await tabTo(`aria/${label}[role="textbox"]`);
    await page.keyboard.type(text);
  };
  return {
    numberOnly,
    async press(target) {
      await tabTo(target);
      const box = await page.evaluate(
        () => (document.activeElement as HTMLInputElement).type === 'checkbox',
      );
      await page.keyboard.press(box ? 'Space' : 'Enter');
    },
    async fill(label, text) {
      await tabTo(`aria/${label}[role="textbox"]`);
      await page.keyboard.type(text);
      await page.keyboard.press('Tab');
      await settled(page);
    },
    async number(label, text) {
      await numberOnly(label, text);
      await page.keyboard.press('Enter');
      await settled(page);
    },
    async stage(number) {
      await key('g');
      await page.keyboard.press(String(number) as KeyInput);
      await page.waitForFunction(
        (part) => location.pathname.endsWith(part),
        WAIT,
        STAGES[number - 1]!,
      );
    },
    async onward() {
      await key('.');
      await settled(page);
    },
  };
}
