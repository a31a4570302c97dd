import type { AnyPart, PartKind } from '@/core/kit';
import type { Db } from './db';
import { wordsOf } from './words-of';
import { itemMapping } from './stock';

/** Puts parts aside under the import's id; an id that stands there already throws. */
export function stageParts(db: Db, importId: string, parts: readonly AnyPart[], at: string): void {
  const insert = db.prepare('INSERT INTO import_row VALUES (?, ?, ?, ?, ?)');
  for (const part of parts) insert.run(importId, part.id, JSON.stringify(part), wordsOf(part), at);
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

/**
 * Takes what stands aside into the catalogue, all of it or those of `only`, and forgets it. Run it
 * in a transaction: 50,000 parts come over at once or not at all.
 */
export function takeStaged(db: Db, importId: string, only: readonly string[] | null): number {
  const wanted = only === null ? '' : 'AND item_id IN (SELECT value FROM json_each(@only))';
  const bound = { importId, only: only === null ? null : JSON.stringify(only) };
  const names = COLUMNS.map(([column]) => column);
  const taken = db
    .prepare(
      `INSERT INTO catalogue_item (${names.join(', ')})
       SELECT ${COLUMNS.map(([, from]) => from).join(', ')} FROM import_row
       WHERE import_id = @importId ${wanted}
       ON CONFLICT (id) DO UPDATE SET
       ${names
         .slice(1)
         .map((name) => `${name} = excluded.${name}`)
         .join(', ')}`,
    )
    .run(bound).changes;
  db.prepare(
    `INSERT INTO catalogue_words (item_id, kind, words)
     SELECT item_id, item_json ->> 'slot', words FROM import_row WHERE import_id = @importId ${wanted}
     ON CONFLICT (item_id) DO UPDATE SET words = excluded.words WHERE words <> excluded.words`,
  ).run(bound);
  dropStaged(db, importId);
  return taken;
}

/** Leaves these rows out. */
export const unstage = (db: Db, importId: string, ids: readonly string[]) =>
  db
    .prepare(
      'DELETE FROM import_row WHERE import_id = ? AND item_id IN (SELECT value FROM json_each(?))',
    )
    .run(importId, JSON.stringify(ids));

/** Leaves the rows out whose price moves by more than a third, but for these. */
export const unstageJumps = (db: Db, importId: string, wanted: readonly string[]) =>
  db
    .prepare(
      `DELETE FROM import_row WHERE import_id = @importId
       AND item_id NOT IN (SELECT value FROM json_each(@wanted))
       AND EXISTS (SELECT 1 FROM catalogue_item WHERE id = item_id AND price_cents > 0
         AND 3 * abs((item_json ->> 'priceCents') - price_cents) > price_cents)`,
    )
    .run({ importId, wanted: JSON.stringify(wanted) });

export const stagedCount = (db: Db, importId: string): number =>
  db.prepare('SELECT count(*) FROM import_row WHERE import_id = ?').pluck().get(importId) as number;

export const dropStaged = (db: Db, importId: string): number =>
  db.prepare('DELETE FROM import_row WHERE import_id = ?').run(importId).changes;

/** Forgets what was begun before this instant and never ended: a screen was closed over it. */
export const dropOldStaged = (db: Db, before: string): number =>
  db.prepare('DELETE FROM import_row WHERE at < ?').run(before).changes;
