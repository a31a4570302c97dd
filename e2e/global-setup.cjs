/** Once for all journeys: a demo shop to copy, and a browser for each of the files that run side by side. */
const { execFileSync } = require('node:child_process');
const { mkdtempSync } = require('node:fs');
const { tmpdir } = require('node:os');
const { join } = require('node:path');
const puppeteer = require('puppeteer-core');
const { CHROMIUM_FLAGS, chromiumPath } = require('../scripts/serve.cjs');
const { NOW } = require('./now.cjs');

module.exports = async ({ maxWorkers }) => {
  const folder = mkdtempSync(join(tmpdir(), 'waffenrad-e2e-'));
  const db = join(folder, 'demo.sqlite');
  const env = { ...process.env, WAFFENRAD_DB: db, WAFFENRAD_NOW: NOW };
  execFileSync('node_modules/.bin/tsx', ['demo/run-seed.ts'], { env, stdio: 'pipe' });
  const browsers = await Promise.all(
    Array.from({ length: maxWorkers }, (_, i) =>
      puppeteer.launch({
        executablePath: chromiumPath(),
        args: CHROMIUM_FLAGS,
        userDataDir: join(folder, `profile-${i}`),
      }),
    ),
  );
  process.env.WAFFENRAD_SEEDED = db;
  process.env.WAFFENRAD_BROWSERS = browsers.map((browser) => browser.wsEndpoint()).join(' ');
  globalThis.waffenradE2e = { folder, browsers };
};
