import type { AimShot, HoldTrace, PathPoint } from '@/core/hold';
import type { Db } from './db';

/** Times, rights, ups: s and mrad. */
interface TraceColumns {
  readonly t: readonly number[];
  readonly r: readonly number[];
  readonly u: readonly number[];
}

interface NewAim extends Omit<AimShot, 'id'> {
  readonly jobId: string;
  readonly bowId: string;
  readonly releaseS: number | null;
  readonly samples: TraceColumns;
}

interface Row extends Omit<AimShot, 'result' | 'path'> {
  readonly result: string;
  readonly path: string;
}

/** Adds a shot and returns its number. */
export const insertAim = (db: Db, aim: NewAim): number =>
  Number(
    db
      .prepare(
        `INSERT INTO aim_shot (job_id, bow_id, at, who, topic, way, device, release_s, samples_json,
           result_json, refused, path_json, left_out)
         VALUES (@jobId, @bowId, @at, @who, @topic, @way, @device, @releaseS, @samples, @result, @refused,
           @path, @leftOut)`,
      )
      .run({
        ...aim,
        samples: JSON.stringify(aim.samples),
        result: JSON.stringify(aim.result),
        path: JSON.stringify(aim.path),
      }).lastInsertRowid,
  );

/** Shots of a job with its bow that stand, oldest first, without their traces. */
export const aimsOf = (db: Db, jobId: string, bowId: string): AimShot[] =>
  db
    .prepare(
      `SELECT id, at, who, topic, way, device, left_out AS leftOut, result_json AS result, refused,
         path_json AS path
       FROM aim_shot WHERE job_id = ? AND bow_id = ? AND dropped = 0 ORDER BY id`,
    )
    .all(jobId, bowId)
    .map((row) => {
      const { result, path, ...rest } = row as Row;
      return {
        ...rest,
        result: JSON.parse(result) as HoldTrace | null,
        path: JSON.parse(path) as PathPoint[],
      };
    });

/** Shots of a job with a bow that stand. */
export const aimCount = (db: Db, jobId: string, bowId: string | null): number =>
  db
    .prepare('SELECT count(*) FROM aim_shot WHERE job_id = ? AND bow_id = ? AND dropped = 0')
    .pluck()
    .get(jobId, bowId) as number;

/** The whole trace of one shot; null where there is none of this job. */
export function traceOf(db: Db, jobId: string, id: number) {
  const row = db
    .prepare(
      `SELECT samples_json AS samples, release_s AS releaseS FROM aim_shot
       WHERE job_id = ? AND id = ? AND dropped = 0`,
    )
    .get(jobId, id) as { samples: string; releaseS: number | null } | undefined;
  return row ? { samples: JSON.parse(row.samples) as TraceColumns, releaseS: row.releaseS } : null;
}

export const dropAim = (db: Db, id: number, dropped = true) =>
  db.prepare('UPDATE aim_shot SET dropped = ? WHERE id = ?').run(dropped ? 1 : 0, id);

/** Leaves a shot out with its reason, or takes it in again; what was said before, null where there is none. */
export function leaveOutAim(db: Db, jobId: string, id: number, reason: string): string | null {
  const before = db
    .prepare('SELECT left_out FROM aim_shot WHERE job_id = ? AND id = ? AND dropped = 0')
    .pluck()
    .get(jobId, id) as string | undefined;
  if (before === undefined) return null;
  db.prepare('UPDATE aim_shot SET left_out = ? WHERE id = ?').run(reason, id);
  return before;
}
