import type { Payment } from '@/core/job';
import type { Db } from './db';

/** Payments of a job that stand, oldest first. */
export const paymentsOf = (db: Db, jobId: string): Payment[] =>
  db
    .prepare(
      'SELECT id, at, who, kind, cents, way FROM payment WHERE job_id = ? AND dropped = 0 ORDER BY id',
    )
    .all(jobId) as Payment[];

/** Adds one and returns its number. */
export const insertPayment = (db: Db, jobId: string, payment: Omit<Payment, 'id'>): number =>
  Number(
    db
      .prepare(
        'INSERT INTO payment (job_id, at, who, kind, cents, way) VALUES (@jobId, @at, @who, @kind, @cents, @way)',
      )
      .run({ jobId, ...payment }).lastInsertRowid,
  );

export const dropPayment = (db: Db, id: number, dropped = true) =>
  db.prepare('UPDATE payment SET dropped = ? WHERE id = ?').run(dropped ? 1 : 0, id);
