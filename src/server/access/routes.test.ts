/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { rightsOf, ROLES, type Role } from '@/core/people';
import type { Db } from '@/data/db';
import type { Asker } from './asker';
import { passage } from './pass';
import { needsOf, ROUTES } from './routes';
import { newDb } from '../testing/new-db';

const files = readdirSync('src/app', { recursive: true, encoding: 'utf8' });
/** "jobs/[id]/(work)/fit/page.tsx" is the address "/jobs/[id]/fit". */
const addressOf = (file: string) =>
  `/${file
    .replace(/\/?(page\.tsx|route\.ts)$/, '')
    .split('/')
    .filter((piece) => piece !== '' && !piece.startsWith('('))
    .join('/')}`;
const methodsIn = (file: string) =>
  file.endsWith('page.tsx')
    ? ['GET']
    : [
        ...readFileSync(join('src/app', file), 'utf8').matchAll(
          /export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE)\b/g,
        ),
      ].map(([, method]) => method!);
const routes = files
  .filter((file) => /(^|\/)(page\.tsx|route\.ts)$/.test(file))
  .map((file) => [addressOf(file), file] as const);

test('every address of the application stands in the table, and nothing else does', () => {
  expect(Object.keys(ROUTES).sort()).toEqual(routes.map(([address]) => address).sort());
});

test.each(routes)('%s says what each of its methods asks for', (address, file) => {
  if (address === '/api/[...rest]') return;
  expect(Object.keys(ROUTES[address] ?? {}).sort()).toEqual(methodsIn(file).sort());
});

test('what is asked to be told of is asked like what is read', () =>
  expect(needsOf('/', 'HEAD')).toBe('look'));
test.each(['/nowhere', '/api/v1/nowhere', '(none)'])(
  'an address nobody knows asks to look: %s',
  (route) => expect(needsOf(route, 'GET')).toBe('look'),
);
test.each(['PATCH', 'POST', 'TRACE'])('what an address does not do asks to look: %s', (method) =>
  expect(needsOf('/api/v1/find', method)).toBe('look'),
);

describe('roles at every address', () => {
  let db: Db;
  beforeAll(() => (db = newDb()));
  afterAll(() => db.close());
  const asker = (role: Role | null): Asker => ({
    by: role && { name: 'A', role, rights: rightsOf(role), tablet: 'T' },
    personId: role && 'a',
    mark: '',
    since: '',
    tablet: { id: 't', name: 'T' },
    atMachine: false,
    secured: false,
    address: '10.0.0.7',
    opened: true,
  });
  const cases = Object.entries(ROUTES).flatMap(([route, rule]) =>
    Object.keys(rule).map((method) => [method, route] as const),
  );
  const outcome = (role: Role | null, method: string, route: string, onLoopback = false) => {
    const passed = passage(asker(role), { needs: needsOf(route, method), onLoopback, db });
    return typeof passed === 'string' ? passed : passed.status;
  };

  test.each(cases)('%s %s', (method, route) => {
    const needs = needsOf(route, method);
    for (const { id, rights } of ROLES) {
      const may = needs === 'anybody' || needs === 'calculate' || rights.includes(needs);
      expect([id, outcome(id, method, route)]).toEqual([id, may ? 'passes' : 403]);
    }
    expect(outcome(null, method, route)).toBe(needs === 'anybody' ? 'passes' : 'signs-in');
  });

  // What matters most, said once more by hand.
  test.each([
    ['PATCH', '/api/v1/shop', 'owner'],
    ['POST', '/api/v1/people', 'owner'],
    ['PATCH', '/api/v1/people/[person]', 'owner'],
    ['POST', '/api/v1/tablets', 'owner'],
    ['DELETE', '/api/v1/tablets/[tablet]', 'owner'],
    ['POST', '/api/v1/programs', 'owner'],
    ['GET', '/api/v1/audit', 'owner'],
    ['GET', '/shop/people', 'owner'],
    ['POST', '/api/v1/backups', 'owner'],
    ['PUT', '/api/v1/shop/parts/[part]', 'owner technician counter'],
    ['POST', '/api/v1/shop/bows/file', 'owner technician counter'],
    ['POST', '/api/v1/jobs', 'owner technician counter learner'],
    ['GET', '/jobs/[id]/fit', 'owner technician counter learner'],
  ])('%s %s is for %s', (method, route, who) =>
    expect(
      ROLES.filter(({ id }) => outcome(id, method, route) === 'passes')
        .map(({ id }) => id)
        .join(' '),
    ).toBe(who),
  );

  test('calculations answer everybody only while the server listens on its own machine', () => {
    expect(outcome(null, 'POST', '/api/v1/compute/[name]', true)).toBe('passes');
    expect(outcome(null, 'POST', '/api/v1/compute/[name]', false)).toBe('signs-in');
    expect(outcome(null, 'GET', '/api/v1/find', true)).toBe('signs-in');
  });
});
