import {
  dbPath,
  freePort,
  needBuild,
  needDemoDatabase,
  needPackages,
  say,
  startServer,
  stop,
} from './lib.mjs';

needPackages();
if (!needBuild()) stop('The build failed; the reason stands above.');
needDemoDatabase();
const port = await freePort(Number(process.env.PORT ?? 3000));
const { child, url } = await startServer({ port, db: dbPath() }).catch((error) =>
  stop(error.message),
);
say(`\nWaffenrad is open at  ${url}\nDatabase: ${dbPath()}\nStop it with Ctrl+C.`);
// From a terminal the server hears Ctrl+C itself.
process.on('SIGINT', () => undefined);
process.on('SIGTERM', () => child.kill('SIGTERM'));
child.on('exit', (code) => process.exit(code ?? 0));
child.stdout.pipe(process.stdout);
child.stderr.pipe(process.stderr);
