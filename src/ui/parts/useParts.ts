'use client';
import { useCallback, useEffect, useState } from 'react';
import type { AnyPart, PartKind } from '@/core/kit';
import { askShop } from '../keep/ask-shop';

export const PAGE_SIZE = 50;
/** A word is looked for when the fingers rest. */
const REST_MS = 150;

export interface FoundParts {
  readonly parts: readonly AnyPart[];
  readonly count: number;
  readonly asking: boolean;
  readonly failed: boolean;
  readonly again: () => void;
  /** Puts a part saved just now in place of the one shown. */
  readonly put: (part: AnyPart) => void;
}

/** One page of the shop's parts. */
export function useParts({
  text,
  kind,
  page,
}: {
  text: string;
  kind: PartKind | null;
  page: number;
}): FoundParts {
  const [found, setFound] = useState<{ parts: readonly AnyPart[]; count: number }>({
    parts: [],
    count: 0,
  });
  const [asking, setAsking] = useState(true);
  const [failed, setFailed] = useState(false);
  const [round, setRound] = useState(0);
  useEffect(() => {
    const stop = new AbortController();
    const timer = setTimeout(() => {
      setAsking(true);
      const query = new URLSearchParams({
        q: text,
        limit: String(PAGE_SIZE),
        offset: String(page * PAGE_SIZE),
        ...(kind === null ? {} : { kind }),
      });
      askShop(`/api/v1/shop/parts?${query.toString()}`, { signal: stop.signal })
        .then((response) => (response.ok ? response.json() : Promise.reject(new Error())))
        .then((body: { parts: AnyPart[]; count: number }) => {
          setFound(body);
          setFailed(false);
          setAsking(false);
        })
        .catch(() => {
          if (stop.signal.aborted) return;
          setFailed(true);
          setAsking(false);
        });
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text, kind, page, round]);
  return {
    ...found,
    asking,
    failed,
    again: useCallback(() => setRound((n) => n + 1), []),
    put: useCallback(
      (part) =>
        setFound(({ parts, count }) => ({
          count,
          parts: parts.map((other) => (other.id === part.id ? part : other)),
        })),
      [],
    ),
  };
}
