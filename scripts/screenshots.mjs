/** Takes the pictures of docs/screenshots from a fresh demo shop, its clock at a morning at work. */
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

/**
 * View name, ticket of whose job, path in the job; `extra` ones are taken only when asked for, some in a
 * size of their own.
 */
const VIEWS = [
  ['door', 'nobody', '/sign-in'],
  ['today', null, '/'],
  ['meet', 'Noor', 'meet'],
  ['fit-length', 'Ilse', 'fit'],
  ['fit-posture', 'Noor', 'fit?part=posture', 'extra'],
  ['fit-weight', 'Ilse', 'fit?part=weight', 'extra'],
  ['fit-eye', 'Ove', 'fit?part=eye', 'extra'],
  ['fit-release', 'Ove', 'fit?part=release', 'extra'],
  ['fit-old', 'Jarle', 'fit?part=old', 'extra'],
  ['bow-choose', 'Noor', 'bow'],
  ['bow-draw-off', 'Casimir', 'bow?part=drawOff', 'extra'],
  ['bow-twists', 'Ilse', 'bow?part=twists', 'extra'],
  ['stock-bows', null, '/shop/bows', 'extra'],
  ['stock-parts', null, '/shop/parts', 'extra'],
  ['shop', null, '/shop', 'extra'],
  ['people', null, '/shop/people'],
  ['done', null, '/shop/done', 'extra'],
  ['delivered', null, '/delivered', 'extra'],
  ['bow-module', 'Ilse', 'bow?part=module', 'extra'],
  ['bow-bolts', 'Ilse', 'bow?part=bolts', 'extra'],
  ['bow-force', 'Ilse', 'bow?part=force', 'extra'],
  ['kit', 'Ove', 'kit?slot=sight'],
  ['kit-packages', 'Ove', 'kit?part=packages', 'extra'],
  ['kit-arrow', 'Casimir', 'kit?part=arrow', 'extra'],
  ['kit-quote', 'Ilse', 'kit?part=quote', 'extra'],
  ['orders', null, '/orders', 'extra'],
  ['bench', 'Ilse', 'bench'],
  ['bench-choice', 'Casimir', 'bench?step=loop&value=loopPlace', 'extra'],
  ['bench-rest', 'Ilse', 'bench?step=centreShot', 'extra'],
  ['calendar', null, '/calendar'],
  ['steps', null, '/shop/steps', 'extra'],
  ['lane-paper', 'Teodor', 'lane'],
  ['lane-walk', 'Teodor', 'lane?part=paper&check=walk', 'extra'],
  ['lane-bare', 'Teodor', 'lane?part=paper&check=bare', 'extra'],
  ['lane-speed', 'Aino', 'lane?part=speed', 'extra'],
  ['lane-distances', 'Aino', 'lane?part=first', 'extra'],
  ['lane-marks', 'Aino', 'lane?part=marks'],
  ['lane-tape', 'Aino', 'lane?part=marks&view=tape', 'extra'],
  ['lane-field', 'Aino', 'lane?part=marks&view=field', 'extra'],
  ['lane-level', 'Teodor', 'bench?step=levels&value=secondAxis', 'extra'],
  ['steady', 'Aino', 'steady?part=bars'],
  ['steady-weigh', 'Aino', 'steady', 'extra'],
  ['steady-hang', 'Aino', 'steady?part=weigh&value=hangThread', 'extra'],
  ['steady-reaction', 'Aino', 'steady?part=reaction', 'extra'],
  ['handover', 'Aino', 'handover'],
  ['sheet', 'Aino', 'sheet/1', '1280x1480'],
  ['cards', 'Aino', 'sheet/1/cards', 'extra'],
  ['code', null, '/code', 'extra'],
  ['upright', 'Ilse', 'fit', '820x1180'],
  ['telephone', 'Ilse', 'bench', '390x844'],
  // Last: they are made ready, and the others show the demo shop as it is.
  ['bow-like', 'Ilse', 'bow?part=like'],
  ['bow-own', 'Nele', 'bow?part=own'],
  ['waits', 'Ilse', 'bench?step=braceHeight'],
];

const option = (name) => process.argv.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1];
const out = option('out') ?? 'docs/screenshots';
const [width, height] = (option('size') ?? '1280x800').split('x').map(Number);
const only = option('only')?.split(',');
const dim = process.argv.includes('--dim');

