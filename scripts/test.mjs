/** Everything in one go: packages, browser, types, lint, units, build, journeys; then one plain line. */
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative } from 'node:path';
import { bin, needBuild, needChromium, needPackages, ROOT, run, say } from './lib.mjs';

needPackages();
needChromium();
mkdirSync('var', { recursive: true });

const tally = { passed: 0, failed: 0 };
/** Every test with how long it took, ms. */
const times = [];
const count = (ok) => (ok ? tally.passed++ : tally.failed++);

function step(name, work) {
  say(`\n— ${name}`);
  const started = Date.now();
  const ok = work();
  say(`${ok ? 'ok' : 'FAILED'}: ${name}, ${((Date.now() - started) / 1000).toFixed(0)} s`);
  return ok;
}

/** Runs a Jest configuration and adds its own counts; a run without counts is one failure. */
function jest(config) {
  const report = `var/jest-${config.replace(/\W/g, '-')}.json`;
  rmSync(report, { force: true });
  const ok = run(bin('jest'), ['--ci', '--config', config, '--json', `--outputFile=${report}`]);
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
      readFileSync(report, 'utf8'),
    );
    for (const { name, assertionResults } of testResults)
      for (const { fullName, duration } of assertionResults)
        times.push({ ms: duration ?? 0, file: relative(ROOT, name), fullName });
    tally.passed += numPassedTests;
    tally.failed += numFailedTests + numRuntimeErrorTestSuites;
    if (!ok && numFailedTests + numRuntimeErrorTestSuites === 0) tally.failed++;
  } catch {
    tally.failed++;
  }
  return ok;
}

/** Commands one after another; what they say is kept until they are done. */
async function quietly(name, commands) {
  let said = '';
  for (const [command, ...args] of commands) {
    const code = await new Promise((done) => {
      const child = spawn(command, args, { cwd: ROOT });
      for (const out of [child.stdout, child.stderr]) out.on('data', (text) => (said += text));
      child.on('close', done);
    });
    if (code !== 0) return { name, ok: false, said };
  }
  return { name, ok: true, said };
}

// Neither uses much more than one core: side by side, each about as long as the other.
say('\n— type check and lint');
const began = Date.now();
const checks = await Promise.all([
  quietly('types, lint', [
    ['npm', 'run', '--silent', 'typecheck'],
    [bin('eslint'), '.', '--max-warnings', '0'],
  ]),
  quietly('layout, unused code', [
    [bin('prettier'), '--check', '--log-level', 'warn', '.'],
    [bin('knip'), '--no-progress'],
  ]),
]);
for (const { name, ok, said } of checks) {
  if (!ok) say(said);
  say(`${ok ? 'ok' : 'FAILED'}: ${name}`);
  count(ok);
}
say(`${((Date.now() - began) / 1000).toFixed(0)} s`);
step('unit tests', () => jest('jest.config.mjs'));
const built = step('production build', needBuild);
count(built);
if (built) step('browser tests', () => jest('e2e/jest.config.mjs'));

say('\nThe ten longest');
for (const { ms, file, fullName } of times.sort((a, b) => b.ms - a.ms).slice(0, 10))
  say(`${(ms / 1000).toFixed(1).padStart(7)} s  ${file}  ${fullName}`);

say(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
