'use client';
import { useEffect, useRef, useState } from 'react';
import { isFinished, type JobStep } from '@/core/route';
import { post } from '../../keep/post';

const PREFIX = 'waffenrad.clock.';

function stored(key: string): number {
  try {
    return Number(window.sessionStorage.getItem(key)) || 0;
  } catch {
    return 0;
  }
}
function store(key: string, seconds: number | null): void {
  try {
    if (seconds === null) window.sessionStorage.removeItem(key);
    else window.sessionStorage.setItem(key, String(seconds));
  } catch {
    // Without storage the clock begins anew after an interruption.
  }
}

/**
 * Seconds this step has been worked on: runs by itself while the step is on the screen, stands
 * while another job or page is, and is told to the shop once the step is finished.
 *
 * @returns null for a step that was finished when it was opened.
 */
export function useStepClock(jobId: string, step: JobStep): number | null {
  const key = `${PREFIX}${jobId}.${step.id}`;
  const finished = isFinished(step);
  const [begun] = useState(!finished);
  const [seconds, setSeconds] = useState(0);
  const told = useRef(false);
  useEffect(() => {
    if (!begun || finished) return;
    setSeconds(stored(key));
    const timer = setInterval(() => {
      if (document.visibilityState !== 'visible') return;
      const next = stored(key) + 1;
      store(key, next);
      setSeconds(next);
    }, 1000);
    return () => clearInterval(timer);
  }, [begun, finished, key]);
  useEffect(() => {
    if (!begun || !finished || told.current) return;
    told.current = true;
    const taken = stored(key);
    store(key, null);
    // A step signed off without being done tells nothing about how long it takes.
    if (taken > 0 && step.state === 'done')
      void post(`/api/v1/jobs/${jobId}/times`, { stepId: step.id, seconds: taken });
  }, [begun, finished, key, jobId, step.id, step.state]);
  return begun ? seconds : null;
}
