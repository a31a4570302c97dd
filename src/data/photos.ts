import type { Photo } from '@/core/job';
import type { Db } from './db';
import { boolean, plain, RowMapping } from './mapping';

interface StoredPhoto extends Photo {
  readonly jobId: string;
  /** False while it is only handed in, or was taken out. */
  readonly kept: boolean;
  /** Stands on a sheet: it stays whatever becomes of the list. */
  readonly printed: boolean;
}

export const photoMapping = new RowMapping<StoredPhoto>('photo', {
  id: plain('id'),
  jobId: plain('jobId'),
  at: plain('at'),
  who: plain('who'),
  about: plain('about'),
  words: plain('words'),
  width: plain('width'),
  height: plain('height'),
  onRecord: boolean('onRecord'),
  kept: boolean('kept'),
  printed: boolean('printed'),
});

interface Picture {
  readonly large: Uint8Array;
  readonly small: Uint8Array;
}

/** Hands a picture in; it is none of the job's until it is kept. */
export function insertPhoto(
  db: Db,
  photo: Omit<StoredPhoto, 'id' | 'kept' | 'printed'>,
  { large, small }: Picture,
): number {
  // A number is never used twice: browsers keep a picture for good.
  const last = db.prepare("SELECT seq FROM sqlite_sequence WHERE name = 'photo'").pluck().get();
  const id = Number(last ?? 0) + 1;
  photoMapping.insert(db, { ...photo, id, kept: false, printed: false });
  db.prepare('INSERT INTO photo_picture VALUES (?, ?, ?)').run(id, large, small);
  return id;
}

/** Photographs of a job that are kept, oldest first. */
export const photosOf = (db: Db, jobId: string): Photo[] =>
  db
    .prepare(
      `SELECT ${photoMapping.columnList} FROM photo WHERE job_id = ? AND kept = 1 ORDER BY id`,
    )
    .all(jobId)
    .map((row) => {
      const { jobId: _job, kept: _kept, printed: _printed, ...photo } = photoMapping.fromRow(row);
      return photo;
    });

/** One of a job, kept or not; null where there is none. */
export function photoById(db: Db, jobId: string, id: number): StoredPhoto | null {
  const row = db
    .prepare(`SELECT ${photoMapping.columnList} FROM photo WHERE job_id = ? AND id = ?`)
    .get(jobId, id);
  return row ? photoMapping.fromRow(row) : null;
}

/** The picture itself; null where there is none of this job. */
export const pictureOf = (db: Db, jobId: string, id: number, size: keyof Picture): Buffer | null =>
  (db
    .prepare(
      `SELECT p.${size === 'small' ? 'small' : 'large'} FROM photo_picture p JOIN photo ON photo.id = p.photo_id
       WHERE photo.job_id = ? AND photo.id = ?`,
    )
    .pluck()
    .get(jobId, id) as Buffer | undefined) ?? null;

export const keepPhoto = (db: Db, id: number, kept: boolean) =>
  db.prepare('UPDATE photo SET kept = ? WHERE id = ?').run(kept ? 1 : 0, id);

export const describePhoto = (db: Db, id: number, words: string, onRecord: boolean) =>
  db
    .prepare('UPDATE photo SET words = ?, on_record = ? WHERE id = ?')
    .run(words, onRecord ? 1 : 0, id);

/** Stands on a sheet from now on: never forgotten. */
export const printPhotos = (db: Db, ids: readonly number[]) => {
  const mark = db.prepare('UPDATE photo SET printed = 1 WHERE id = ?');
  ids.forEach((id) => mark.run(id));
};

/**
 * Forgets pictures that were handed in or taken out before a day, and that no entry can bring back.
 *
 * @param before UTC instant.
 */
export function forgetPhotos(db: Db, before: string): number {
  const ids = db
    .prepare(
      `SELECT id FROM photo WHERE kept = 0 AND printed = 0 AND at < ?
       AND NOT EXISTS (SELECT 1 FROM job_event e WHERE e.job_id = photo.job_id
         AND e.inverse_json LIKE '%"photo"%' AND json_extract(e.inverse_json, '$.photo') = photo.id)`,
    )
    .pluck()
    .all(before) as number[];
  for (const id of ids) {
    db.prepare('DELETE FROM photo_picture WHERE photo_id = ?').run(id);
    db.prepare('DELETE FROM photo WHERE id = ?').run(id);
  }
  return ids.length;
}
