import { bin, needBuild, needChromium, needPackages, run, stop } from './lib.mjs';

needPackages();
needChromium();
if (!needBuild()) stop('The build failed; the reason stands above.');
process.exit(run(bin('tsx'), ['scripts/soak.ts', ...process.argv.slice(2)]) ? 0 : 1);
