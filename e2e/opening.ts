import type { Page } from 'puppeteer-core';
import { click, find, openAnew, reads, until } from './hands';

const button = (name: string) => `aria/${name}[role="button"]`;
export const arrived = (page: Page, path: string) =>
  until(page, (to) => location.pathname === to, {}, path);

/** Names the first owner of a shop that was begun a moment ago, at the machine itself. */
export async function namesOwner(page: Page, name: string, pin: string): Promise<void> {
  await arrived(page, '/sign-in');
  await page.waitForSelector('#owner-name');
  await page.type('#owner-name', name);
  for (const id of ['#owner-secret', '#owner-again']) {
    await page.click(id, { clickCount: 3 });
    await page.type(id, pin);
  }
  await click(page, button('Open the shop'));
  await arrived(page, '/shop/first');
  await page.waitForSelector('html[data-ready]');
}

/** Through the guide to the sample catalogue. */
export async function takesSample(page: Page): Promise<void> {
  await click(page, button('Next'));
  await reads(page, 'How numbers are written here');
  for (const name of ['Money and tax', 'People', 'Stations and hours', 'Schools', 'Stock']) {
    await click(page, button('Next'));
    await reads(page, name, 'main h2');
  }
  await click(page, button('Put the sample in'));
  await reads(page, 'Of the sample 12 bows');
  await click(page, button('Next'));
}

/** The code that pairs one more tablet, as it is shown once. */
export async function pairingCode(page: Page, url: string): Promise<string> {
  await openAnew(page, `${url}/shop/people`);
  await click(page, button('Pair a tablet'));
  await find(page, '[data-part="code"]');
  const code = await page.$eval('[data-part="code"]', (node) => (node as HTMLElement).innerText);
  await click(page, button('Done'));
  return code;
}

/** Makes a tablet known by its code, as from another machine: through something that says so. */
export async function pairs(page: Page, url: string, code: string, name: string): Promise<void> {
  await page.setExtraHTTPHeaders({ 'x-forwarded-for': '192.0.2.9' });
  await openAnew(page, url);
  await find(page, '#pair-code');
  await page.type('#pair-code', code);
  await page.type('#pair-name', name);
  await click(page, button('Pair this tablet'));
}

/** Types a PIN on the pad and signs in by it. */
export async function pin(page: Page, digits: string): Promise<void> {
  await find(page, '#door-secret');
  for (const digit of digits) await click(page, `[aria-label="Digits"] [data-key="${digit}"]`);
  await click(page, button('Sign in'));
}

/** Says who it is. */
export async function choose(page: Page, name: string): Promise<void> {
  await until(
    page,
    (wanted) =>
      [...document.querySelectorAll('[data-part="people"] button')].some((one) =>
        (one as HTMLElement).innerText.includes(wanted),
      ),
    {},
    name,
  );
  await page.$$eval(
    '[data-part="people"] button',
    (all, wanted) => (all as HTMLElement[]).find((one) => one.innerText.includes(wanted))!.click(),
    name,
  );
}

export async function signsIn(page: Page, name: string, digits: string): Promise<void> {
  await choose(page, name);
  await pin(page, digits);
}

/** A stage with everything it is drawn by, kept for when there is no connection. */
export async function keptStage(
  page: Page,
  url: string,
  jobId: string,
  stage: string,
): Promise<void> {
  await openAnew(page, `${url}/jobs/${jobId}/${stage}`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload({ waitUntil: 'load' });
  await until(
    page,
    async (path) => Boolean(await caches.match(location.origin + path)),
    { polling: 500 },
    `/jobs/${jobId}/${stage}`,
  );
  await find(page, 'html[data-ready]');
}

/** Nothing waits any more in this tablet, and nothing asks. */
export const sentAll = (page: Page) =>
  until(
    page,
    () =>
      !/wait|sent|ask|connected/.test(
        document.querySelector('[data-part="top"] [role="status"]')?.textContent ?? '',
      ),
  );
