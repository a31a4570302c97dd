import type { CurvePoint, LoggedCurve } from '@/core/bow';
import type { Db } from './db';

interface CurveRow extends Omit<LoggedCurve, 'points'> {
  readonly points: string;
}

const SELECT = `SELECT id, bow_id AS bowId, points_json AS points, source, who, at
  FROM draw_curve WHERE dropped = 0`;

const fromRow = (row: unknown): LoggedCurve => {
  const { points, ...rest } = row as CurveRow;
  return { ...rest, points: JSON.parse(points) as CurvePoint[] };
};

/** Adds a curve and returns its number. */
export function insertCurve(db: Db, jobId: string, curve: Omit<LoggedCurve, 'id'>): number {
  const { bowId, points, source, who, at } = curve;
  return Number(
    db
      .prepare(
        `INSERT INTO draw_curve (bow_id, job_id, points_json, source, who, at)
         VALUES (?, ?, ?, ?, ?, ?)`,
      )
      .run(bowId, jobId, JSON.stringify(points), source, who, at).lastInsertRowid,
  );
}

export const dropCurve = (db: Db, id: number, dropped = true) =>
  db.prepare('UPDATE draw_curve SET dropped = ? WHERE id = ?').run(dropped ? 1 : 0, id);

/** Of one bow, oldest first. */
export const curvesOf = (db: Db, bowId: string): LoggedCurve[] =>
  db.prepare(`${SELECT} AND bow_id = ? ORDER BY id`).all(bowId).map(fromRow);

/** The newest of every bow. */
export const newestCurves = (db: Db): LoggedCurve[] =>
  db
    .prepare(
      `${SELECT} AND id IN (SELECT max(id) FROM draw_curve WHERE dropped = 0 GROUP BY bow_id)`,
    )
    .all()
    .map(fromRow);
