/**
 * Do the tests catch faults? Plants single faults (a sign, a comparison, a flag) in a seeded sample of
 * `src/core` and `src/server`, runs the unit tests that reach them, and prints by area which share of
 * them is seen, and the faults that live.
 *
 * They stand in one copy of the tree, each asleep behind a switch; one run of all unit tests notes which
 * test file reaches which of them, then each is woken alone for those files, the nearest first.
 *
 * npm run mutants -- --area=core/tuning --count=40 --seed=2 --workers=2
 *
 * `--unmet` plants all there are, and tells which no test reaches; `--again` takes the copy as it stands
 * from the last time (same area, count and seed).
 */
import { spawn } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { ROOT, needPackages, say } from './lib.mjs';
import { places, withSwitches } from './mutants/plant.mjs';

needPackages();
const flag = (name) => process.argv.includes(`--${name}`);
const option = (name, usual) =>
  process.argv.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
const COUNT = Number(option('count', '200'));
const SEED = Number(option('seed', '1'));
const WORKERS = Number(option('workers', '2'));
const AREA = option('area', '');

/** Mulberry32: the same seed plants the same faults. */
function random(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const files = ['src/core', 'src/server']
  .flatMap((folder) =>
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
      .map((entry) => join(entry.parentPath, entry.name)),
  )
  .filter((path) => !/\.test\.ts$|\/testing\/|\/index\.ts$/.test(path))
  .filter((path) => AREA === '' || path.startsWith(`src/${AREA}`))
  .sort();

const areaOf = (path) => path.split('/').slice(1, 3).join('/').replace(/\.ts$/, '');
const all = files.flatMap(places);
const next = random(SEED);
for (let i = all.length - 1; i > 0; i--) {
  const k = Math.floor(next() * (i + 1));
  [all[i], all[k]] = [all[k], all[i]];
}
const sample = flag('unmet') ? all : all.slice(0, COUNT);
sample.forEach((fault, number) => Object.assign(fault, { number, tests: [] }));
say(
  `${all.length} places in ${files.length} files, seed ${SEED}: ${sample.length} faults are planted.`,
);

const TREE = join(ROOT, 'var', 'mutants');
const MET = join(TREE, 'met');
const REPORT = join(TREE, 'report.json');
const PARTS = ['src', 'demo', 'scripts', 'docs', 'public', 'package.json', 'tsconfig.json'];
const TOOL = join(ROOT, 'scripts', 'mutants');

const config = (name, more) =>
  writeFileSync(
    join(TREE, name),
    `import usual from ${JSON.stringify(join(ROOT, 'jest.config.mjs'))};
export default {
  ...usual,
  projects: usual.projects.map((project) => ({
    ...project,
    rootDir: ${JSON.stringify(TREE)},
    modulePathIgnorePatterns: [],
    ${more}
  })),
};`,
  );

/** The copy that the faults are planted in: the tree itself is never touched. */
function copyTree() {
  rmSync(TREE, { recursive: true, force: true });
  mkdirSync(TREE, { recursive: true });
  // Without the tests of the scripts: one of them looks at the tree as it is.
  const filter = (path) => !/^scripts.*\.test\.ts$/.test(path);
  for (const name of PARTS) cpSync(name, join(TREE, name), { recursive: true, filter });
  symlinkSync(join(ROOT, 'node_modules'), join(TREE, 'node_modules'));
  for (const path of new Set(sample.map((fault) => fault.path))) {
    const faults = sample.filter((fault) => fault.path === path);
    writeFileSync(
      join(TREE, path),
      withSwitches(readFileSync(path, 'utf8'), faults, sample.length),
    );
  }
  config(
    'calm.config.mjs',
    `setupFiles: [${JSON.stringify(join(TOOL, 'met.cjs'))}, ...(project.setupFiles ?? [])],
    setupFilesAfterEnv: [${JSON.stringify(join(TOOL, 'met-after.cjs'))}, ...(project.setupFilesAfterEnv ?? [])],`,
  );
  config('fault.config.mjs', `runner: ${JSON.stringify(join(TOOL, 'runner.cjs'))},`);
}

const jest = (args, stdio, env = {}) =>
  spawn(
    process.execPath,
    [join(ROOT, 'node_modules/jest/bin/jest.js'), '--silent', '--testTimeout', '60000', ...args],
    { cwd: TREE, stdio, env: { ...process.env, ...env } },
  );

/** All unit tests once, with every fault asleep. */
const calmRun = () =>
  new Promise((resolve) => {
    const args = ['--config', 'calm.config.mjs', '--json', '--outputFile', REPORT];
    jest(args, 'ignore', { WAFFENRAD_MET: MET, WAFFENRAD_FAULTS: sample.length }).on(
      'exit',
      (code) => resolve(code === 0),
    );
  });

if (!flag('again') || !existsSync(REPORT)) {
  copyTree();
  await calmRun();
}
const report = JSON.parse(readFileSync(REPORT, 'utf8'));
const red = report.testResults.filter(({ status }) => status === 'failed').map(({ name }) => name);
if (red.length > 0)
  say(`Without a fault awake these fail already, and are left out:\n  ${red.join('\n  ')}`);
const lasts = new Map(
  report.testResults
    .filter(({ status }) => status === 'passed')
    .map(({ name, startTime, endTime }) => [name, endTime - startTime]),
);
for (const line of readFileSync(MET, 'utf8').trim().split('\n')) {
  const { test, met } = JSON.parse(line);
  if (lasts.has(test)) for (const number of met) sample[number].tests.push(test);
}
const lineOf = ({ path, at }) => readFileSync(path, 'utf8').slice(0, at).split('\n').length;
const told = (fault) =>
  `${relative(ROOT, fault.path)}:${lineOf(fault)}  ${fault.was} → ${fault.by}`;

if (flag('unmet')) {
  const unmet = sample.filter(({ tests }) => tests.length === 0);
  for (const fault of unmet) say(told(fault));
  say(`${unmet.length} of ${all.length} places are reached by no unit test.`);
  process.exit(0);
}

say('Which test reaches which fault is known.');

/** One process of Jest that is asked again and again; a fault that loops for ever ends it, and counts as seen. */
const LONGEST_MS = 150_000;
class Asked {
  start() {
    this.child = jest(
      ['--config', 'fault.config.mjs', '--runInBand'],
      ['ignore', 'ignore', 'ignore', 'ipc'],
    );
    return this.answer();
  }
  answer() {
    return new Promise((resolve) => {
      const { child } = this;
      let timer;
      const end = (answer) => {
        clearTimeout(timer);
        child.removeAllListeners();
        if (answer === null) this.child = undefined;
        resolve(answer);
      };
      const wait = () => {
        clearTimeout(timer);
        timer = setTimeout(() => {
          child.kill('SIGKILL');
          end(null);
        }, LONGEST_MS);
      };
      child.on('message', (message) => (message.alive ? wait() : end(message)));
      child.on('exit', () => end(null));
      wait();
    });
  }
  /** Whether these files pass with that fault awake. */
  async passes(number, tests) {
    if (!this.child) await this.start();
    const answer = this.answer();
    this.child.send({ number, tests });
    return (await answer)?.passed ?? false;
  }
  end() {
    this.child?.send('end');
  }
}

/** A fault that lives through this much of the tests that reach it, the nearest first, is said to live. */
const ENOUGH_MS = 90_000;
function order({ path, tests }) {
  const beside = join(TREE, dirname(path));
  const area = join(TREE, 'src', areaOf(path));
  const near = (test) => (test.startsWith(beside) ? 0 : test.startsWith(area) ? 1 : 2);
  const sorted = tests.sort((a, b) => near(a) - near(b) || lasts.get(a) - lasts.get(b));
  let sum = 0;
  return sorted.filter((test) => (sum += lasts.get(test)) < ENOUGH_MS || sum === lasts.get(test));
}

const tally = new Map();
const survivors = [];
let done = 0;
const queue = [...sample];
async function work() {
  const asked = new Asked();
  for (let fault = queue.shift(); fault; fault = queue.shift()) {
    const tests = order(fault);
    const alive = tests.length === 0 || (await asked.passes(fault.number, tests));
    const entry = tally.get(areaOf(fault.path)) ?? { planted: 0, dead: 0 };
    entry.planted++;
    if (!alive) entry.dead++;
    tally.set(areaOf(fault.path), entry);
    done++;
    if (done % 20 === 0) say(`${done} of ${sample.length} tried`);
    if (alive) {
      survivors.push(told(fault) + (tests.length === 0 ? '  (no test comes here)' : ''));
      say(`lives: ${survivors.at(-1)}`);
    }
  }
  asked.end();
}
await Promise.all(Array.from({ length: WORKERS }, work));

const share = ({ planted, dead }) =>
  `${dead} of ${planted} die, ${Math.round((100 * dead) / planted)} %`;
say('\nBy area');
for (const [area, entry] of [...tally].sort()) say(`  ${area.padEnd(22)} ${share(entry)}`);
const sum = [...tally.values()].reduce(
  (a, b) => ({ planted: a.planted + b.planted, dead: a.dead + b.dead }),
  { planted: 0, dead: 0 },
);
say(`\n${survivors.length} live:`);
for (const line of survivors.sort()) say(`  ${line}`);
say(`\nAll: ${share(sum)}`);
