import type { AuditKind, By } from '@/core/people';
import { addAudit } from '@/data/audit';
import { db, type Db } from '@/data/db';
import { nowIso } from '../clock';

/** Longer details are cut: what was done is told, not kept a second time. */
const MOST_DETAIL = 4000;

/** Writes down who did what from where; nothing of it is changed afterwards. */
export function note(
  by: Pick<By, 'name' | 'tablet'>,
  kind: AuditKind,
  what: string,
  { detail = null, on = db() }: { readonly detail?: unknown; readonly on?: Db } = {},
): void {
  const text = JSON.stringify(detail);
  addAudit(on, {
    at: nowIso(),
    who: by.name,
    tablet: by.tablet,
    kind,
    what,
    detail: text.length > MOST_DETAIL ? { cut: text.slice(0, MOST_DETAIL) } : detail,
  });
}

/** Does it and writes it down in one: either both stand afterwards or neither. */
export function noted<T>(
  by: Pick<By, 'name' | 'tablet'>,
  kind: AuditKind,
  what: string | ((done: T) => string),
  work: () => T,
  detail: unknown = null,
): T {
  const on = db();
  return on
    .transaction(() => {
      const done = work();
      note(by, kind, typeof what === 'string' ? what : what(done), { detail, on });
      return done;
    })
    .immediate();
}
