import type { QuoteHead } from '@/core/job';
import type { Quote } from '@/core/quote';
import type { Db } from './db';

export const insertQuote = (db: Db, jobId: string, quote: Quote) =>
  db
    .prepare('INSERT INTO quote VALUES (?, ?, ?, ?, ?)')
    .run(jobId, quote.revision, quote.madeAt, quote.madeBy, JSON.stringify(quote));

/** The quotes given for a job, newest first. */
export const quotesOf = (db: Db, jobId: string): QuoteHead[] =>
  db
    .prepare(
      `SELECT revision, at, who, document_json ->> 'totalCents' AS totalCents,
              document_json ->> 'validUntil' AS validUntil
       FROM quote WHERE job_id = ? ORDER BY revision DESC`,
    )
    .all(jobId) as QuoteHead[];

/** A quote as it was given; null for an unknown job or revision. */
export function quoteById(db: Db, jobId: string, revision: number): Quote | null {
  const text = db
    .prepare('SELECT document_json FROM quote WHERE job_id = ? AND revision = ?')
    .pluck()
    .get(jobId, revision) as string | undefined;
  return text === undefined ? null : (JSON.parse(text) as Quote);
}
