'use client';
import { useEffect, useRef, useState } from 'react';
import { draftOf, keepDraft } from './draft';

/**
 * A text that outlives its field: kept under this name until it is emptied, also when another screen or
 * another job comes between. `onFound` is told of what was found there, as if it had just been typed.
 */
export function useDraft(
  name: string,
  onFound?: (text: string) => void,
): readonly [string, (text: string) => void] {
  const [text, put] = useState('');
  const found = useRef(onFound);
  useEffect(() => {
    found.current = onFound;
  });
  // After the first drawing: the server, which draws it first, knows of no drafts.
  useEffect(() => {
    const kept = draftOf(name);
    put(kept);
    if (kept !== '') found.current?.(kept);
  }, [name]);
  return [
    text,
    (next) => {
      put(next);
      keepDraft(name, next);
    },
  ];
}
