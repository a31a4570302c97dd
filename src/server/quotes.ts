import type { Quote } from '@/core/quote';
import { db, type Db } from '@/data/db';
import { quoteById } from '@/data/quotes';
import { notFound } from './problem';

/** A quote as it was given; null for an unknown job or revision. */
export function findQuote(jobId: string, revision: string, from: Db = db()): Quote | null {
  const number = /^[1-9]\d{0,5}$/.test(revision) ? Number(revision) : 0;
  return number > 0 ? quoteById(from, jobId, number) : null;
}

/** The same, for the interface: an unknown one is a problem. */
export function loadQuote(jobId: string, revision: string, from: Db = db()): Quote {
  const found = findQuote(jobId, revision, from);
  if (!found) throw notFound('quote');
  return found;
}
