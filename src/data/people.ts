import type { Person, Role } from '@/core/people';
import type { Db } from './db';

const PERSON = `SELECT id, name, role, at_bench AS atBench, secret_hash IS NOT NULL AS canSignIn,
  left_at AS leftAt FROM person`;

interface PersonRow extends Omit<Person, 'atBench' | 'canSignIn'> {
  readonly atBench: number;
  readonly canSignIn: number;
}
const toPerson = (row: PersonRow): Person => ({
  ...row,
  atBench: row.atBench === 1,
  canSignIn: row.canSignIn === 1,
});

/** Everybody who works here, in the order they came; with `left` also who did. */
export const peopleOf = (db: Db, { left = false } = {}): Person[] =>
  (
    db
      .prepare(`${PERSON} WHERE @left = 1 OR left_at IS NULL ORDER BY left_at IS NOT NULL, place`)
      .all({ left: left ? 1 : 0 }) as PersonRow[]
  ).map(toPerson);

export function personById(db: Db, id: string): Person | null {
  const row = db.prepare(`${PERSON} WHERE id = ?`).get(id) as PersonRow | undefined;
  return row ? toPerson(row) : null;
}

/** Somebody else by this name, whatever its capitals; who left keeps theirs: old entries speak of them. */
export const nameTaken = (db: Db, name: string, notOf: string): boolean =>
  db.prepare('SELECT 1 FROM person WHERE name = ? AND id <> ?').get(name, notOf) !== undefined;

interface NewPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly atBench: boolean;
  readonly sinceAt: string;
}

export const insertPerson = (db: Db, person: NewPerson): void =>
  void db
    .prepare(
      `INSERT INTO person (id, name, role, at_bench, place, since_at)
       VALUES (@id, @name, @role, @bench, (SELECT coalesce(max(place), 0) + 1 FROM person), @sinceAt)`,
    )
    .run({ ...person, bench: person.atBench ? 1 : 0 });

export const savePerson = (db: Db, person: Person): void =>
  void db
    .prepare(
      'UPDATE person SET name = @name, role = @role, at_bench = @bench, left_at = @leftAt WHERE id = @id',
    )
    .run({ ...person, bench: person.atBench ? 1 : 0 });

/** What a PIN is kept as; null where there is none. */
export const secretOf = (db: Db, id: string): string | null =>
  (db.prepare('SELECT secret_hash FROM person WHERE id = ?').pluck().get(id) as
    string | null | undefined) ?? null;

export function saveSecret(db: Db, id: string, hash: string | null): void {
  db.prepare('UPDATE person SET secret_hash = ? WHERE id = ?').run(hash, id);
  // What the demo shows of their PIN is not true any more.
  db.prepare(
    `UPDATE setting SET value_json = json_remove(value_json, '$."' || ? || '"') WHERE key = 'demo-pins'`,
  ).run(id);
}

/** The shop is opened once an owner can sign in. */
export const hasOwner = (db: Db): boolean =>
  db
    .prepare(
      "SELECT 1 FROM person WHERE role = 'owner' AND left_at IS NULL AND secret_hash IS NOT NULL",
    )
    .get() !== undefined;
