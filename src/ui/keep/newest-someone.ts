'use client';
import { useEffect, useState } from 'react';

interface OfSession {
  /** When the session began, UTC instant. */
  readonly since: string;
}

const KEY = 'waffenrad.someone';

function kept<S extends OfSession>(): S | null {
  try {
    return JSON.parse(window.localStorage.getItem(KEY) ?? 'null') as S | null;
  } catch {
    // Where nothing is kept, no page is kept either.
    return null;
  }
}

/** Who is at this tablet: of the page, or, where a page kept from before is older, of the newest session. */
export function useNewestSomeone<S extends OfSession>(ofPage: S): S {
  const [newest, put] = useState(ofPage);
  useEffect(() => {
    const known = kept<S>();
    if (known && known.since > ofPage.since) return put(known);
    put(ofPage);
    try {
      window.localStorage.setItem(KEY, JSON.stringify(ofPage));
    } catch {
      // As above.
    }
  }, [ofPage]);
  return newest.since < ofPage.since ? ofPage : newest;
}
