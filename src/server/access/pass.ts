import { refusalOf } from '@/core/people';
import type { Db } from '@/data/db';
import { peopleOf } from '@/data/people';
import { Problem } from '../problem';
import type { Asker } from './asker';
import type { Needs } from './routes';

/** What becomes of a request: it passes, is sent to sign in, or is refused. */
type Passage = 'passes' | 'signs-in' | Problem;

interface Asked {
  readonly needs: Needs;
  /** The server listens on this machine alone. */
  readonly onLoopback: boolean;
  readonly db: Db;
}

/** Whether who asks may have what they ask for. */
export function passage({ by }: Asker, { needs, onLoopback, db }: Asked): Passage {
  if (needs === 'anybody' || (needs === 'calculate' && onLoopback)) return 'passes';
  if (!by) return 'signs-in';
  const right = needs === 'calculate' ? 'look' : needs;
  if (by.rights.includes(right)) return 'passes';
  return mayNot(right, by.role, db);
}

/** Refused, with who can. */
export const mayNot = (
  right: Parameters<typeof refusalOf>[0],
  role: Parameters<typeof refusalOf>[1],
  db: Db,
): Problem =>
  new Problem(403, 'not-allowed', 'This asks for another role', {
    detail: refusalOf(right, role, peopleOf(db)),
    right,
  });
