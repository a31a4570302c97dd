'use client';
import { useCallback, useRef } from 'react';

/**
 * Of several questions on their way the newest alone counts, whatever order the answers come in. Each call begins one,
 * and gives what tells whether it still is the newest.
 */
export function useNewest(): () => () => boolean {
  const asked = useRef(0);
  return useCallback(() => {
    const mine = ++asked.current;
    return () => mine === asked.current;
  }, []);
}
