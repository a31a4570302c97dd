import type { By } from '@/core/people';
import { Problem } from '../problem';

/** Who asks, as the gate found out before the application is asked. */
export interface Asker {
  /** Null while nobody is signed in. */
  readonly by: By | null;
  readonly personId: string | null;
  /** Of the session: what is sent later says by it who made it. It lets nobody in. Empty where nobody is signed in. */
  readonly mark: string;
  /** When that session began; empty where nobody is signed in. */
  readonly since: string;
  /** Null where the browser is not known here. */
  readonly tablet: { readonly id: string; readonly name: string } | null;
  /** It sits at the machine the shop runs on. */
  readonly atMachine: boolean;
  /** Reached by TLS: cookies are sent no other way. */
  readonly secured: boolean;
  readonly address: string;
  /** An owner can sign in: the shop was opened. */
  readonly opened: boolean;
}

/** Set by the gate alone; what a request brings of it is taken off there. */
export const ASKER = 'x-waffenrad-asker';

export const writeAsker = (asker: Asker): string => encodeURIComponent(JSON.stringify(asker));

interface HasHeaders {
  readonly headers: { get(name: string): string | null };
}

/** Null where the gate did not stand before it: nobody is served so. */
export function askerIn({ headers }: HasHeaders): Asker | null {
  const header = headers.get(ASKER);
  return header === null ? null : (JSON.parse(decodeURIComponent(header)) as Asker);
}

export const signedOut = (wrote = true) =>
  new Problem(401, 'signed-out', 'Nobody is signed in here', {
    detail: wrote
      ? 'Not saved: the tablet is locked. Sign in, then take it again; what was typed stays.'
      : 'Nobody is signed in here: sign in first.',
  });

export function askerOf(request: HasHeaders): Asker {
  const asker = askerIn(request);
  if (!asker) throw signedOut();
  return asker;
}

/** Who makes the entry: of the session, never of what was sent. */
export function byOf(request: HasHeaders): By {
  const { by } = askerOf(request);
  if (!by) throw signedOut();
  return by;
}
