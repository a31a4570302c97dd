import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cookieHeader, signIn } from './sign-in.cjs';
import { bin, freePort, ROOT, run, startServer, stop } from './lib.mjs';

/** What a shop with years behind it takes, beside the same shop in its first week. */
const OPEN = 100;
const DELIVERED = [10, 10_000];
const ROUNDS = 25;
/** What is asked all day has been translated into machine code: the first ones of a start are slower. */
const WARM = 100;

const folder = mkdtempSync(join(tmpdir(), 'waffenrad-history-'));
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const waiting = (ms) => new Promise((done) => setTimeout(done, ms));

/** How long the server's thread was held since it was asked last, ms. */
async function held(pid, file) {
  rmSync(file, { force: true });
  process.kill(pid, 'SIGUSR2');
  while (!existsSync(file)) await waiting(20);
  await waiting(30);
  return JSON.parse(readFileSync(file, 'utf8')).heldMs.longest;
}

async function timesOf(delivered) {
  const db = join(folder, `${delivered}.sqlite`);
  const made = run(bin('tsx'), ['demo/run-history.ts', String(delivered), String(OPEN), '1'], {
    WAFFENRAD_DB: db,
  });
  if (!made) stop('The shop with a history could not be made.');
  const file = join(folder, 'held.json');
  const { child, url } = await startServer({
    port: await freePort(3500),
    db,
    env: { NODE_OPTIONS: `--require ${join(ROOT, 'e2e/soak/told-memory.cjs')}`, SOAK_MEMORY: file },
  });
  const headers = { cookie: cookieHeader(await signIn(url)), 'accept-encoding': 'gzip' };
  const [{ jobId }] = await (await fetch(`${url}/api/v1/find?q=ilse`, { headers })).json();
  const asked = {
    Today: '/',
    find: '/api/v1/find?q=maarand',
    'find, a letter off': '/api/v1/find?q=marand',
    'a job': `/api/v1/jobs/${jobId}`,
    'a job’s page': `/jobs/${jobId}/bench`,
    calendar: '/api/v1/calendar',
    delivered: '/delivered',
  };
  const rows = {};
  for (const [name, path] of Object.entries(asked)) {
    const times = [];
    let bytes = 0;
    for (let i = -WARM; i < ROUNDS; i++) {
      if (i === 0) await held(child.pid, file);
      const began = performance.now();
      const response = await fetch(url + path, { headers });
      bytes = (await response.arrayBuffer()).byteLength;
      if (i >= 0) times.push(performance.now() - began);
    }
    rows[name] = { ms: median(times), bytes, held: await held(child.pid, file) };
  }
  child.kill('SIGKILL');
  return rows;
}

const [few, many] = [await timesOf(DELIVERED[0]), await timesOf(DELIVERED[1])];
console.log(
  `\n${OPEN} open jobs; ${DELIVERED.join(' and ')} delivered bows (median of ${ROUNDS} after ${WARM}); thread held at most`,
);
for (const [name, { ms, held: longest }] of Object.entries(many)) {
  const before = few[name].ms;
  console.log(
    `${name.padEnd(34)}${before.toFixed(1).padStart(7)} ms${ms.toFixed(1).padStart(8)} ms${`×${(ms / before).toFixed(2)}`.padStart(8)}${longest.toFixed(0).padStart(8)} ms`,
  );
}
rmSync(folder, { recursive: true, force: true });
