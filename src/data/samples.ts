import type { BowRecord } from '@/core/bow';
import type { AnyPart } from '@/core/kit';
import type { Db } from './db';
import { bowById, insertBow, insertItem, partById } from './stock';

/** How much of the sample catalogue stands among the shop's own. */
export interface Samples {
  readonly bows: number;
  readonly parts: number;
}

export const samplesOf = (db: Db): Samples => {
  const count = (table: 'bow' | 'catalogue_item') =>
    db.prepare(`SELECT count(*) FROM ${table} WHERE sample = 1`).pluck().get() as number;
  return { bows: count('bow'), parts: count('catalogue_item') };
};

/** Which they are. */
export const sampleIds = (db: Db): { bows: string[]; parts: string[] } => {
  const ids = (table: 'bow' | 'catalogue_item') =>
    db.prepare(`SELECT id FROM ${table} WHERE sample = 1 ORDER BY id`).pluck().all() as string[];
  return { bows: ids('bow'), parts: ids('catalogue_item') };
};

/** Puts them in, marked; what has the id of one that is there already is left alone. */
export function putSamples(db: Db, bows: readonly BowRecord[], parts: readonly AnyPart[]): Samples {
  const mark = (table: string, id: string) =>
    db.prepare(`UPDATE ${table} SET sample = 1 WHERE id = ?`).run(id);
  for (const bow of bows) {
    if (bowById(db, bow.id)) continue;
    insertBow(db, bow);
    mark('bow', bow.id);
  }
  for (const part of parts) {
    if (partById(db, part.id)) continue;
    insertItem(db, part);
    mark('catalogue_item', part.id);
  }
  return samplesOf(db);
}

/** What a job or an order speaks of stays, and is told of: an old ticket would lose what was on it. */
const USED = {
  bow: `EXISTS (SELECT 1 FROM job WHERE job.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM job_bow WHERE job_bow.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM bow_piece WHERE bow_piece.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM reading WHERE reading.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM draw_curve WHERE draw_curve.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM aim_shot WHERE aim_shot.bow_id = bow.id)
    OR EXISTS (SELECT 1 FROM stock_order WHERE kind = 'bow' AND item_id = bow.id)`,
  catalogue_item: `EXISTS (SELECT 1 FROM job_part WHERE job_part.item_id = catalogue_item.id)
    OR EXISTS (SELECT 1 FROM stock_order WHERE kind = 'part' AND item_id = catalogue_item.id)`,
} as const;

/** Takes them off in one go; what is left is what jobs speak of. */
export function removeSamples(db: Db): Samples {
  for (const [table, used] of Object.entries(USED))
    db.prepare(`DELETE FROM ${table} WHERE sample = 1 AND NOT (${used})`).run();
  return samplesOf(db);
}
