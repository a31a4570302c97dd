/** What the scripts share: find out what is missing, mend it, say it plainly. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromiumPath } from './serve.cjs';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
process.chdir(ROOT);
process.env.NEXT_TELEMETRY_DISABLED = '1';

export const say = (text) => console.log(text);
export const stop = (text) => {
  console.error(`\n${text}`);
  process.exit(1);
};

const at = (...parts) => join(ROOT, ...parts);
export const bin = (name) => at('node_modules/.bin', name);

/** Runs a command with its output shown; true when it went well. */
export const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;

export function needNode() {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < 20) {
    stop(`Node 20 or newer is needed; this is ${process.version}. Install it, then try again.`);
  }
}

function stale(target, source) {
  return !existsSync(target) || statSync(target).mtimeMs < statSync(source).mtimeMs;
}

/** Installs the packages when there are none, or when the lock file is newer. */
export function needPackages() {
  needNode();
  const native = at('node_modules/better-sqlite3/build/Release/better_sqlite3.node');
  if (
    !stale(at('node_modules/.package-lock.json'), at('package-lock.json')) &&
    existsSync(native)
  ) {
    return;
  }
  say('Installing packages (the database driver is compiled: about three minutes) …');
  if (!run('npm', ['ci', '--no-fund', '--no-audit'])) {
    stop(
      'The packages could not be installed. Needed: the npm registry within reach, and for the ' +
        'database driver python3, make and a C++ compiler (Debian: apt-get install python3 make g++).',
    );
  }
}

const SOURCES = ['src', 'next.config.mjs', 'tsconfig.json', 'package.json', 'package-lock.json'];

function* filesIn(path) {
  if (statSync(path).isFile()) yield path;
  else for (const name of readdirSync(path).sort()) yield* filesIn(join(path, name));
}

/** Digest of everything the build is made from. */
function sourceDigest() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for (const file of filesIn(at(source))) {
      if (/\.test\.tsx?$/.test(file)) continue;
      hash.update(file.slice(ROOT.length)).update(readFileSync(file));
    }
  }
  return hash.digest('hex');
}

const STAMP = at('.next/waffenrad-digest');

/** What runs beside the pages: the server before them and the threads of heavy work, a file each. */
const PROGRAMS = {
  'waffenrad-server': 'src/server/gate/serve.ts',
  'waffenrad-thread': 'src/server/heavy/thread.ts',
};
/** Native or file-reading packages stay outside the bundle. */
const EXTERNAL = ['better-sqlite3', 'pdfkit', 'highs', 'next', 'pino', 'sharp', '@node-rs/argon2'];

const buildPrograms = () =>
  run(bin('esbuild'), [
    ...Object.entries(PROGRAMS).map(([name, source]) => `${name}=${source}`),
    '--bundle',
    '--platform=node',
    '--target=node20',
    '--format=cjs',
    '--log-level=warning',
    ...EXTERNAL.map((name) => `--external:${name}`),
    '--out-extension:.js=.cjs',
    `--outdir=${at('.next')}`,
  ]);

/** Builds when there is no build, or it is of other sources. */
export function needBuild() {
  const digest = sourceDigest();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === digest) return true;
  say('Building (about a minute) …');
  if (!run(bin('next'), ['build'], { NODE_ENV: 'production' })) return false;
  if (!buildPrograms()) return false;
  mkdirSync(dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, digest);
  return true;
}

export { chromiumPath, CHROMIUM_FLAGS, freePort, SERVER, startServer } from './serve.cjs';

/** Debian's chromium, the one without windows where there is one: installed when root, else a word on what to install. */
export function needChromium() {
  if (chromiumPath()) return;
  const apt = existsSync('/usr/bin/apt-get');
  if (apt && process.getuid?.() === 0) {
    say('Installing chromium for the browser tests …');
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['update', '-qq'], env);
    const install = (name) =>
      run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], env);
    if (!install('chromium-headless-shell')) install('chromium');
  }
  if (!chromiumPath()) {
    stop(
      'The browser tests need chromium. Install it (Debian, as root: apt-get install chromium-headless-shell), ' +
        'or name its place in CHROMIUM_PATH.',
    );
  }
}

export const dbPath = () => process.env.WAFFENRAD_DB ?? at('var/waffenrad.sqlite');

/** Makes the demo database when there is none. */
export function needDemoDatabase() {
  if (existsSync(dbPath())) return;
  say('Making the demo shop …');
  if (!run(bin('tsx'), ['demo/run-seed.ts'], { WAFFENRAD_DB: dbPath() })) {
    stop(`The demo database could not be made at ${dbPath()}. Is the folder writable?`);
  }
}
