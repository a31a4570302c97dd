'use client';
import { useMemo } from 'react';
import type { BowRecord } from '@/core/bow';
import { jobBalance } from '@/core/job';
import { useJob } from '../../job/JobProvider';

/** The balance of the job’s bow, worked out once a change. */
export function useBalance(bow: BowRecord) {
  const { snapshot, derived } = useJob();
  return useMemo(() => jobBalance(snapshot, derived, bow), [snapshot, derived, bow]);
}
