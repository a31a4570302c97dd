'use client';
import { useEffect, useState } from 'react';
import type { AimShot } from '@/core/hold';
import { useJob } from '../../job/JobProvider';
import { askShop } from '../../keep/ask-shop';

/** Aimed shots of the job, fetched anew with every entry; null until they are there. */
export function useAims(): readonly AimShot[] | null {
  const { snapshot } = useJob();
  const { id, version } = snapshot.job;
  const [shots, setShots] = useState<readonly AimShot[] | null>(null);
  useEffect(() => {
    let isOld = false;
    void askShop(`/api/v1/jobs/${id}/aims`)
      .then((answer) => (answer.ok ? (answer.json() as Promise<AimShot[]>) : null))
      // Without a connection what is shown stays.
      .catch(() => null)
      .then((got) => {
        if (!isOld && got) setShots(got);
      });
    return () => {
      isOld = true;
    };
  }, [id, version]);
  return shots;
}
