import { bin, needPackages, run } from './lib.mjs';

needPackages();
const ok =
  run(bin('prettier'), ['--write', '--log-level', 'warn', '.']) &&
  run(bin('eslint'), ['.', '--fix']);
process.exit(ok ? 0 : 1);
