import type { Database } from 'better-sqlite3';

/** The format of everything a shop's file holds, as open files in one ZIP (docs/formats/export.md). */
export const WHOLE_FORMAT = 'waffenrad-export';
export const WHOLE_VERSION = 1;

export const MANIFEST = 'waffenrad-export.json';
export const SEQUENCES = 'tables/sequences.json';

interface WholeColumn {
  readonly name: string;
  readonly type: string;
  readonly notNull: boolean;
}

export interface WholeTable {
  readonly name: string;
  readonly rows: number;
  readonly columns: readonly WholeColumn[];
}

/** What stands first in the ZIP. */
export interface Manifest {
  readonly format: typeof WHOLE_FORMAT;
  readonly formatVersion: number;
  /** Number of the newest migration of the file it was made from. */
  readonly schema: number;
  readonly madeAt: string;
  readonly tables: readonly WholeTable[];
}

/** A row as it stands in its file: text that is JSON as JSON, a picture by the name of its own file. */
export type WholeRow = Readonly<Record<string, unknown>>;

export const tableFile = (name: string): string => `tables/${name}.ndjson`;

const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;

interface Master {
  readonly name: string;
  readonly sql: string;
}

/** What lets somebody in is of this machine and its people, and goes nowhere: they are let in anew. */
const KEPT_BACK = new Set(['tablet', 'pairing', 'session', 'maker', 'wrong_try', 'program']);
const SECRET = 'secret_hash';

/**
 * Tables that hold what was entered, in the order of their making. What lets somebody in stays here; what is
 * made from them again (indices for words, and the tables such an index keeps itself) is left out.
 */
export function wholeTables(db: Database): Master[] {
  const all = db
    .prepare(
      `SELECT name, sql FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'
       ORDER BY rowid`,
    )
    .all() as Master[];
  const virtual = all.filter(({ sql }) => /^CREATE VIRTUAL TABLE/i.test(sql));
  return all.filter(
    ({ name }) =>
      !KEPT_BACK.has(name) &&
      !virtual.some((one) => name === one.name || name.startsWith(`${one.name}_`)),
  );
}

const columnsOf = (db: Database, table: string): WholeColumn[] =>
  (
    db.prepare(`PRAGMA table_info(${quoted(table)})`).all() as {
      name: string;
      type: string;
      notnull: number;
    }[]
  ).map(({ name, type, notnull }) => ({ name, type, notNull: notnull === 1 }));

const hasRowid = ({ sql }: Master) => !/WITHOUT\s+ROWID/i.test(sql);

/** What a ZIP begins with. */
export const manifestOf = (db: Database, madeAt: string): Manifest => ({
  format: WHOLE_FORMAT,
  formatVersion: WHOLE_VERSION,
  schema: db.pragma('user_version', { simple: true }) as number,
  madeAt,
  tables: wholeTables(db).map(({ name }) => ({
    name,
    rows: db
      .prepare(`SELECT count(*) FROM ${quoted(name)}`)
      .pluck()
      .get() as number,
    columns: columnsOf(db, name),
  })),
});

/** A picture that stands in a file of its own. */
interface WholePicture {
  readonly file: string;
  readonly bytes: Uint8Array;
}

/** The row as it is written, and its pictures. */
function written(
  table: string,
  at: number,
  row: Readonly<Record<string, unknown>>,
): { readonly row: WholeRow; readonly pictures: readonly WholePicture[] } {
  const pictures: WholePicture[] = [];
  const entries = Object.entries(row).map(([name, value]) => {
    if (name === SECRET) return [name, null];
    if (value instanceof Uint8Array) {
      const file = `pictures/${table}-${at}-${name}.jpg`;
      pictures.push({ file, bytes: value });
      return [name, { file }];
    }
    return [name, name.endsWith('_json') && typeof value === 'string' ? JSON.parse(value) : value];
  });
  return { row: Object.fromEntries(entries) as WholeRow, pictures };
}

