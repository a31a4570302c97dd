import type { Db } from './db';

/** A visit somebody put at a time. */
interface VisitPin {
  readonly jobId: string;
  /** First step of the visit. */
  readonly stepId: string;
  /** UTC instant. */
  readonly startsAt: string;
  readonly who: string;
}

export const allPins = (db: Db): VisitPin[] =>
  db
    .prepare(
      'SELECT job_id AS jobId, step_id AS stepId, starts_at AS startsAt, who FROM visit_pin ORDER BY starts_at',
    )
    .all() as VisitPin[];

export const putPin = (db: Db, pin: VisitPin) =>
  db
    .prepare(
      `INSERT INTO visit_pin (job_id, step_id, starts_at, who) VALUES (@jobId, @stepId, @startsAt, @who)
       ON CONFLICT (job_id, step_id) DO UPDATE SET starts_at = excluded.starts_at, who = excluded.who`,
    )
    .run(pin);

export const dropPin = (db: Db, jobId: string, stepId: string) =>
  db.prepare('DELETE FROM visit_pin WHERE job_id = ? AND step_id = ?').run(jobId, stepId);
