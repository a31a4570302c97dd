import { readFileSync } from 'node:fs';

interface DynamicRoute {
  readonly page: string;
  readonly regex: string;
}

/** What the build says of the application's addresses. */
interface Manifest {
  readonly staticRoutes: readonly DynamicRoute[];
  readonly dynamicRoutes: readonly DynamicRoute[];
}

/**
 * The path of a request's target without its query; null where it is no address at all (`%`, `%zz`, `%ff`), or
 * one that means another: the application walks `/a/../b`, `/a/%2e%2e/b` and `/a\\..\\b` to `/b`, past what
 * was asked of `/a`. No browser sends such a one.
 */
export function pathOf(target: string): string | null {
  const path = target.replace(/[?#].*$/s, '');
  if (!path.startsWith('/')) return null;
  try {
    // As a whole: half a sign in one piece is half a sign.
    const meant = decodeURIComponent(path);
    if (meant.includes('\0') || meant.split(/[/\\]/).some((piece) => /^\.\.?$/.test(piece)))
      return null;
    // And as the application reads it, whatever else it may walk.
    const walked = decodeURIComponent(new URL(`http://shop${path}`).pathname);
    return walked === meant.replaceAll('\\', '/') ? path : null;
  } catch {
    return null;
  }
}

/** What is made once by the build and never changes: not worth counting. */
export const isShipped = (path: string): boolean => path.startsWith('/_next/static/');

/** "/jobs/[id]/fit" as a pattern; "[...rest]" is anything there is. */
const patternOf = (route: string) =>
  new RegExp(
    `^${route
      .replace(/\[\.\.\.\w+\]/g, '*')
      .replace(/\[\w+\]/g, '[^/]+?')
      .replace(/\*/g, '.+?')}/?$`,
  );

/** The same from the list of routes, where there is no build: the more a route says itself, the sooner. */
export function routeNamesOf(routes: readonly string[]): (path: string) => string {
  const open = (route: string) =>
    (route.match(/\[/g) ?? []).length + (route.includes('...') ? 9 : 0);
  const known = [...routes]
    .sort((a, b) => open(a) - open(b))
    .map((page) => ({ page, pattern: patternOf(page) }));
  return (path) => known.find(({ pattern }) => pattern.test(path))?.page ?? '(none)';
}

/** Names an address by its route, so that nothing of a person ever stands in a log. */
export function routeNames(manifestPath: string): (path: string) => string {
  const manifest = JSON.parse(readFileSync(manifestPath, 'utf8')) as Manifest;
  const known = [...manifest.staticRoutes, ...manifest.dynamicRoutes].map(({ page, regex }) => ({
    page,
    pattern: new RegExp(regex),
  }));
  return (path) =>
    isShipped(path)
      ? '/_next/static'
      : (known.find(({ pattern }) => pattern.test(path))?.page ?? '(none)');
}