/** Every row of a table in the order it came. */
export function* wholeRows(db: Database, table: Master) {
  const order = hasRowid(table) ? ' ORDER BY rowid' : '';
  let at = 0;
  for (const row of db.prepare(`SELECT * FROM ${quoted(table.name)}${order}`).iterate())
    yield written(table.name, ++at, row as Record<string, unknown>);
}

/** The highest number each table that counts up has given so far. */
export const sequencesOf = (db: Database): Readonly<Record<string, number>> =>
  Object.fromEntries(
    (
      db.prepare('SELECT name, seq FROM sqlite_sequence ORDER BY name').all() as {
        name: string;
        seq: number;
      }[]
    ).map(({ name, seq }) => [name, seq]),
  );

/** Puts rows into the table again as they were; what is no such row is refused with why. */
export function rowWriter(db: Database, { name, columns }: WholeTable) {
  const names = columns.map((column) => column.name);
  const insert = db.prepare(
    `INSERT INTO ${quoted(name)} (${names.map(quoted).join(', ')})
     VALUES (${names.map((_, i) => `@p${i}`).join(', ')})`,
  );
  /** Cells a picture still has to come for. */
  const waiting = new Map<string, { readonly rowid: number | bigint; readonly column: string }>();
  const filled = new Set(columns.flatMap((column) => (column.notNull ? [column.name] : [])));
  const cell = (column: string, value: unknown) => {
    // Where nothing may be missing, null is what JSON says of nothing.
    if (column.endsWith('_json'))
      return value === null && !filled.has(column) ? null : JSON.stringify(value);
    if (typeof value === 'object' && value !== null) return Buffer.alloc(0);
    return value;
  };
  return {
    waiting,
    put(row: WholeRow): void {
      const strange = Object.keys(row).find((key) => !names.includes(key));
      if (strange !== undefined) throw new Error(`${name} has no column “${strange}”`);
      const values = Object.fromEntries(
        names.map((column, i) => [`p${i}`, cell(column, row[column] ?? null)]),
      );
      const { lastInsertRowid } = insert.run(values);
      for (const column of names) {
        const file = (row[column] as { file?: unknown } | null | undefined)?.file;
        if (!column.endsWith('_json') && typeof file === 'string')
          waiting.set(file, { rowid: lastInsertRowid, column });
      }
    },
    picture(file: string, bytes: Uint8Array): boolean {
      const at = waiting.get(file);
      if (!at) return false;
      db.prepare(`UPDATE ${quoted(name)} SET ${quoted(at.column)} = ? WHERE rowid = ?`).run(
        Buffer.from(bytes),
        at.rowid,
      );
      waiting.delete(file);
      return true;
    },
  };
}

/** What acts by itself is put aside while rows are laid in as they were, and put back; returns that. */
export function putTriggersAside(db: Database): () => void {
  const triggers = db
    .prepare(`SELECT name, sql FROM sqlite_master WHERE type = 'trigger' ORDER BY rowid`)
    .all() as Master[];
  for (const { name } of triggers) db.exec(`DROP TRIGGER ${quoted(name)}`);
  return () => triggers.forEach(({ sql }) => db.exec(sql));
}

/** Indices for words are made again, numbers go on where they stood, every reference is looked at. */
export function finishWhole(db: Database, sequences: Readonly<Record<string, number>>): void {
  const has = (name: string) =>
    db.prepare('SELECT 1 FROM sqlite_master WHERE name = ?').get(name) !== undefined;
  // An export of an older file may come from before them: its migrations fill them.
  if (has('catalogue_search'))
    db.exec(`INSERT INTO catalogue_search (catalogue_search) VALUES ('rebuild')`);
  if (has('job_find'))
    db.exec(`DELETE FROM job_find;
      INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words;`);
  db.exec('DELETE FROM sqlite_sequence');
  const put = db.prepare('INSERT INTO sqlite_sequence (name, seq) VALUES (?, ?)');
  for (const [name, seq] of Object.entries(sequences)) put.run(name, seq);
  const [broken] = db.pragma('foreign_key_check') as { table: string; parent: string }[];
  if (broken)
    throw new Error(`A row of ${broken.table} speaks of a ${broken.parent} that is missing`);
}
