import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Random } from '@/core/numerics';
import { NASTY, oneOf } from './sample';

interface Manifest {
  readonly staticRoutes: readonly { readonly page: string }[];
  readonly dynamicRoutes: readonly { readonly page: string }[];
}

/** Every address the build answers, with its places to fill, e.g. /jobs/[id]/fit. */
export function everyRoute(): string[] {
  const text = readFileSync(join(process.cwd(), '.next/routes-manifest.json'), 'utf8');
  const { staticRoutes, dynamicRoutes } = JSON.parse(text) as Manifest;
  return [...staticRoutes, ...dynamicRoutes]
    .map(({ page }) => page)
    .filter((page) => !page.startsWith('/_'));
}

/** Pieces no address should hold; some are no address at all. */
const PIECES = [
  '%',
  '%zz',
  '%00',
  '%ff',
  '%2e%2e%2f',
  '..',
  '.',
  '__proto__',
  'constructor',
  'a'.repeat(300),
  '%F0%9F%8F%B9',
  '1;2',
  '-1',
  '0',
  '1e9',
  '%20',
];

/** A route with its places filled, mostly by what is there. */
export function addressOf(
  route: string,
  known: Readonly<Record<string, readonly string[]>>,
  random: Random,
): string {
  return route.replace(/\[(?:\.\.\.)?(\w+)\]/g, (_, place: string) => {
    const there = known[place] ?? known.id ?? [];
    return there.length > 0 && random() < 0.6 ? oneOf(random, there) : oneOf(random, PIECES);
  });
}

const QUERIES = [
  'q',
  'limit',
  'offset',
  'kind',
  'before',
  'words',
  'paper',
  'format',
  'job',
  'key',
];

/** A question mark and what follows it; often nothing. */
export function queryOf(random: Random): string {
  if (random() < 0.5) return '';
  const value = oneOf(random, NASTY);
  const text = typeof value === 'string' ? value.slice(0, 400) : JSON.stringify(value);
  // Half a pair of signs cannot be written in an address.
  return `?${oneOf(random, QUERIES)}=${encodeURIComponent(Buffer.from(text).toString())}`;
}
