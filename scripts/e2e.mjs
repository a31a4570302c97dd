import { bin, needBuild, needChromium, needPackages, run, stop } from './lib.mjs';

needPackages();
needChromium();
if (!needBuild()) stop('The build failed; the reason stands above.');
process.exit(
  run(bin('jest'), ['--config', 'e2e/jest.config.mjs', ...process.argv.slice(2)]) ? 0 : 1,
);
