/**
 * Do the tests catch faults? Plants single faults (a sign, a comparison, a flag) in a seeded sample of
 * `src/core` and `src/server`, each in a copy of the tree, runs the unit tests beside it and then those
 * that import it, and prints by area which share of them fails, and the faults that live.
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
  const plant = (node, by) =>
    found.push({ path, at: node.getStart(), end: node.getEnd(), was: node.getText(), by });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const sign = node.operatorToken.getText();
      if (OTHER[sign] && !isText(node.left) && !isText(node.right))
        plant(node.operatorToken, OTHER[sign]);
    } else if (ts.isPrefixUnaryExpression(node)) {
      const sign = text[node.getStart()];
      if (sign === '-' || sign === '!') plant(node, node.operand.getText());
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) plant(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) plant(node, 'true');
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

const PARTS = [
  'src',
  'demo',
  'scripts',
  'docs',
  'public',
  'package.json',
  'tsconfig.json',
  'jest.config.mjs',
];

/** A copy of the tree that a fault is planted in: the tree itself is never touched. */
function copyTree(number) {
  const to = join(ROOT, 'var', `mutants-${number}`);
  rmSync(to, { recursive: true, force: true });
  mkdirSync(to, { recursive: true });
  // Without the tests of the scripts: one of them looks at the tree as it is.
  const filter = (path) => !/^scripts.*\.test\.ts$/.test(path);
  for (const name of PARTS) cpSync(name, join(to, name), { recursive: true, filter });
  symlinkSync(join(ROOT, 'node_modules'), join(to, 'node_modules'));
  return to;
}

const jest = (folder, args) =>
  new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [
        join(ROOT, 'node_modules/jest/bin/jest.js'),
        ...['--selectProjects', 'node', '--runInBand', '--bail', '--silent', '--passWithNoTests'],
        ...['--testTimeout', '60000', ...args],
      ],
      { cwd: folder, stdio: 'ignore' },
    );
    // A fault can loop for ever: that is noticed too.
    const timer = setTimeout(() => child.kill('SIGKILL'), 240_000);
    child.on('exit', (code) => {
      clearTimeout(timer);
      resolve(code === 0);
    });
  });

/** Whether the tests still pass with it: those in its folder first, then all that import it. */
async function lives(folder, { path, at, end, by }) {
  const target = join(folder, path);
  const text = readFileSync(target, 'utf8');
  writeFileSync(target, text.slice(0, at) + by + text.slice(end));
  try {
    const beside = `${dirname(path).split('/').slice(0, 3).join('/')}/`;
    if (!(await jest(folder, [beside]))) return false;
    return await jest(folder, ['--findRelatedTests', path]);
  } finally {
    writeFileSync(target, text);
  }
}

const tally = new Map();
const survivors = [];
let done = 0;
const queue = [...sample];
async function work(number) {
  const folder = copyTree(number);
  for (let fault = queue.shift(); fault; fault = queue.shift()) {
    const alive = await lives(folder, fault);
    const entry = tally.get(areaOf(fault.path)) ?? { planted: 0, dead: 0 };
    entry.planted++;
    if (!alive) entry.dead++;
    tally.set(areaOf(fault.path), entry);
    done++;
    if (done % 20 === 0) say(`${done} of ${sample.length} tried`);
    if (alive) {
      const line = readFileSync(fault.path, 'utf8').slice(0, fault.at).split('\n').length;
      survivors.push(`${relative(ROOT, fault.path)}:${line}  ${fault.was} → ${fault.by}`);
      say(`lives: ${survivors.at(-1)}`);
    }
  }
  rmSync(folder, { recursive: true, force: true });
}
await Promise.all(Array.from({ length: WORKERS }, (_, i) => work(i)));

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
