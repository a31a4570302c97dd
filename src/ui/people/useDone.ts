'use client';
import { useState } from 'react';
import type { AuditLine } from '@/core/people';
import { askShop } from '../keep/ask-shop';
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

/** Lines of what was done: the page shown first, others as they are asked for. */
export function useDone(first: DonePage) {
  const [page, setPage] = useState(first);
  const [asked, setAsked] = useState<Asked>({ q: '', who: '', tablet: '', kind: '' });
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const fetchPage = async (wish: Asked, before: number | null, had: readonly AuditLine[]) => {
    setBusy(true);
    const query = new URLSearchParams({ ...wish, before: before === null ? '' : String(before) });
    const response = await askShop(`/api/v1/audit?${query.toString()}`).catch(() => null);
    setBusy(false);
    setTrouble(response?.ok ? '' : w.gone);
    if (!response?.ok) return;
    const next = (await response.json()) as DonePage;
    setPage({ ...next, lines: [...had, ...next.lines] });
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
