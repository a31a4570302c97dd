import { bin, dbPath, freePort, needDemoDatabase, needPackages, run, say } from './lib.mjs';

needPackages();
needDemoDatabase();
const port = await freePort(Number(process.env.PORT ?? 3000));
say(`Waffenrad, development: http://127.0.0.1:${port}`);
run(bin('tsx'), ['src/server/gate/serve.ts', '--dev'], {
  WAFFENRAD_DB: dbPath(),
  HOST: '127.0.0.1',
  PORT: String(port),
  NODE_ENV: 'development',
});
