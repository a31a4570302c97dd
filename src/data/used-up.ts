import type { Db } from './db';

/** What a step of a job used up of a part, in thousandths of a piece. */
interface UsedUp {
  readonly stepId: string;
  readonly partId: string;
  readonly thousandths: number;
}

/** Used up of a part by all jobs. */
export const usedOf = (db: Db, partId: string): number =>
  db
    .prepare('SELECT coalesce(sum(thousandths), 0) FROM used_up WHERE part_id = ?')
    .pluck()
    .get(partId) as number;

export const usedBy = (db: Db, jobId: string): UsedUp[] =>
  db
    .prepare(
      'SELECT step_id AS stepId, part_id AS partId, thousandths FROM used_up WHERE job_id = ? ORDER BY step_id, part_id',
    )
    .all(jobId) as UsedUp[];

/** Notes a use; the same step of the same job uses a part once. */
export const insertUse = (db: Db, jobId: string, at: string, use: UsedUp) =>
  db
    .prepare('INSERT INTO used_up VALUES (@jobId, @stepId, @partId, @thousandths, @at)')
    .run({ jobId, at, ...use });

export const forgetUses = (db: Db, jobId: string) =>
  db.prepare('DELETE FROM used_up WHERE job_id = ?').run(jobId);
