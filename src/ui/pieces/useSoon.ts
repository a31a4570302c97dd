'use client';
import { startTransition, useEffect, useState } from 'react';

/**
 * How much of a long list is drawn: its first part at once, where it is seen, the rest as soon as the
 * page is there. The server, which draws one page after another for everybody, draws the first part alone.
 */
export function useSoon(total: number, first: number): number {
  const [all, setAll] = useState(false);
  useEffect(() => startTransition(() => setAll(true)), []);
  return all ? total : Math.min(total, first);
}
