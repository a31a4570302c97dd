import Papa from 'papaparse';
import { AUDIT_KINDS, type AuditKind, type AuditLine } from '@/core/people';
import { FORMULA } from '@/contracts/csv';
import { auditLines, auditPage } from '@/data/audit';
import { db, type Db } from '@/data/db';
import { invalid } from '../problem';
import { wordOf } from '../query';

const AT_ONCE = 50;
const MOST_LETTERS = 200;

interface AuditPage {
  readonly lines: readonly AuditLine[];
  /** Where to look further back; null where nothing is left. */
  readonly next: number | null;
}

/** A page of what was done, as an address asks for it. */
export function auditOf(params: URLSearchParams, from: Db = db()): AuditPage {
  const text = (name: string) => (params.get(name) ?? '').trim().slice(0, MOST_LETTERS);
  const before = text('before');
  if (before !== '' && !/^[1-9]\d{0,14}$/.test(before))
    throw invalid([{ pointer: '/before', detail: 'is the number of a line' }]);
  const kind = params.get('kind') ?? '';
  return auditPage(
    from,
    {
      words: text('q'),
      who: text('who'),
      tablet: text('tablet'),
      kind: kind === '' ? '' : wordOf(params, 'kind', KINDS),
      before: before === '' ? null : Number(before),
    },
    AT_ONCE,
  );
}

const KINDS = AUDIT_KINDS.map(({ id }) => id) as [AuditKind, ...AuditKind[]];

const nameOf = (kind: AuditKind) => AUDIT_KINDS.find(({ id }) => id === kind)!.name;

/** Every line as CSV, the oldest first; made in a thread, it may be a long one. */
export function auditFile(from: Db = db()): string {
  const rows = [...auditLines(from)].map(({ at, who, tablet, kind, what, job }) => ({
    at,
    who,
    tablet,
    kind: nameOf(kind),
    ticket: job?.number ?? '',
    what,
  }));
  const fields = ['at', 'who', 'tablet', 'kind', 'ticket', 'what'];
  return `${Papa.unparse({ fields, data: rows }, { newline: '\n', escapeFormulae: FORMULA })}\n`;
}
