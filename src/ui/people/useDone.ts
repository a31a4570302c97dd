'use client';
import { useState } from 'react';
import type { AuditLine } from '@/core/people';
import { askShop } from '../keep/ask-shop';
import { useNewest } from '../keep/useNewest';
import { doneWords as w } from '../words';

export interface DonePage {
  readonly lines: readonly AuditLine[];
  readonly next: number | null;
}

interface Asked {
  readonly q: string;
  readonly who: string;
  readonly tablet: string;
  readonly kind: string;
}

/** So often it looks further back by itself: a shop's year. */
const MOST_ROUNDS = 25;

/** Lines of what was done: the page shown first, others as they are asked for. */
export function useDone(first: DonePage) {
  const [page, setPage] = useState(first);
  const [asked, setAsked] = useState<Asked>({ q: '', who: '', tablet: '', kind: '' });
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const begins = useNewest();
  const fetchPage = async (wish: Asked, before: number | null, had: readonly AuditLine[]) => {
    const isNewest = begins();
    setBusy(true);
    let from = before;
    for (let round = 1; ; round++) {
      const query = new URLSearchParams({ ...wish, before: from === null ? '' : String(from) });
      const response = await askShop(`/api/v1/audit?${query.toString()}`).catch(() => null);
      const found = response?.ok ? ((await response.json()) as DonePage) : null;
      // Something else was asked meanwhile: its own answer is on its way.
      if (!isNewest()) return;
      setTrouble(found ? '' : w.gone);
      if (!found) break;
      setPage({ ...found, lines: [...had, ...found.lines] });
      // Words are looked for in some lines at a time: further back by itself, others served between.
      if (found.lines.length > 0 || found.next === null || round === MOST_ROUNDS) break;
      from = found.next;
    }
    setBusy(false);
  };
  const begin = (wish: Asked) => {
    setAsked(wish);
    void fetchPage(wish, null, []);
  };
  return {
    ...page,
    asked,
    busy,
    trouble,
    set: (part: Partial<Asked>) => begin({ ...asked, ...part }),
    look: (q: string) => begin({ ...asked, q }),
    more: () => void fetchPage(asked, page.next, page.lines),
  };
}
