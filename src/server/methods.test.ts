/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { otherMethods } from './http';

describe('what an address does not do', () => {
  test('is said with what it does, as every other problem', async () => {
    const { DELETE } = otherMethods('GET', 'PUT');
    const response = DELETE();
    expect(response.status).toBe(405);
    expect(response.headers.get('allow')).toBe('GET, PUT');
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    expect(await response.json()).toMatchObject({
      status: 405,
      type: 'urn:waffenrad:problem:method-not-allowed',
      detail: 'This address answers GET, PUT.',
    });
  });

  const api = 'src/app/api';
  const routes = readdirSync(api, { recursive: true, encoding: 'utf8' }).filter((path) =>
    path.endsWith('route.ts'),
  );
  test.each(routes)('%s answers every method', (path) => {
    const text = readFileSync(join(api, path), 'utf8');
    const own = [
      ...text.matchAll(/export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE)\b/g),
    ].map(([, method]) => method);
    const [, others = '', allowed = ''] =
      /export const \{ ([^}]*) \} = otherMethods\(([^)]*)\)/.exec(text) ?? [];
    const listed = (names: string) => names.match(/[A-Z]+/g) ?? [];
    // The one for unknown addresses answers all of them itself.
    if (path.includes('[...rest]')) return expect(text).toContain('nothingHere as PUT');
    expect(listed(allowed)).toEqual(own);
    expect([...own, ...listed(others)].sort()).toEqual(['DELETE', 'GET', 'PATCH', 'POST', 'PUT']);
  });
});
