'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { draftOf, keepDraft } from './draft';

interface Kept<T> {
  readonly value: T;
  readonly set: (next: T | ((now: T) => T)) => void;
  /** It was taken, or is not wanted: back to how it began. */
  readonly forget: () => void;
  /** It was taken: kept no longer, and left standing. */
  readonly settled: () => void;
  /** It stood here from before: reload, Back, another screen. */
  readonly found: boolean;
}

/**
 * State of a form that outlives it: kept on this screen under this name until it is forgotten, over
 * reload, Back and Esc.
 *
 * @param initial how it begins; read once.
 */
export function useKept<T>(name: string, initial: () => T): Kept<T> {
  const start = useRef(initial);
  const [value, put] = useState(initial);
  const [found, setFound] = useState(false);
  // What was set last, drawn or not yet: what is set next builds on it.
  const newest = useRef(value);
  // After the first drawing: the server, which draws it first, knows of no drafts.
  useEffect(() => {
    const kept = draftOf(name);
    if (kept === '') return;
    try {
      newest.current = JSON.parse(kept) as T;
      put(newest.current);
      setFound(true);
    } catch {
      // Written by an older screen: no draft of this form.
      keepDraft(name, '');
    }
  }, [name]);
  const set = useCallback(
    (next: T | ((now: T) => T)) => {
      const then = typeof next === 'function' ? (next as (now: T) => T)(newest.current) : next;
      newest.current = then;
      keepDraft(name, JSON.stringify(then));
      put(then);
    },
    [name],
  );
  const forget = useCallback(() => {
    keepDraft(name, '');
    setFound(false);
    newest.current = start.current();
    put(newest.current);
  }, [name]);
  const settled = useCallback(() => {
    keepDraft(name, '');
    setFound(false);
  }, [name]);
  return { value, set, forget, settled, found };
}
