import type { AnyPart, PartKind } from '@/core/kit';
import type { Db } from './db';
import { itemMapping, partOfRow } from './stock';

interface PartSearch {
  /** Any words, in any order, each perhaps only begun; empty finds all. */
  readonly text: string;
  readonly kind: PartKind | null;
  readonly limit: number;
  readonly offset: number;
}

export interface PartsFound {
  readonly parts: readonly AnyPart[];
  /** How many there are in all. */
  readonly count: number;
}

/** More matches than this are shown as they come; to sort them all would take too long. */
const MOST_RANKED = 2000;

/**
 * Parts that have every word of the text, each perhaps only begun: the best match first, or as they
 * come where there are very many. Without a text by slot and price.
 */
export function searchParts(db: Db, { text, kind, limit, offset }: PartSearch): PartsFound {
  const words = text.match(/[\p{L}\p{N}]+/gu) ?? [];
  const page = { kind, limit, offset };
  if (words.length === 0) {
    const from = `FROM catalogue_item ${kind === null ? '' : 'WHERE slot = @kind'}`;
    const count = db.prepare(`SELECT count(*) ${from}`).pluck().get(page) as number;
    const rows = db
      .prepare(
        `SELECT ${itemMapping.columnList} ${from}
         ORDER BY slot, price_cents, model, id LIMIT @limit OFFSET @offset`,
      )
      .all(page);
    return { parts: rows.map(partOfRow), count };
  }
  const each = words.map((word) => `"${word}"*`).join(' AND ');
  const query = kind === null ? `words : (${each})` : `kind : "${kind}" AND words : (${each})`;
  const count = db
    .prepare('SELECT count(*) FROM catalogue_search WHERE catalogue_search MATCH ?')
    .pluck()
    .get(query) as number;
  const rows = db
    .prepare(
      `SELECT ${itemMapping.columnList}
       FROM (SELECT rowid AS seq, ${count <= MOST_RANKED ? 'rank' : 'rowid'} AS place
             FROM catalogue_search WHERE catalogue_search MATCH @query
             ORDER BY place LIMIT @limit OFFSET @offset) AS hit
       JOIN catalogue_words ON catalogue_words.seq = hit.seq
       JOIN catalogue_item ON catalogue_item.id = catalogue_words.item_id
       ORDER BY hit.place`,
    )
    .all({ query, limit, offset });
  return { parts: rows.map(partOfRow), count };
}
