import type { AnyPart, PartKind } from '@/core/kit';
import type { Db } from './db';
import { wordsOf } from './words-of';
import { itemMapping } from './stock';

/**
 * Puts parts aside under the import's id; an id that stands there already throws.
 *
 * @returns how many stand there now.
 */
export function stageParts(
  db: Db,
  importId: string,
  parts: readonly AnyPart[],
  at: string,
): number {
  const insert = db.prepare('INSERT INTO import_row VALUES (?, ?, ?, ?, ?)');
  for (const part of parts) insert.run(importId, part.id, JSON.stringify(part), wordsOf(part), at);
  return db
    .prepare(
      `INSERT INTO import_file (import_id, begun_at, count) VALUES (?, ?, ?)
       ON CONFLICT (import_id) DO UPDATE SET count = count + excluded.count RETURNING count`,
    )
    .pluck()
    .get(importId, at, parts.length) as number;
}

/** Which of these ids stand aside under the import already. */
export const stagedAlready = (db: Db, importId: string, ids: readonly string[]): string[] =>
  db
    .prepare(
      'SELECT item_id FROM import_row WHERE import_id = ? AND item_id IN (SELECT value FROM json_each(?))',
    )
    .pluck()
    .all(importId, JSON.stringify(ids)) as string[];

/** Known parts of another slot that have one of these ids, with their slot. */
export const idsOfOtherKinds = (db: Db, kind: PartKind, ids: readonly string[]) =>
  db
    .prepare(
      'SELECT id, slot FROM catalogue_item WHERE slot <> ? AND id IN (SELECT value FROM json_each(?))',
    )
    .all(kind, JSON.stringify(ids)) as { id: string; slot: PartKind }[];

/** Each part put aside beside the one it would replace, by id; null where it is new. */
export const stagedPairs = (db: Db, importId: string) =>
  db
    .prepare(
      `SELECT import_row.item_json AS staged, ${itemMapping.columnList}
       FROM import_row LEFT JOIN catalogue_item ON catalogue_item.id = import_row.item_id
       WHERE import_id = ? ORDER BY import_row.item_id`,
    )
    .all(importId)
    .map((row) => {
      const { staged, ...known } = row as Record<string, unknown>;
      return {
        staged: JSON.parse(staged as string) as AnyPart,
        known: known.id === null ? null : (itemMapping.fromRow(known) as AnyPart),
      };
    });

/** The columns in one order, read out of the JSON of a row put aside. */
const COLUMNS: readonly (readonly [column: string, from: string])[] = [
  ['id', "item_json ->> 'id'"],
  ['slot', "item_json ->> 'slot'"],
  ['maker', "item_json ->> 'maker'"],
  ['model', "item_json ->> 'model'"],
  ['hand', "item_json ->> 'hand'"],
  ['mass_g', "item_json ->> 'massG'"],
  ['price_cents', "item_json ->> 'priceCents'"],
  ['close_out_cents', "item_json ->> 'closeOutCents'"],
  ['stock', "item_json ->> 'stock'"],
  ['delivery_days', "item_json ->> 'deliveryDays'"],
  ['supplier', "item_json ->> 'supplier'"],
  ['attrs_json', "item_json -> 'attrs'"],
];

/** Which rows of a file are wanted. */
export interface TakeWish {
  /** Only these; null for all. */
  readonly only: readonly string[] | null;
  /** All but these. */
  readonly except: readonly string[];
  /** Of the rows whose price moves by more than a third only these; null for all of them. */
  readonly jumps: readonly string[] | null;
}

/** From here on the file is taken, whatever happens; false where that has begun already. */
export const beginTaking = (db: Db, importId: string, wish: TakeWish): boolean =>
  db
    .prepare('UPDATE import_file SET wish_json = ? WHERE import_id = ? AND wish_json IS NULL')
    .run(JSON.stringify(wish), importId).changes === 1;

/** Files whose taking has begun and not ended. */
export const begunTakings = (db: Db): string[] =>
  db
    .prepare('SELECT import_id FROM import_file WHERE wish_json IS NOT NULL')
    .pluck()
    .all() as string[];

/**
 * Takes the next `most` rows of a file into the catalogue, or leaves them out, and forgets them. Run it
 * in a transaction.
 *
 * @returns how many of the whole file are in the catalogue once it is through; null while rows are left.
 */
