'use client';
import { useEffect, useState } from 'react';
import { askShop } from '../keep/ask-shop';

export interface Found {
  readonly jobId: string;
  readonly number: number;
  readonly archerId: string;
  readonly name: string;
  readonly about: string;
}

/** Jobs that answer to a text; null while nothing was asked or the answer is under way. */
export function useFind(text: string): readonly Found[] | null {
  const [answer, setAnswer] = useState<{ text: string; found: readonly Found[] } | null>(null);
  const asked = text.trim();
  useEffect(() => {
    if (asked === '') return;
    const gone = new AbortController();
    const timer = setTimeout(() => {
      askShop(`/api/v1/find?q=${encodeURIComponent(asked)}`, { signal: gone.signal })
        .then((response) => (response.ok ? (response.json() as Promise<Found[]>) : []))
        .then((found) => setAnswer({ text: asked, found }))
        .catch(() => undefined);
    }, 120);
    return () => {
      clearTimeout(timer);
      gone.abort();
    };
  }, [asked]);
  return answer && answer.text === asked ? answer.found : null;
}
