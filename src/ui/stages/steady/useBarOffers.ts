'use client';
import { useEffect, useState } from 'react';
import type { BarQuestion } from '@/core/steady';
import type { BarsSaid } from '@/workers/bars';

/**
 * Bars chosen from what there is, beside the screen; null until there are any. Those of before stand until
 * the new ones are there, a moment later: nothing jumps away under a finger.
 */
export function useBarOffers(question: BarQuestion): BarsSaid | null {
  const [said, setSaid] = useState<BarsSaid | null>(null);
  // What is asked is what counts, not the object it comes in.
  const asked = JSON.stringify(question);
  useEffect(() => {
    const worker = new Worker(new URL('../../../workers/bars.worker.ts', import.meta.url));
    worker.onmessage = ({ data }: MessageEvent<BarsSaid>) => setSaid(data);
    worker.postMessage(JSON.parse(asked));
    return () => worker.terminate();
  }, [asked]);
  return said;
}