export function takeSlice(db: Db, importId: string, most: number): number | null {
  const { wish_json, taken } = db
    .prepare('SELECT wish_json, taken FROM import_file WHERE import_id = ?')
    .get(importId) as { wish_json: string; taken: number };
  const { only, except, jumps } = JSON.parse(wish_json) as TakeWish;
  const next = db
    .prepare(
      `SELECT item_id FROM import_row WHERE import_id = @importId ORDER BY item_id LIMIT @most`,
    )
    .pluck()
    .all({ importId, most }) as string[];
  const wanted = db
    .prepare(
      `SELECT item_id FROM import_row WHERE import_id = @importId
       AND item_id IN (SELECT value FROM json_each(@next))
       AND (@only IS NULL OR item_id IN (SELECT value FROM json_each(@only)))
       AND item_id NOT IN (SELECT value FROM json_each(@except))
       AND (@jumps IS NULL OR item_id IN (SELECT value FROM json_each(@jumps))
         OR NOT EXISTS (SELECT 1 FROM catalogue_item WHERE id = item_id AND price_cents > 0
           AND 3 * abs((item_json ->> 'priceCents') - price_cents) > price_cents))`,
    )
    .pluck()
    .all({
      importId,
      next: JSON.stringify(next),
      only: only && JSON.stringify(only),
      except: JSON.stringify(except),
      jumps: jumps && JSON.stringify(jumps),
    }) as string[];
  takeRows(db, importId, JSON.stringify(wanted));
  db.prepare(
    'DELETE FROM import_row WHERE import_id = ? AND item_id IN (SELECT value FROM json_each(?))',
  ).run(importId, JSON.stringify(next));
  if (next.length === most) {
    db.prepare('UPDATE import_file SET taken = taken + ? WHERE import_id = ?').run(
      wanted.length,
      importId,
    );
    return null;
  }
  db.prepare('DELETE FROM import_file WHERE import_id = ?').run(importId);
  return taken + wanted.length;
}

/** @param ids JSON of the ids that come over. */
function takeRows(db: Db, importId: string, ids: string): void {
  const names = COLUMNS.map(([column]) => column);
  const rows = 'WHERE import_id = @importId AND item_id IN (SELECT value FROM json_each(@ids))';
  db.prepare(
    `INSERT INTO catalogue_item (${names.join(', ')})
     SELECT ${COLUMNS.map(([, from]) => from).join(', ')} FROM import_row ${rows}
     ON CONFLICT (id) DO UPDATE SET
     ${names
       .slice(1)
       .map((name) => `${name} = excluded.${name}`)
       .join(', ')}`,
  ).run({ importId, ids });
  db.prepare(
    `INSERT INTO catalogue_words (item_id, kind, words)
     SELECT item_id, item_json ->> 'slot', words FROM import_row ${rows}
     ON CONFLICT (item_id) DO UPDATE SET words = excluded.words WHERE words <> excluded.words`,
  ).run({ importId, ids });
}

/** How much of a file is here, and whether it is being taken; null where there is none. */
export const importFile = (db: Db, importId: string): { count: number; taking: boolean } | null => {
  const row = db
    .prepare('SELECT count, wish_json IS NOT NULL AS taking FROM import_file WHERE import_id = ?')
    .get(importId) as { count: number; taking: number } | undefined;
  return row ? { count: row.count, taking: row.taking === 1 } : null;
};

/** Forgets at most so many rows of a file, the file with the last of them; how many there were. */
export function dropStaged(db: Db, importId: string, most: number): number {
  const dropped = db
    .prepare(
      `DELETE FROM import_row WHERE import_id = @importId AND item_id IN
         (SELECT item_id FROM import_row WHERE import_id = @importId LIMIT @most)`,
    )
    .run({ importId, most }).changes;
  if (dropped < most) db.prepare('DELETE FROM import_file WHERE import_id = ?').run(importId);
  return dropped;
}

/**
 * Files nobody will take any more: begun before this instant, a screen having been closed over them, or
 * older than the newest `keep` ones. What is being taken is none of them.
 */
export const forgotten = (db: Db, before: string, keep: number): string[] =>
  db
    .prepare(
      `SELECT import_id FROM
         (SELECT *, row_number() OVER (ORDER BY begun_at DESC) AS place FROM import_file)
       WHERE (begun_at < ? OR place > ?) AND wish_json IS NULL`,
    )
    .pluck()
    .all(before, keep) as string[];
