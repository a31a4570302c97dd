import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { Asker } from '../e2e/soak/asking';
import { backupWhileWriting } from '../e2e/soak/backup';
import { crowd } from '../e2e/soak/crowd';
import { hostile } from '../e2e/soak/hostile';
import { kills } from '../e2e/soak/kills';
import { memoryEnv, memoryOf } from '../e2e/soak/memory';
import { nonsense } from '../e2e/soak/nonsense';
import { served } from '../e2e/soak/served';
import * as sick from '../e2e/soak/sick';
import now from '../e2e/now.cjs';
import { CHROMIUM_FLAGS, chromiumPath } from './serve.cjs';

/**
 * npm run soak [-- part …] [--seed=n] [--scale=0.1]: an hour of what a shop should never see, on loopback
 * and on copies of the demo shop. It ends with 1 where anything was lost, doubled or broken.
 */
const named = (name: string) =>
  process.argv.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1];
const seed = Number(named('seed') ?? Date.now() % 1_000_000);
const scale = Number(named('scale') ?? 1);
const wanted = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
const of = (whole: number) => Math.max(1, Math.round(whole * scale));

const folder = mkdtempSync(join(tmpdir(), 'waffenrad-soak-'));
const db = join(folder, 'demo.sqlite');
const env = { WAFFENRAD_NOW: now.NOW };
execFileSync('node_modules/.bin/tsx', ['demo/run-seed.ts'], {
  env: { ...process.env, ...env, WAFFENRAD_DB: db },
  stdio: 'pipe',
});
const ground = { db, folder, env };
const copy = (name: string) => {
  const path = join(folder, `${name}.sqlite`);
  copyFileSync(db, path);
  return path;
};
let failed = 0;
const say = (name: string, value: unknown) => console.log(`  ${name.padEnd(34)} ${String(value)}`);
const must = (name: string, ok: boolean, value: unknown) => {
  if (!ok) failed++;
  say(name, `${String(value)}${ok ? '' : '   NOT AS IT SHOULD BE'}`);
};
const none = (name: string, list: readonly unknown[]) => {
  must(name, list.length === 0, list.length);
  for (const one of list.slice(0, 8)) say('', typeof one === 'string' ? one : JSON.stringify(one));
};

const withShop = <T>(
  db: string,
  more: Record<string, string>,
  work: (url: string, pid: number) => Promise<T>,
) => served(db, { ...env, ...more }, work);

const PARTS: Readonly<Record<string, () => Promise<void>>> = {
  async kills() {
    const found = await kills(copy('kills'), { times: of(200), seed, env });
    say('killed', `${found.kills} times`);
    say('entries acknowledged', found.entries.length);
    none('lost', found.lost);
    none('counted twice', found.doubled);
    none('faults', found.wrong);
  },
  async crowd() {
    const path = copy('crowd');
    const found = await withShop(path, { WAFFENRAD_LIMITS: 'on' }, (url) =>
      crowd(url, path, { clients: 20, seconds: of(600), seed }),
    );
    say('requests', found.requests);
    say('readings, and somebody was quicker', `${found.readings}, ${found.conflicts}`);
    const ms = (value: number) => `${value.toFixed(0)} ms`;
    say('a reading, median', ms(found.median));
    must('a reading, 99 of 100', found.p99 < 300, ms(found.p99));
    say('a reading, longest', ms(found.worst));
    none('lost', found.lost);
    none('counted twice', found.doubled);
    none('lost of the settings', found.lostDays);
    none('faults', found.wrong);
  },
  async hostile() {
    const file = join(folder, 'memory.json');
    const found = await withShop(copy('hostile'), memoryEnv(file), (url, pid) =>
      hostile(url, () => memoryOf(pid, file), { requests: of(20_000), seed }),
    );
    say('sent', found.sent);
    say('answered', JSON.stringify(found.byStatus));
    none('broken', found.broken);
    const { asked, p99, worst } = found.bystander;
    say('a bystander asked', `${asked} times`);
    say('and waited, 99 of 100', `${p99.toFixed(0)} ms`);
    must('and waited, longest', worst < 1000, `${worst.toFixed(0)} ms`);
    const [before, after] = found.memory;
    must(
      'memory held, warm and at the end',
      after.heldMb < before.heldMb * 1.1,
      `${before.heldMb.toFixed(0)}, ${after.heldMb.toFixed(0)} MB`,
    );
    say('of the whole process', `${before.processMb.toFixed(0)}, ${after.processMb.toFixed(0)} MB`);
  },
  async nonsense() {
    await withShop(copy('nonsense'), {}, async (url) => {
      const asker = new Asker(url);
      const found = await nonsense(asker, { commands: of(500), seed });
      asker.close();
      say('commands sent, and taken', `${found.sent}, ${found.taken}`);
      say('taken', JSON.stringify(found.byName));
      none('broken', found.broken);
      const browser = await puppeteer.launch({
        executablePath: chromiumPath()!,
        args: CHROMIUM_FLAGS,
      });
      const page = await browser.newPage();
      const faults: string[] = [];
      page.on('pageerror', (error) => faults.push(String(error)));
      page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
      for (const path of found.pages) {
        await page.goto(url + path, { waitUntil: 'load' });
        await page.waitForSelector('html[data-ready]', { timeout: 30_000 });
        const text = await page.$eval('body', (node) => node.innerText);
        if (text.includes('Something broke here')) faults.push(`not drawn: ${path}`);
      }
      await browser.close();
      say('pages drawn', found.pages.length);
      none('faults of pages', faults);
    });
  },
  async sick() {
    for (const [kind, open] of [
      ['newer', sick.newer],
      ['damaged', sick.damaged],
      ['foreign', sick.foreign],
      ['read-only', sick.readOnly],
    ] as const) {
      const told = await open(ground);
      if (told) must(kind, told.page === 200 && told.kind === kind, `${told.health} ${told.kind}`);
      else say(kind, 'cannot be tried by this user');
    }
    const full = await sick.full(ground);
    must('full', full.readable && full.wholeAfterwards, full.refused.join());
    const two = await sick.twoServers(ground, { seconds: of(60), each: 6 });
    say('two servers, entries', two.entries);
    none('lost', two.lost);
    none('counted twice', two.doubled);
    none('faults', two.wrong);
    for (let i = 0; i < of(10); i++) {
      const side = await sick.sideBySide(ground);
      must(
        'first starts side by side',
        side.every((status) => status === 200),
        side.join(),
      );
    }
    const { made, here, kind } = await sick.noShop(ground);
    must(
      'without a file',
      here === '/open' && kind === 'file-no-shop' && !made,
      `asks at ${here}, ${made ? 'made one' : 'made none'}`,
    );
    const end = await sick.gracefulEnd(ground);
    must('asked to stop', end.code === 0 && !end.log, `after ${end.ms.toFixed(0)} ms`);
    none('lost', end.lost);
  },
  async backup() {
    const found = await backupWhileWriting(copy('backup'), folder, env);
    must(
      'made while written, put in place',
      found.same && found.sameEntries,
      `${found.entries} entries`,
    );
  },
};

console.log(`Seed ${seed}, scale ${scale}. Again: npm run soak -- --seed=${seed}`);
for (const [name, part] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const began = Date.now();
  console.log(`\n${name}`);
  await part();
  say('took', `${((Date.now() - began) / 1000).toFixed(0)} s`);
}
rmSync(folder, { recursive: true, force: true });
console.log(failed === 0 ? '\nAll as it should be.' : `\n${failed} not as they should be.`);
process.exit(failed === 0 ? 0 : 1);
