/**
 * Do the tests catch faults? Plants single faults (a sign, a comparison, a flag) in a seeded sample of
 * `src/core` and `src/server`, runs the unit tests that reach them, and prints by area which share of
 * them is seen, and the faults that live.
 *
 * All faults stand in one copy of the tree, each asleep behind a switch; one run of all unit tests notes
 * which test file reaches which of them, then each is woken alone for those files, the quickest first.
 *
 * npm run mutants -- --area=core/tuning --count=40 --seed=2 --workers=2
 */
import { spawn } from 'node:child_process';
import {
  cpSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { ROOT, needPackages, say } from './lib.mjs';

needPackages();
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

const OTHER = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '<': '>=',
  '<=': '>',
  '>': '<=',
  '>=': '<',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
};
const isText = (node) => ts.isStringLiteralLike(node) || ts.isTemplateExpression(node);

/** Every place of a file where one fault can be planted: from, to, what stands there instead. */
function places(path) {
  const text = readFileSync(path, 'utf8');
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const found = [];
  // The whole expression is put behind the switch, `was` → `by` is what is told of it.
  const plant = (node, was, by, woken) =>
    found.push({ path, at: node.getStart(), end: node.getEnd(), was, by, woken });
  const piece = (from, to) => text.slice(from, to);
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const sign = node.operatorToken.getText();
      if (OTHER[sign] && !isText(node.left) && !isText(node.right))
        plant(
          node,
          sign,
          OTHER[sign],
          piece(node.getStart(), node.operatorToken.getStart()) +
            OTHER[sign] +
            piece(node.operatorToken.getEnd(), node.getEnd()),
        );
    } else if (ts.isPrefixUnaryExpression(node)) {
      const sign = text[node.getStart()];
      if (sign === '-' || sign === '!')
        plant(node, node.getText(), node.operand.getText(), node.operand.getText());
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) plant(node, 'true', 'false', 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) plant(node, 'false', 'true', 'true');
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
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
const sample = all.slice(0, COUNT);
say(
  `${all.length} places in ${files.length} files; ${sample.length} faults planted, seed ${SEED}.`,
);

/** Each fault has a number: the switch asks for it, and notes that it was asked. */
sample.forEach((fault, number) => Object.assign(fault, { number, tests: [] }));

/** The text with every fault of `faults` behind its switch; one inside another stands where the outer sleeps. */
function withSwitches(text, faults, from = 0, to = text.length) {
  const inside = faults.filter(({ at, end }) => at >= from && end <= to);
  const outer = inside.filter(
    (fault) =>
      !inside.some((other) => other !== fault && other.at <= fault.at && other.end >= fault.end),
  );
  let out = '';
  let at = from;
  for (const fault of outer.sort((a, b) => a.at - b.at)) {
    const rest = inside.filter((other) => other !== fault);
    const calm = withSwitches(text, rest, fault.at, fault.end);
    out += `${text.slice(at, fault.at)}(globalThis.__fault?.(${fault.number}) ? ${fault.woken} : ${calm})`;
    at = fault.end;
  }
  return out + text.slice(at, to);
}

const TREE = join(ROOT, 'var', 'mutants');
const HITS = join(TREE, 'hits');
const PARTS = ['src', 'demo', 'scripts', 'docs', 'public', 'package.json', 'tsconfig.json'];

