/** @jest-environment node */
import type { IncomingMessage } from 'node:http';
import type { Db } from '@/data/db';
import { peopleOf } from '@/data/people';
import { tabletsOf } from '@/data/tablets';
import { pretendNow } from '../clock';
import { newDb } from '../testing/new-db';
import type { Asker } from './asker';
import { identify, KNOWN, SESSION, strangerOf } from './identify';
import { makePairing } from './manage';
import { nameOwner, pair, signIn, signOut, type Kept } from './sessions';

/*
 * A file that refuses in the middle, as where the disk is full or another program writes: what is done in several
 * lines stands whole or not at all, and what is only noted by the way keeps nobody out.
 */
const AT = '2026-11-24T09:00:00.000Z';
const LATER = '2026-11-24T09:02:00.000Z';
let db: Db;
beforeEach(() => {
  db = newDb();
  pretendNow(new Date(AT));
});
afterEach(() => {
  pretendNow(null);
  db.close();
});

const request = (headers: Record<string, string> = {}) =>
  ({
    headers: { host: '127.0.0.1:3000', ...headers },
    socket: { remoteAddress: '127.0.0.1' },
  }) as unknown as IncomingMessage;
const asks = ({ known, session }: Kept, at = AT): Asker =>
  identify(request({ cookie: `${KNOWN}=${known}; ${SESSION}=${session ?? ''}` }), {
    db,
    at,
    secured: false,
  });
const atMachine = (): Asker => strangerOf(request(), false);
const owner = async () =>
  (await nameOwner(atMachine(), { person: { name: 'Ada' }, secret: '2580', tablet: 'Counter' }, db))
    .kept;
const refuses = (what: string) =>
  db.exec(`CREATE TEMP TRIGGER refuses BEFORE ${what} BEGIN SELECT RAISE(ABORT, 'full'); END`);
const wellAgain = () => db.exec('DROP TRIGGER refuses');

test('a tablet is not known where nobody could be signed in at it', async () => {
  await owner();
  const personId = peopleOf(db)[0]!.id;
  const wish = { personId, secret: '2580', name: 'Bench' };
  refuses('INSERT ON session');
  await expect(pair(atMachine(), wish, db)).rejects.toThrow('full');
  expect(tabletsOf(db).map(({ name }) => name)).toEqual(['Counter']);
  wellAgain();
  expect((await pair(atMachine(), wish, db)).body.tablet).toBe('Bench');
});

test('a code is not used up by a tablet that could not be kept', async () => {
  const kept = await owner();
  const { code } = makePairing(asks(kept).by!, db);
  refuses('INSERT ON tablet');
  await expect(pair(atMachine(), { code, name: 'Bench' }, db)).rejects.toThrow('full');
  wellAgain();
  expect((await pair(atMachine(), { code, name: 'Bench' }, db)).body.tablet).toBe('Bench');
});

test('who was there stays where who comes could not be signed in, and where the tablet could not be locked', async () => {
  const kept = await owner();
  const personId = peopleOf(db)[0]!.id;
  refuses('INSERT ON session');
  await expect(signIn(asks(kept), { personId, secret: '2580' }, db)).rejects.toThrow('full');
  wellAgain();
  expect(asks(kept).by?.name).toBe('Ada');
  refuses('INSERT ON audit');
  expect(() => signOut(asks(kept), db)).toThrow('full');
  wellAgain();
  expect(asks(kept).by?.name).toBe('Ada');
});

test('a file that may only be read still knows who looks, and who is gone too long', async () => {
  const kept = await owner();
  db.pragma('query_only = ON');
  expect(asks(kept, LATER).by?.name).toBe('Ada');
  const nextDay = asks(kept, '2026-11-25T09:00:00.000Z');
  expect([nextDay.by, nextDay.tablet?.name]).toEqual([null, 'Counter']);
});

test('a fault of the program is no full disk: it is not passed over', async () => {
  const kept = await owner();
  db.exec('DROP TABLE maker');
  expect(() => asks(kept, '2026-11-25T09:00:00.000Z')).toThrow('no such table');
});
