import { networkInterfaces } from 'node:os';
import { isLoopback, nameOfHost, reachedBy } from '../gate/own-names';

/**
 * Where tablets reach the shop, as one types it: the name it is called by right now, or, where that is this
 * machine's own, the first address others reach it by. Null while it listens on this machine alone.
 *
 * @param called the Host header of a request.
 */
export function tabletAddress(called: string): string | null {
  const { HOST: host = '127.0.0.1', PORT: port = '3000', WAFFENRAD_CERT: cert } = process.env;
  const scheme = cert ? 'https' : 'http';
  const name = nameOfHost(called);
  if (name !== null && !isLoopback(name.replace(/^\[|\]$/g, ''))) return `${scheme}://${called}`;
  if (isLoopback(host)) return null;
  const first = reachedBy({ interfaces: networkInterfaces() })[0];
  return first === undefined ? null : `${scheme}://${first}:${port}`;
}
