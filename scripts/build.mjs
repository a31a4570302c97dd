import { needBuild, needPackages, stop } from './lib.mjs';

needPackages();
if (!needBuild()) stop('The build failed; the reason stands above.');
