import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import next from 'next';
import pino from 'pino';
import QRCode from 'qrcode';
import { dbPath, openBy, openShopFile } from '@/data/db';
import { newShop } from '../new-shop';
import { hasShop } from '@/data/no-shop';
import { ROUTES } from '../access/routes';
import { routeNames, routeNamesOf } from './addresses';
import { admitBy } from './admit';
import { gate, USUAL_LIMITS } from './gate';
import { mayOpen } from './may-open';
import { isLoopback, ownNames, reachedBy } from './own-names';

/**
 * The program that serves the shop. `HOST` and `PORT` say where, `WAFFENRAD_DB` what, `WAFFENRAD_LOG`
 * how much is written (`info` every request, `warn` what was refused, `silent` nothing);
 * `WAFFENRAD_LIMITS=off` lets everybody ask as often as they like; `WAFFENRAD_NAMES` are names it answers
 * to besides its own; `--dev` serves the sources as they stand; `WAFFENRAD_CERT` and `WAFFENRAD_KEY` are files for TLS. `--new` opens a new shop.
 */
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 3000);
const folder = process.cwd();
/** Answers that are on their way have so long when the program is asked to stop, ms. */
const STOP_WITHIN_MS = 10_000;
/** Signals within this are one. */
const ASKED_ONCE_MS = 1000;
/** A shop has some ten tablets with a few connections each. */
const MOST_CONNECTIONS = 1000;
/** Of one address, also where a proxy stands before the shop: who opens more shuts nobody else out. */
const MOST_OF_AN_ADDRESS = 300;
/** Longer than proxies keep theirs (60 s is usual): an entry sent on one that is shut at that moment would be lost. */
const CONNECTION_KEPT_MS = 65_000;

// The application is bundled apart: what it leaves for us hangs on the process.
const held = globalThis as typeof globalThis & { waffenradClose?: () => Promise<void> };

async function main() {
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    return stop(`PORT is “${process.env.PORT}”: a number from 1 to 65535 is possible.`);
  const wantsNew = process.argv.includes('--new');
  const refused = mayOpen(dbPath(), wantsNew);
  if (refused) return stop(refused);
  if (wantsNew) newShop();
  openBy(openShopFile);
  const log = pino({
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    level: process.env.WAFFENRAD_LOG ?? 'info',
  });
  const tls = certificate();
  const machine = {
    host,
    names: process.env.WAFFENRAD_NAMES ?? '',
    hostname: hostname(),
    interfaces: networkInterfaces(),
  };
  // A proxy before it may speak TLS in its place.
  const secured = tls !== null || process.env.WAFFENRAD_SECURE === 'on';
  const limited = process.env.WAFFENRAD_LIMITS !== 'off';
  const dev = process.argv.includes('--dev');
  const app = next({ dev, dir: folder, hostname: host, port });
  await app.prepare();
  const { onRequest, close } = gate({
    handler: app.getRequestHandler(),
    log,
    nameOf: dev
      ? routeNamesOf(Object.keys(ROUTES))
      : routeNames(join(folder, '.next/routes-manifest.json')),
    nowMs: () => performance.now(),
    limits: limited ? USUAL_LIMITS : null,
    names: ownNames(machine),
    secured,
    admit: admitBy({ onLoopback: isLoopback(host), secured, dev }),
    dev,
  });
  const server = tls ? createSecureServer(tls, onRequest) : createServer(onRequest);
  // What is changed in a source is told to the pages.
  if (dev) server.on('upgrade', app.getUpgradeHandler());
  server.maxConnections = MOST_CONNECTIONS;
  server.keepAliveTimeout = CONNECTION_KEPT_MS;
  const connections = new Map<string, number>();
  server.on('connection', (socket) => {
    const address = socket.remoteAddress ?? '';
    const count = (connections.get(address) ?? 0) + 1;
    if (limited && count > MOST_OF_AN_ADDRESS) return socket.destroy();
    connections.set(address, count);
    socket.once('close', () => {
      const left = (connections.get(address) ?? 1) - 1;
      if (left > 0) connections.set(address, left);
      else connections.delete(address);
    });
  });
  server.on('error', (error: NodeJS.ErrnoException) =>
    stop(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken: another copy may be running. Name another in PORT.`
        : `The server cannot listen on ${host}, port ${port}: ${error.message}`,
    ),
  );
  let stoppingSince: number | null = null;
  const end = async () => {
    if (stoppingSince !== null) {
      // Asked again: at once. A supervisor tells every process at once, and one tells the other.
      if (performance.now() - stoppingSince > ASKED_ONCE_MS) process.exit(130);
      return;
    }
    stoppingSince = performance.now();
    log.info('stopping');
    setTimeout(() => {
      log.error('what was on its way did not end in time');
      process.exit(1);
    }, STOP_WITHIN_MS).unref();
    server.close();
    await close();
    server.closeAllConnections();
    await held.waffenradClose?.();
    log.info('stopped');
    process.exit(0);
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => void end());
  server.listen(port, host, () => {
    const scheme = tls ? 'https' : 'http';
    const everywhere = ['0.0.0.0', '::', ''].includes(host);
    const name = everywhere
      ? (reachedBy(machine)[0] ?? 'localhost')
      : host.includes(':')
        ? `[${host}]`
        : host;
    const url = `${scheme}://${name}:${port}`;
    console.log(`Waffenrad is open at  ${url}\nDatabase: ${dbPath()}\nStop it with Ctrl+C.`);
    if (!hasShop(dbPath()))
      console.log(
        `There is no shop there yet: open http${tls ? 's' : ''}://127.0.0.1:${port} on this machine to open a new one or to put a backup back (or: npm start -- --new, npm run restore).`,
      );
    if (isLoopback(host)) return;
    // For the tablets: nobody types an address with one finger.
    QRCode.toString(url, { type: 'terminal', small: true }, (error, drawn) => {
      if (!error) console.log(drawn);
    });
  });
}

/** Certificate and key from their files; null where none are named. Half of it is a slip. */
function certificate(): { readonly cert: Buffer; readonly key: Buffer } | null {
  const { WAFFENRAD_CERT: cert, WAFFENRAD_KEY: key } = process.env;
  if (!cert && !key) return null;
  if (!cert || !key)
    return stop('TLS wants both: the certificate in WAFFENRAD_CERT, its key in WAFFENRAD_KEY.');
  try {
    return { cert: readFileSync(cert), key: readFileSync(key) };
  } catch (error) {
    return stop(`The certificate or its key cannot be read: ${(error as Error).message}`);
  }
}

function stop(text: string): never {
  console.error(`\n${text}`);
  process.exit(2);
}

void main();
