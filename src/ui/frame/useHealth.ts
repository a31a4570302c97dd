'use client';
import { useEffect, useState } from 'react';

interface Health {
  readonly title: string;
  readonly detail: string;
}

/** What is wrong with the shop’s file, asked once; null while it is well or nobody answers. */
export function useHealth(): Health | null {
  const [sick, setSick] = useState<Health | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    fetch('/api/v1/health', { signal: gone.signal })
      .then(async (response) => {
        if (response.status === 503) setSick((await response.json()) as Health);
      })
      // Not connected: the page says so elsewhere.
      .catch(() => undefined);
    return () => gone.abort();
  }, []);
  return sick;
}
