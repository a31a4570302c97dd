'use client';
import { useState } from 'react';
import type { BarSet, BarSide } from '@/core/balance';
import type { BowRecord } from '@/core/bow';
import type { CatalogueItem } from '@/core/kit';
import { threadsOf } from '@/core/steady';
import { useJob } from '../../job/JobProvider';
import type { Trial } from './useTrial';

const SLOT_OF: Readonly<Record<BarSide, 'stabiliser' | 'rearBar'>> = {
  front: 'stabiliser',
  rear: 'rearBar',
};

/** Notes the bars that were tried as mounted; what the kit does not hold yet comes into it first. */
export function useMounting(bow: BowRecord, items: readonly CatalogueItem[], trial: Trial) {
  const { derived, send } = useJob();
  const [mounting, setMounting] = useState(false);
  const [trouble, setTrouble] = useState('');
  const { front, rear } = trial.bars;
  const wanted = (set: BarSet | null) => {
    if (!set) return null;
    const thread = threadsOf(bow).threads.findIndex(
      ({ spot, at }) => spot === set.spot && at.upMm === set.at.upMm,
    );
    return {
      thread: Math.max(0, thread),
      barId: set.bar.id!,
      mountId: set.mount?.id ?? null,
      downDeg: set.downDeg,
      sideDeg: set.sideDeg,
      slideMm: set.slideMm,
      discId: set.discs?.id ?? null,
      discs: set.discs?.count ?? 0,
    };
  };
  const missing = () => {
    const ids = [
      [SLOT_OF.front, front?.bar.id],
      [SLOT_OF.rear, rear?.bar.id],
      ['barMount', rear?.mount?.id ?? front?.mount?.id],
      ['weights', front?.discs?.id ?? rear?.discs?.id],
    ] as const;
    return ids.flatMap(([slot, id]) =>
      id && !id.startsWith('own:') && derived.kit[slot]?.item?.id !== id ? [id] : [],
    );
  };
  const mount = async () => {
    setMounting(true);
    setTrouble('');
    const itemIds = missing();
    const inStock = itemIds.filter((id) => (items.find((item) => item.id === id)?.stock ?? 0) > 0);
    const kept =
      itemIds.length > 0
        ? await send({ name: 'choosePackage', itemIds, fromStock: inStock })
        : null;
    const answer =
      kept ?? (await send({ name: 'mountBars', front: wanted(front), rear: wanted(rear) }));
    setMounting(false);
    setTrouble(answer?.message ?? '');
    if (!answer) trial.putBack();
  };
  return { mount, mounting, trouble };
}
