import type { NetworkInterfaceInfo } from 'node:os';

interface Machine {
  /** Where the server listens. */
  readonly host: string;
  /** Names a proxy or the shop's net gives it besides, separated by commas; empty for none. */
  readonly names: string;
  readonly hostname: string;
  readonly interfaces: Readonly<Record<string, readonly NetworkInterfaceInfo[] | undefined>>;
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

const bracketed = (address: string) => (address.includes(':') ? `[${address}]` : address);

/** It listens on every address the machine has. */
const isEverywhere = (host: string) => host === '0.0.0.0' || host === '::' || host === '';

export const isLoopback = (host: string): boolean =>
  ['127.0.0.1', '::1', 'localhost'].includes(host);

/** Addresses other machines reach this one by, IPv4 first; a link's own (`fe80:`) is no address to type. */
export const reachedBy = ({ interfaces }: Pick<Machine, 'interfaces'>): string[] =>
  Object.values(interfaces)
    .flatMap((all) => all ?? [])
    .filter(({ internal, address }) => !internal && !address.startsWith('fe80:'))
    .sort((a, b) => a.family.localeCompare(b.family))
    .map(({ address }) => bracketed(address));

/**
 * The names a request may call this server by. A page under any other name that leads here (a name bound
 * anew to this address) is not the shop's.
 */
export function ownNames(machine: Machine): ReadonlySet<string> {
  const { host, names, hostname } = machine;
  const given = names
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);
  const own = isLoopback(host)
    ? []
    : isEverywhere(host)
      ? [...reachedBy(machine), hostname.toLowerCase(), `${hostname.toLowerCase()}.local`]
      : [bracketed(host.toLowerCase())];
  return new Set([...LOOPBACK, ...own, ...given]);
}

/** The name of a Host header, without its port; null where it is none. */
export function nameOfHost(header: string | undefined): string | null {
  const match = /^(\[[0-9a-f:.]+\]|[^:/?#@\s]+)(?::\d{1,5})?$/i.exec(header ?? '');
  return match ? match[1]!.toLowerCase().replace(/\.$/, '') : null;
}
