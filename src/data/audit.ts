import type { AuditKind, AuditLine } from '@/core/people';
import type { Db } from './db';

interface NewLine {
  readonly at: string;
  readonly who: string;
  readonly tablet: string;
  readonly kind: AuditKind;
  readonly what: string;
  /** What was sent, where that says more. */
  readonly detail?: unknown;
}

export const addAudit = (db: Db, { detail = null, ...line }: NewLine): void =>
  void db
    .prepare(
      `INSERT INTO audit (at, who, tablet, kind, what, detail_json)
       VALUES (@at, @who, @tablet, @kind, @what, @detail)`,
    )
    .run({ ...line, detail: JSON.stringify(detail) });

interface AuditQuery {
  readonly words: string;
  readonly who: string;
  readonly tablet: string;
  readonly kind: AuditKind | '';
  /** Only lines before this one; null from the newest on. */
  readonly before: number | null;
}

interface Page {
  readonly lines: readonly AuditLine[];
  /** Where to look further back; null where nothing is left. */
  readonly next: number | null;
}

/** So many lines are looked through for words in one go, a shop's fortnight: more would hold the server's thread. */
const LOOKED_THROUGH = 2000;

interface Row extends Omit<AuditLine, 'job' | 'detail'> {
  readonly detail: string;
  readonly jobId: string | null;
  readonly number: number | null;
}

const toLine = ({ jobId, number, detail, ...line }: Row): AuditLine => ({
  ...line,
  detail: JSON.parse(detail) as unknown,
  job: jobId === null ? null : { id: jobId, number: number! },
});

const LINE = `audit.id, audit.at, audit.who, audit.tablet, audit.kind, audit.detail_json AS detail,
  CASE WHEN event_id IS NULL THEN what ELSE coalesce(job_event.summary, '') END AS what,
  job.id AS jobId, job.number AS number`;
const JOINS = `LEFT JOIN job_event ON job_event.id = audit.event_id
  LEFT JOIN job ON job.id = job_event.job_id`;

/** Every line, the oldest first. */
export function* auditLines(db: Db): Iterable<AuditLine> {
  const rows = db.prepare(`SELECT ${LINE} FROM audit ${JOINS} ORDER BY audit.id`).iterate();
  for (const row of rows) yield toLine(row as Row);
}

/**
 * A page of what was done, newest first. Words are looked for in so many lines at a time; a page may come back
 * with fewer lines than asked, or none, and still say where to look on.
 */
export function auditPage(db: Db, query: AuditQuery, limit: number): Page {
  const { words, who, tablet, kind, before } = query;
  const conditions = [
    before === null ? '' : 'audit.id < @before',
    who ? 'audit.who = @who' : '',
    tablet ? 'audit.tablet = @tablet' : '',
    kind ? 'audit.kind = @kind' : '',
  ].filter(Boolean);
  const where = conditions.length > 0 ? `WHERE ${conditions.join(' AND ')}` : '';
  const rows = db
    .prepare(
      `SELECT ${LINE} FROM (SELECT * FROM audit ${where} ORDER BY id DESC LIMIT @most) AS audit
       ${JOINS} ORDER BY audit.id DESC`,
    )
    .iterate({ who, tablet, kind, before, most: words ? LOOKED_THROUGH : limit + 1 });
  const wanted = words.toLowerCase();
  const lines: AuditLine[] = [];
  let seen = 0;
  let last: number | null = null;
  for (const row of rows as IterableIterator<Row>) {
    if (lines.length === limit) return { lines, next: last };
    seen++;
    last = row.id;
    const text = `${row.what} ${row.who} ${row.tablet} ${row.number ?? ''}`.toLowerCase();
    if (text.includes(wanted)) lines.push(toLine(row));
  }
  return { lines, next: words && seen === LOOKED_THROUGH ? last : null };
}
