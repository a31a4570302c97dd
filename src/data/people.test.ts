import Database from 'better-sqlite3';
import { migrate } from './migrate';
import {
  hasOwner,
  insertPerson,
  nameTaken,
  peopleOf,
  personById,
  savePerson,
  saveSecret,
} from './people';
import { shopSettings } from './settings';

const AT = '2026-11-24T09:00:00.000Z';
const fresh = (upTo?: number) => {
  const db = new Database(':memory:');
  migrate(db, undefined, undefined, upTo);
  return db;
};

test('the names an older file holds become people without a PIN, in their order, each once', () => {
  const db = fresh(27);
  db.prepare("INSERT INTO setting VALUES ('shop', ?)").run(
    JSON.stringify({ name: 'Alt', people: ['Bo', ' Ada ', 'bo', '', 'C'.repeat(61)] }),
  );
  migrate(db);
  expect(peopleOf(db)).toMatchObject([
    { name: 'Bo', role: 'technician', atBench: true, canSignIn: false, leftAt: null },
    { name: 'Ada' },
  ]);
  expect(hasOwner(db)).toBe(false);
  expect(shopSettings(db)).toMatchObject({ name: 'Alt', people: ['Bo', 'Ada'] });
  db.close();
});

test('people come back as they were written, every field of them', () => {
  const db = fresh();
  insertPerson(db, { id: 'a', name: 'Ada', role: 'owner', atBench: false, sinceAt: AT });
  insertPerson(db, { id: 'b', name: 'Bo', role: 'learner', atBench: true, sinceAt: AT });
  const changed = { id: 'b', name: 'Bodo', role: 'counter', atBench: false, leftAt: AT } as const;
  savePerson(db, { ...changed, canSignIn: false });
  expect(personById(db, 'b')).toEqual({ ...changed, canSignIn: false });
  expect(peopleOf(db).map(({ name }) => name)).toEqual(['Ada']);
  expect(peopleOf(db, { left: true }).map(({ name }) => name)).toEqual(['Ada', 'Bodo']);
  expect([
    nameTaken(db, 'BODO', 'x'),
    nameTaken(db, 'Bodo', 'b'),
    nameTaken(db, 'Bo', 'x'),
  ]).toEqual([true, false, false]);
  db.close();
});

test('an owner counts once they can sign in, and while they work here', () => {
  const db = fresh();
  insertPerson(db, { id: 'a', name: 'Ada', role: 'owner', atBench: true, sinceAt: AT });
  expect(hasOwner(db)).toBe(false);
  saveSecret(db, 'a', 'hash');
  expect(hasOwner(db)).toBe(true);
  savePerson(db, { ...personById(db, 'a')!, leftAt: AT });
  expect(hasOwner(db)).toBe(false);
  db.close();
});

test('what the demo shows of a PIN goes with another PIN', () => {
  const db = fresh();
  insertPerson(db, { id: 'a', name: 'Ada', role: 'owner', atBench: true, sinceAt: AT });
  insertPerson(db, { id: 'b', name: 'Bo', role: 'owner', atBench: true, sinceAt: AT });
  db.prepare(`INSERT INTO setting VALUES ('demo-pins', '{"a":"2580","b":"1379"}')`).run();
  saveSecret(db, 'a', 'hash');
  expect(db.prepare("SELECT value_json FROM setting WHERE key = 'demo-pins'").pluck().get()).toBe(
    '{"b":"1379"}',
  );
  db.close();
});