const folder = mkdtempSync(join(tmpdir(), 'waffenrad-'));
const db = join(folder, 'demo.sqlite');
const env = { WAFFENRAD_DB: db, WAFFENRAD_NOW: '2026-11-24T10:20:00+01:00' };
if (!run(bin('tsx'), ['demo/run-seed.ts'], env)) stop('The demo database could not be made.');
const { child, url } = await startServer({ port: await freePort(3400), db, env });
const cookies = await signIn(url);
/** `fetch` as the owner’s tablet. */
const ask = (path, init = {}) =>
  fetch(url + path, { ...init, headers: { cookie: cookieHeader(cookies), ...init.headers } });
/** What two pictures show is no part of the demo: a bow made like another, one brought in its box. */
async function prepare() {
  const send = async (path, body) =>
    (
      await ask(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json();
  const command = async (id, body) => {
    const { job } = await (await ask(`/api/v1/jobs/${id}`)).json();
    return send(`/api/v1/jobs/${id}/commands`, {
      version: job.version,
      command: body,
    });
  };
  const [[ilse], [aino]] = await Promise.all(
    ['Ilse', 'Aino'].map(async (name) => (await ask(`/api/v1/find?q=${name}`)).json()),
  );
  await command(ilse.jobId, { name: 'setModel', from: { kind: 'sheet', jobId: aino.jobId } });
  const { job } = await send('/api/v1/jobs', {
    archer: { name: 'Nele Brandis' },
    job: {},
  });
  await command(job.id, {
    name: 'bringBow',
    came: 'box',
    bow: { kind: 'listed', bowId: 'grauspecht-34-r' },
  });
  for (const place of ['limbs', 'pockets', 'bolts', 'riser'])
    await command(job.id, { name: 'noteLook', place, seen: 'sound', words: '' });
}
let prepared = null;

/** Two readings without a connection, and what waits shown. */
async function entersOffLine(page) {
  await page.setOfflineMode(true);
  for (const text of ['6 7/16', '30 15/16']) {
    await page.type('[data-measure]', text);
    await page.keyboard.press('Enter');
    await new Promise((resolve) => setTimeout(resolve, 700));
  }
  await page.click('[data-part="top"] [role="status"] button');
  await new Promise((resolve) => setTimeout(resolve, 700));
}

const browser = await puppeteer.launch({
  executablePath: chromiumPath(),
  args: CHROMIUM_FLAGS,
  userDataDir: join(folder, 'profile'),
});
try {
  const page = await browser.newPage();
  if (dim) await page.evaluateOnNewDocument(() => localStorage.setItem('waffenrad.scheme', 'dark'));
  page.on(
    'console',
    (message) => message.type() === 'error' && console.log('console:', message.text()),
  );
  page.on('pageerror', (error) => console.log('page error:', error.message));
  const ids = new Map();
  for (const [name, who, path, how = ''] of VIEWS) {
    if (only ? !only.includes(name) : how === 'extra') continue;
    if (['bow-like', 'bow-own'].includes(name)) await (prepared ??= prepare());
    const [wide, high] = /^\d+x\d+$/.test(how) ? how.split('x').map(Number) : [width, height];
    await page.setViewport({ width: wide, height: high });
    if (who === 'nobody') await page.deleteCookie(...(await page.cookies(url)));
    else
      await browser.setCookie(
        ...cookies.map((one) => ({ ...one, domain: '127.0.0.1', path: '/' })),
      );
    const job = who === 'nobody' ? null : who;
    if (job && !ids.has(job)) {
      const found = await (await ask(`/api/v1/find?q=${job}`)).json();
      ids.set(job, found[0].jobId);
    }
    await page.goto(job ? `${url}/jobs/${ids.get(job)}/${path}` : url + path, {
      waitUntil: 'load',
    });
    await page.evaluate(() => document.fonts.ready);
    if (path.includes('packages'))
      await page.waitForSelector('[data-part="chart"]', { timeout: 9000 });
    if (await page.$('[data-part="chart"]')) await page.waitForSelector('.apexcharts-series path');
    await new Promise((resolve) => setTimeout(resolve, 900));
    if (name === 'waits') await entersOffLine(page);
    await page.screenshot({ path: join(out, `${name}.png`) });
    const over = await page.evaluate(() => document.documentElement.scrollWidth > innerWidth);
    if (over) console.log(`${name}: wider than the screen`);
  }
} finally {
  await browser.close();
  child.kill();
  rmSync(folder, { recursive: true, force: true });
}
