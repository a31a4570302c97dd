/** @jest-environment node */
import type { IncomingMessage } from 'node:http';
import type { Db } from '@/data/db';
import { NoShop } from '@/data/no-shop';
import { ASKER, askerIn, writeAsker } from '../access/asker';
import { KNOWN, SESSION } from '../access/identify';
import { addPerson } from '../access/manage';
import { nameOwner } from '../access/sessions';
import { Problem } from '../problem';
import { whileResting } from '../resting';
import { admitBy } from './admit';
import { newDb } from '../testing/new-db';

let db: Db;
let cookie: string;
beforeAll(async () => {
  db = newDb();
  const asker = {
    ...{
      by: null,
      personId: null,
      mark: '',
      since: '',
      tablet: null,
      atMachine: true,
      secured: false,
    },
    ...{ address: '127.0.0.1', opened: false },
  };
  const wish = { person: { name: 'Ada' }, secret: '2580', tablet: 'Counter' };
  const { kept } = await nameOwner(asker, wish, db);
  cookie = `${KNOWN}=${kept.known}; ${SESSION}=${kept.session}`;
  await addPerson(
    { name: 'Ada', role: 'owner', rights: [], tablet: 'Counter' },
    { name: 'Bo', role: 'learner', atBench: false, secret: '7193' },
    db,
  );
});
afterAll(() => db.close());

const ask = (
  method: string,
  path: string,
  headers: Record<string, string> = {},
  options: { onLoopback?: boolean; open?: () => Db; from?: string; route?: string } = {},
) => {
  const request = {
    method,
    url: path,
    headers: { host: '127.0.0.1:3000', ...headers } as Record<string, string>,
    socket: { remoteAddress: options.from ?? '127.0.0.1' },
  };
  const admit = admitBy({
    onLoopback: options.onLoopback ?? true,
    secured: false,
    open: options.open ?? (() => db),
  });
  const outcome = admit(request as unknown as IncomingMessage, {
    path: path.replace(/\?.*$/, ''),
    route: options.route ?? path.replace(/\?.*$/, ''),
  });
  return {
    outcome: outcome instanceof Problem ? outcome.status : outcome,
    told: askerIn({ headers: new Headers(request.headers) }),
    request,
  };
};

test('who is signed in passes, and is told to the application', () => {
  const { outcome, told } = ask('GET', '/', { cookie });
  expect(outcome).toBeNull();
  expect(told?.by).toMatchObject({ name: 'Ada', role: 'owner' });
});

test('nobody is sent to sign in from a page, and refused at an address of data', () => {
  expect(ask('GET', '/').outcome).toEqual({ to: '/sign-in' });
  expect(
    ask('GET', '/jobs/a/fit?part=eye&_rsc=x1', {}, { route: '/jobs/[id]/fit' }).outcome,
  ).toEqual({
    to: `/sign-in?to=${encodeURIComponent('/jobs/a/fit?part=eye')}`,
  });
  expect(ask('GET', '/api/v1/find').outcome).toBe(401);
  expect(ask('POST', '/api/v1/jobs').outcome).toBe(401);
});

test('while a backup is put back what is there is read, and nothing is written', async () => {
  const tried = () =>
    [
      ['GET', '/'],
      ['GET', '/api/v1/find'],
      ['POST', '/api/v1/jobs'],
      ['POST', '/api/v1/session'],
      ['PATCH', '/api/v1/shop'],
    ].map(([method, path]) => ask(method!, path!, { cookie }).outcome);
  await whileResting(async () => expect(tried()).toEqual([null, null, 503, 503, 503]));
  expect(tried()).toEqual([null, null, null, null, null]);
  // Also where it failed.
  await whileResting(() => Promise.reject(new Error('no room'))).catch(() => undefined);
  expect(tried()).toEqual([null, null, null, null, null]);
});

test('what a request says of who it is is taken off', () => {
  const forged = writeAsker({
    by: { name: 'Mallory', role: 'owner', rights: ['people'], tablet: 'x' },
    personId: 'm',
    mark: '',
    since: '',
    tablet: null,
    atMachine: true,
    secured: false,
    address: '',
    opened: true,
  });
  const { outcome, told } = ask('GET', '/api/v1/audit', { [ASKER]: forged }, { from: '10.0.0.7' });
  expect(outcome).toBe(401);
  expect(told).toMatchObject({ by: null, atMachine: false });
  expect(ask('GET', '/icon.svg', { [ASKER]: forged }).told).toBeNull();
});

test('calculations answer on this machine alone without signing in, also without a shop', () => {
  const route = '/api/v1/compute/[name]';
  const none = () => {
    throw new NoShop('none');
  };
  expect(ask('POST', '/api/v1/compute/spine', {}, { route, open: none }).outcome).toBeNull();
  expect(ask('POST', '/api/v1/compute/spine', {}, { route, onLoopback: false }).outcome).toBe(401);
  // Through a proxy it is somebody else’s machine.
  const forwarded = { 'x-forwarded-for': '192.0.2.7' };
  expect(ask('POST', '/api/v1/compute/spine', forwarded, { route }).outcome).toBe(401);
});

describe('without a shop', () => {
  const open = () => {
    throw new NoShop('none');
  };
  const at = (path: string, from = '127.0.0.1') => ask('GET', path, {}, { open, from }).outcome;
  test('the machine itself is asked what to do; others see where', () => {
    expect(at('/')).toEqual({ to: '/open' });
    expect(at('/jobs/a')).toEqual({ to: '/open' });
    expect(at('/open')).toBeNull();
    expect(at('/', '10.0.0.7')).toBeNull();
    expect(at('/api/v1/find')).toBe(503);
    expect(ask('POST', '/api/v1/opening', {}, { open }).outcome).toBeNull();
  });
});

test('a sick file is told at an address of data, and by the page itself', () => {
  const open = () => {
    throw Object.assign(new Error('file is not a database'), { code: 'SQLITE_NOTADB' });
  };
  expect(ask('GET', '/', {}, { open }).outcome).toBeNull();
  expect(ask('GET', '/api/v1/find', {}, { open }).outcome).toBe(503);
  expect(ask('GET', '/api/v1/health', {}, { open }).outcome).toBeNull();
  const broken = () => {
    throw new Error('of the program');
  };
  expect(() => ask('GET', '/', {}, { open: broken })).toThrow('of the program');
});
