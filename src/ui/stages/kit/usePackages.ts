'use client';
import { useCallback, useEffect, useState } from 'react';
import type { PackagePoint, PackagesAnswer } from '@/core/kit';
import { useJob } from '../../job/JobProvider';
import { post } from '../../keep/post';

interface AskedPackages {
  /** The newest there is; an older one stays in sight while it is asked anew. */
  readonly answer: PackagesAnswer | null;
  readonly points: readonly PackagePoint[];
  readonly asking: boolean;
  readonly trouble: string;
  readonly again: () => void;
}

/** Asked anew whenever the job changed; an answer that comes too late is not shown. */
export function usePackages(): AskedPackages {
  const { job } = useJob().snapshot;
  const [answer, setAnswer] = useState<PackagesAnswer | null>(null);
  const [points, setPoints] = useState<readonly PackagePoint[]>([]);
  const [asking, setAsking] = useState(true);
  const [trouble, setTrouble] = useState('');
  const [round, setRound] = useState(0);
  useEffect(() => {
    let late = false;
    const url = `/api/v1/jobs/${job.id}/packages`;
    setAsking(true);
    void post<PackagesAnswer>(url, {}).then(async (told) => {
      if (late) return;
      setAsking(false);
      setTrouble(told.ok ? '' : told.message);
      if (!told.ok) return;
      setAnswer(told.body);
      // What more money buys comes after, so that nobody waits for it.
      const more = await post<PackagePoint[]>(`${url}/frontier`, {});
      if (!late) setPoints(more.ok ? more.body : []);
    });
    return () => {
      late = true;
    };
  }, [job.id, job.version, round]);
  return { answer, points, asking, trouble, again: useCallback(() => setRound((n) => n + 1), []) };
}