/** Read in every test file: wakes the fault whose number is in the environment, notes those asked for. */
const SWITCH = `
const { appendFileSync } = require('node:fs');
const awake = Number(process.env.WAFFENRAD_FAULT ?? '-1');
const seen = new Set();
globalThis.__fault = (number) => {
  if (awake < 0 && !seen.has(number)) {
    seen.add(number);
    const test = globalThis.expect?.getState?.().testPath;
    if (test) appendFileSync(${JSON.stringify(HITS)}, number + ' ' + test + '\\n');
  }
  return number === awake;
};
`;

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
    writeFileSync(join(TREE, path), withSwitches(readFileSync(path, 'utf8'), faults));
  }
  writeFileSync(join(TREE, 'switch.cjs'), SWITCH);
  writeFileSync(
    join(TREE, 'jest.config.mjs'),
    `import usual from ${JSON.stringify(join(ROOT, 'jest.config.mjs'))};
export default {
  ...usual,
  projects: usual.projects.map((project) => ({
    ...project,
    rootDir: ${JSON.stringify(TREE)},
    modulePathIgnorePatterns: [],
    setupFiles: ['<rootDir>/switch.cjs', ...(project.setupFiles ?? [])],
  })),
};`,
  );
}

/** A fault can loop for ever: that is noticed too. */
const LONGEST_MS = 240_000;

/** Runs Jest in the copy; whether all passed. */
const jest = (args, env = {}, longest = LONGEST_MS) =>
  new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [join(ROOT, 'node_modules/jest/bin/jest.js'), '--silent', '--testTimeout', '60000', ...args],
      { cwd: TREE, stdio: 'ignore', env: { ...process.env, ...env } },
    );
    const timer = setTimeout(() => child.kill('SIGKILL'), longest);
    child.on('exit', (code) => {
      clearTimeout(timer);
      resolve(code === 0);
    });
  });

copyTree();
const REPORT = join(TREE, 'report.json');
const calm = await jest(['--json', '--outputFile', REPORT], {}, 1_200_000);
const report = JSON.parse(readFileSync(REPORT, 'utf8'));
if (!calm) {
  const red = report.testResults
    .filter(({ status }) => status === 'failed')
    .map(({ name }) => name);
  say(`Without a fault awake these fail already, and are left out:\n  ${red.join('\n  ')}`);
}
const lasts = new Map(
  report.testResults
    .filter(({ status }) => status === 'passed')
    .map(({ name, startTime, endTime }) => [name, endTime - startTime]),
);
for (const line of readFileSync(HITS, 'utf8').trim().split('\n')) {
  const [number, test] = line.split(' ');
  if (lasts.has(test)) sample[Number(number)].tests.push(test);
}
say('Which test reaches which fault is known.');

/** Whether every test that reaches it still passes: those in its folder first, then the quickest. */
async function lives({ path, number, tests }) {
  const beside = join(TREE, dirname(path));
  const near = (test) => (test.startsWith(beside) ? 0 : 1);
  const order = [...new Set(tests)].sort(
    (a, b) => near(a) - near(b) || lasts.get(a) - lasts.get(b),
  );
  const env = { WAFFENRAD_FAULT: String(number) };
  for (const some of [order.slice(0, 2), order.slice(2, 12), order.slice(12)]) {
    if (some.length === 0) continue;
    if (!(await jest(['--runInBand', '--bail', '--runTestsByPath', ...some], env))) return false;
  }
  return true;
}

const tally = new Map();
const survivors = [];
let done = 0;
const queue = [...sample];
async function work() {
  for (let fault = queue.shift(); fault; fault = queue.shift()) {
    const alive = await lives(fault);
    const entry = tally.get(areaOf(fault.path)) ?? { planted: 0, dead: 0 };
    entry.planted++;
    if (!alive) entry.dead++;
    tally.set(areaOf(fault.path), entry);
    done++;
    if (done % 20 === 0) say(`${done} of ${sample.length} tried`);
    if (alive) {
      const line = readFileSync(fault.path, 'utf8').slice(0, fault.at).split('\n').length;
      const reached = fault.tests.length === 0 ? '  (no test comes here)' : '';
      survivors.push(`${relative(ROOT, fault.path)}:${line}  ${fault.was} → ${fault.by}${reached}`);
      say(`lives: ${survivors.at(-1)}`);
    }
  }
}
await Promise.all(Array.from({ length: WORKERS }, work));
rmSync(TREE, { recursive: true, force: true });

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
