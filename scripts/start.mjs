import { spawn } from 'node:child_process';
import { needBuild, needPackages, ROOT, SERVER, stop } from './lib.mjs';

/** npm start: the built application on the shop’s own file, until it is stopped. */
needPackages();
if (!needBuild()) stop('The build failed; the reason stands above.');
const child = spawn(process.execPath, [SERVER, ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, NODE_ENV: 'production' },
});
// From a terminal the server hears Ctrl+C itself; a supervisor tells this process alone.
process.on('SIGINT', () => undefined);
process.on('SIGTERM', () => child.kill('SIGTERM'));
child.on('exit', (code) => process.exit(code ?? 1));
