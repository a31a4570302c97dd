import type { BowPiece } from '@/core/bow';
import type { Db } from './db';
import { plain, RowMapping } from './mapping';

export interface StoredPiece extends BowPiece {
  /** The job it left the shop with; null while it is there. */
  readonly leftWith: string | null;
}

export const pieceMapping = new RowMapping<StoredPiece>('bow_piece', {
  serial: plain('serial'),
  bowId: plain('bowId'),
  condition: plain('condition'),
  priceCents: plain('priceCents'),
  note: plain('note'),
  leftWith: plain('leftWith'),
});

export function pieceBySerial(db: Db, serial: string): StoredPiece | null {
  const row = db
    .prepare(`SELECT ${pieceMapping.columnList} FROM bow_piece WHERE serial = ?`)
    .get(serial);
  return row ? pieceMapping.fromRow(row) : null;
}

export function savePiece(db: Db, piece: StoredPiece): void {
  if (pieceBySerial(db, piece.serial)) pieceMapping.update(db, piece, 'serial');
  else pieceMapping.insert(db, piece);
}

export const dropPiece = (db: Db, serial: string) =>
  db.prepare('DELETE FROM bow_piece WHERE serial = ?').run(serial);

/** A single bow and who has it. */
export interface PieceSeen extends StoredPiece {
  /** Job that holds it, or that it left with; null where nobody has it. */
  readonly jobId: string | null;
  readonly ticket: number | null;
  readonly archer: string | null;
}

/** Single bows that are in the shop, and loan bows that are out. Sold ones are found by their job. */
export const piecesInShop = (db: Db): PieceSeen[] =>
  (
    db
      .prepare(
        `SELECT ${pieceMapping.columnList}, job.id AS jobId, job.number AS ticket,
                archer.name AS archer
         FROM bow_piece
         LEFT JOIN job_bow ON job_bow.serial = bow_piece.serial AND
           (job_bow.handed_over = 0 OR job_bow.job_id = bow_piece.left_with)
         LEFT JOIN job ON job.id = coalesce(job_bow.job_id, bow_piece.left_with)
         LEFT JOIN archer ON archer.id = job.archer_id
         WHERE bow_piece.left_with IS NULL OR bow_piece.condition = 'loan'
         ORDER BY bow_piece.bow_id, bow_piece.condition, bow_piece.serial`,
      )
      .all() as (Record<string, unknown> & Pick<PieceSeen, 'jobId' | 'ticket' | 'archer'>)[]
  ).map((row) => ({
    ...pieceMapping.fromRow(row),
    jobId: row.jobId,
    ticket: row.ticket,
    archer: row.archer,
  }));

/** New bows of a model that other jobs have put aside from the shelf, last one last. */
export const bowsHeldByOthers = (db: Db, bowId: string, jobId: string): string[] =>
  db
    .prepare(
      `SELECT job_id FROM job_bow WHERE bow_id = ? AND handed_over = 0 AND condition = 'new'
         AND arrives_day IS NULL AND job_id <> ? ORDER BY rowid`,
    )
    .pluck()
    .all(bowId, jobId) as string[];

/** How many of each model other jobs have put aside. */
export const reservedBows = (db: Db, jobId: string): Map<string, number> =>
  new Map(
    (
      db
        .prepare(
          `SELECT bow_id AS id, count(*) AS count FROM job_bow
           WHERE handed_over = 0 AND condition = 'new' AND arrives_day IS NULL AND job_id <> ?
           GROUP BY bow_id`,
        )
        .all(jobId) as { id: string; count: number }[]
    ).map(({ id, count }) => [id, count]),
  );

/** The job that holds a single bow and has not handed it over, but for one; null where none does. */
export const holderOf = (db: Db, serial: string, jobId: string): string | null =>
  (db
    .prepare(
      'SELECT job_id FROM job_bow WHERE serial = ? AND handed_over = 0 AND job_id <> ? ORDER BY rowid LIMIT 1',
    )
    .pluck()
    .get(serial, jobId) as string | undefined) ?? null;

/** Puts new bows of a model into the shop or takes them out; a count never goes below nothing. */
export const addBows = (db: Db, bowId: string, count: number) =>
  db.prepare('UPDATE bow SET stock = max(0, stock + ?) WHERE id = ?').run(count, bowId);
