import { bin, dbPath, freePort, needDemoDatabase, needPackages, run, say } from './lib.mjs';

needPackages();
needDemoDatabase();
const port = await freePort(Number(process.env.PORT ?? 3000));
say(`Waffenrad, development: http://127.0.0.1:${port}`);
run(bin('next'), ['dev', '-H', '127.0.0.1', '-p', String(port)], { WAFFENRAD_DB: dbPath() });
