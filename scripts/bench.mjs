/** Figures and ratios; nothing here passes or fails. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { cookieHeader, signIn } from './sign-in.cjs';
import {
  bin,
  CHROMIUM_FLAGS,
  chromiumPath,
  freePort,
  needBuild,
  needChromium,
  needPackages,
  run,
  startServer,
  stop,
} from './lib.mjs';

needPackages();
needChromium();
if (!needBuild()) stop('The build failed; the reason stands above.');
if (!run(bin('tsx'), ['scripts/bench-compute.ts'])) stop('The compute bench failed.');
if (!run(bin('tsx'), ['scripts/bench-kit.ts'])) stop('The bench of the kit failed.');
if (!run(bin('tsx'), ['scripts/bench-lane.ts'])) stop('The bench of the lane failed.');
if (!run(bin('tsx'), ['scripts/bench-route.ts'])) stop('The bench of the route failed.');
if (!run(bin('tsx'), ['scripts/bench-steady.ts'])) stop('The bench of balance and aim failed.');

const folder = mkdtempSync(join(tmpdir(), 'waffenrad-bench-'));
const db = join(folder, 'demo.sqlite');
if (!run(bin('tsx'), ['demo/run-seed.ts'], { WAFFENRAD_DB: db })) stop('No demo database.');
const { child, url } = await startServer({ port: await freePort(3500), db });
const browser = await puppeteer.launch({
  executablePath: chromiumPath(),
  args: CHROMIUM_FLAGS,
  userDataDir: join(folder, 'profile'),
});
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

const cookies = await signIn(url);
const headers = { cookie: cookieHeader(cookies) };

try {
  const found = await (await fetch(`${url}/api/v1/find?q=Ilse`, { headers })).json();
  const pages = [
    ['today', '/'],
    ['fit', `/jobs/${found[0].jobId}/fit`],
    ['limb bolts, with chart', `/jobs/${found[0].jobId}/bow?part=bolts`],
    ['bench', `/jobs/${found[0].jobId}/bench`],
  ];
  console.log(
    '\nPages, cold cache (median of 5): answer, drawn, loaded; script sent over the wire',
  );
  for (const [name, path] of pages) {
    const rounds = [];
    for (let i = 0; i < 5; i++) {
      const context = await browser.createBrowserContext();
      await context.setCookie(
        ...cookies.map((cookie) => ({ ...cookie, domain: '127.0.0.1', path: '/' })),
      );
      const page = await context.newPage();
      await page.goto(url + path, { waitUntil: 'load' });
      rounds.push(
        await page.evaluate(() => {
          const [nav] = performance.getEntriesByType('navigation');
          const paint = performance.getEntriesByName('first-contentful-paint')[0];
          const scripts = performance
            .getEntriesByType('resource')
            .filter((entry) => entry.initiatorType === 'script' || entry.name.endsWith('.js'));
          return {
            answer: nav.responseStart,
            drawn: paint?.startTime ?? 0,
            loaded: nav.loadEventEnd,
            kB: scripts.reduce((sum, entry) => sum + entry.encodedBodySize, 0) / 1000,
          };
        }),
      );
      await context.close();
    }
    const of = (key) => median(rounds.map((round) => round[key])).toFixed(0);
    console.log(
      `${name.padEnd(34)}${of('answer').padStart(6)} ms${of('drawn').padStart(7)} ms${of('loaded').padStart(7)} ms${of('kB').padStart(8)} kB`,
    );
  }
} finally {
  await browser.close();
  child.kill();
  rmSync(folder, { recursive: true, force: true });
}
await import('./bench-history.mjs');
