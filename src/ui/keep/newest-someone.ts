'use client';
import { useEffect, useState } from 'react';
import { useConnected } from './connection';
import { keepSomeone, someoneKept } from './door-events';

interface OfSession {
  /** When the session began, UTC instant. */
  readonly since: string;
}

/**
 * Who is at this tablet: of the page; without a connection, where the page is one kept from before, of the newest
 * session there was.
 */
export function useNewestSomeone<S extends OfSession>(ofPage: S): S {
  const connected = useConnected();
  const [newest, put] = useState<S | null>(null);
  useEffect(() => {
    const known = someoneKept<S>();
    if (!known || known.since <= ofPage.since) keepSomeone(ofPage);
    put(!connected && known && known.since > ofPage.since ? known : null);
  }, [ofPage, connected]);
  return newest ?? ofPage;
}
