import type { Program } from '@/core/people';
import type { Db } from './db';

const PROGRAM = `SELECT id, name, rights_json AS rights, made_by AS madeBy, made_at AS madeAt,
  used_at AS usedAt, ended_at AS endedAt FROM program`;

type ProgramRow = Omit<Program, 'rights'> & { readonly rights: string };
const toProgram = (row: ProgramRow): Program => ({
  ...row,
  rights: JSON.parse(row.rights) as Program['rights'],
});

/** Those that may ask first, then the newest that may no longer. */
export const programsOf = (db: Db): Program[] =>
  (
    db
      .prepare(`${PROGRAM} ORDER BY ended_at IS NOT NULL, ended_at DESC, made_at LIMIT 200`)
      .all() as ProgramRow[]
  ).map(toProgram);

/** The program that asks by this token's hash; one that was ended is not known. */
export function programByToken(db: Db, hash: string): Program | null {
  const row = db.prepare(`${PROGRAM} WHERE token_hash = ? AND ended_at IS NULL`).get(hash);
  return row ? toProgram(row as ProgramRow) : null;
}

export const insertProgram = (
  db: Db,
  program: Omit<Program, 'usedAt' | 'endedAt'> & { readonly token: string },
) =>
  db
    .prepare(
      `INSERT INTO program (id, name, token_hash, rights_json, made_by, made_at)
       VALUES (@id, @name, @token, @rightsJson, @madeBy, @madeAt)`,
    )
    .run({ ...program, rights: null, rightsJson: JSON.stringify(program.rights) });

export const useProgram = (db: Db, id: string, at: string) =>
  db.prepare('UPDATE program SET used_at = ? WHERE id = ?').run(at, id);

/** False where there is none that could be ended. */
export const endProgram = (db: Db, id: string, at: string): boolean =>
  db.prepare('UPDATE program SET ended_at = ? WHERE id = ? AND ended_at IS NULL').run(at, id)
    .changes === 1;
