import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROUTES } from '../access/routes';
import { isShipped, pathOf, routeNames, routeNamesOf } from './addresses';

test.each([
  ['/', '/'],
  ['/api/v1/find?q=100%', '/api/v1/find'],
  ['/jobs/a%20b/fit#x', '/jobs/a%20b/fit'],
  ['/shop/parts?q=a\nb', '/shop/parts'],
  ['/api/v1/shop/parts/a..b', '/api/v1/shop/parts/a..b'],
  ['/api/v1/shop/parts/...', '/api/v1/shop/parts/...'],
  ['/api/v1/shop/bow-pieces/A%2F1', '/api/v1/shop/bow-pieces/A%2F1'],
  ['/jobs/%C3%A4?to=../x', '/jobs/%C3%A4'],
])('%j is the path %j', (target, path) => expect(pathOf(target)).toBe(path));

test.each([
  '/jobs/%',
  '/jobs/%zz',
  '/jobs/%e0%a4',
  '/jobs/%ff',
  '/jobs/%00',
  'http://a/b',
  '/api/v1/x/../shop',
  '/api/v1/x/%2e%2e/shop',
  '/api/v1/x/.%2E/shop',
  '/api/v1/./shop',
  '/api/v1/shop/.',
  '/api/v1/x\\..\\shop',
  '/api/v1/x/..%5cshop',
  '/api/v1/x/..%2fshop',
  '/_next/static/../../api/v1/find?q=a',
  '/icon.svg/../api/v1/find',
  '/api/v1/s\thop',
  '*',
  '',
])('%j is no address', (target) => expect(pathOf(target)).toBeNull());

test('what the build ships is told from what the shop answers', () => {
  expect(isShipped('/_next/static/chunks/a.js')).toBe(true);
  expect(isShipped('/api/v1/find')).toBe(false);
});

test('an address is named by its route, whatever stands in it', () => {
  const folder = mkdtempSync(join(tmpdir(), 'waffenrad-routes-'));
  const file = join(folder, 'routes.json');
  writeFileSync(
    file,
    JSON.stringify({
      staticRoutes: [{ page: '/api/v1/find', regex: '^/api/v1/find(?:/)?$' }],
      dynamicRoutes: [{ page: '/jobs/[id]/fit', regex: '^/jobs/([^/]+?)/fit(?:/)?$' }],
    }),
  );
  const nameOf = routeNames(file);
  rmSync(folder, { recursive: true });
  expect(nameOf('/jobs/Nora-Beispiel/fit')).toBe('/jobs/[id]/fit');
  expect(nameOf('/api/v1/find')).toBe('/api/v1/find');
  expect(nameOf('/Nora-Beispiel')).toBe('(none)');
  expect(nameOf('/_next/static/chunks/a.js')).toBe('/_next/static');
});

test.each([
  ['/', '/'],
  ['/jobs/x/sheet/compare', '/jobs/[id]/sheet/compare'],
  ['/jobs/x/sheet/2', '/jobs/[id]/sheet/[revision]'],
  ['/jobs/x/sheet/2/', '/jobs/[id]/sheet/[revision]'],
  ['/api/v1/shop/parts/file', '/api/v1/shop/parts/file'],
  ['/api/v1/shop/parts/wachs', '/api/v1/shop/parts/[part]'],
  ['/api/v1/nowhere/at/all', '/api/[...rest]'],
  ['/nowhere', '(none)'],
])('without a build %s is %s', (path, route) =>
  expect(routeNamesOf(Object.keys(ROUTES))(path)).toBe(route),
);
