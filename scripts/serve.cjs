/** Starting the built server: shared by the scripts (modules) and the browser tests (CommonJS). */
const { spawn } = require('node:child_process');
const { existsSync } = require('node:fs');
const { createServer } = require('node:net');
const { join } = require('node:path');

const ROOT = join(__dirname, '..');
/** Made by the build from `src/server/gate/serve.ts`. */
const SERVER = join(ROOT, '.next/waffenrad-server.cjs');

/** The one without windows draws the same and takes a quarter less time. */
const chromiumPath = () =>
  [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
  ]
    .filter(Boolean)
    .find((path) => existsSync(path));

const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--hide-scrollbars',
];

const portIsFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** The wanted port, or the next free one after it. */
async function freePort(wanted) {
  for (let port = wanted; port < wanted + 50; port++) if (await portIsFree(port)) return port;
  throw new Error(`No free port from ${wanted} to ${wanted + 49}. Name another in PORT.`);
}

/** A free port for a test or a soak: files that run side by side look for theirs in different places. */
const ownPort = () => freePort(3500 + 100 * Number(process.env.JEST_WORKER_ID ?? 1));

/** Starts the built server and waits until it answers. */
async function startServer({ port, db, env = {}, fresh = !existsSync(db) }) {
  const child = spawn(process.execPath, [SERVER, ...(fresh ? ['--new'] : [])], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      // Demo, tests and pictures are thrown away: their backups would be too.
      WAFFENRAD_BACKUPS: 'off',
      // Nobody reads what they were asked; tests ask more than a shop does.
      WAFFENRAD_LOG: 'error',
      WAFFENRAD_LIMITS: 'off',
      ...process.env,
      NODE_ENV: 'production',
      WAFFENRAD_DB: db,
      HOST: '127.0.0.1',
      PORT: String(port),
      ...env,
    },
  });
  let output = '';
  child.stdout.on('data', (chunk) => (output += chunk));
  child.stderr.on('data', (chunk) => (output += chunk));
  const url = `http://127.0.0.1:${port}`;
  for (let i = 0; i < 600; i++) {
    if (child.exitCode !== null) throw new Error(`The server stopped at once:\n${output}`);
    const up = await fetch(`${url}/icon.svg`).then(
      (response) => response.ok,
      () => false,
    );
    if (up) return { child, url, output: () => output };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGKILL');
  throw new Error(`The server did not answer within a minute:\n${output}`);
}

module.exports = { CHROMIUM_FLAGS, SERVER, chromiumPath, freePort, ownPort, startServer };
