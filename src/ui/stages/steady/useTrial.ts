'use client';
import { useCallback } from 'react';
import { withDiscs, type Bars, type BarSet, type BarSide } from '@/core/balance';
import type { BowRecord } from '@/core/bow';
import type { BarsInStock } from '@/core/steady';
import { degree, mm } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import type { BarTurn } from '../../drawings/BarHandle';

/** The kind of disc a bar carries, or would. */
export function discFor(side: BarSide, set: BarSet, stock: BarsInStock) {
  if (set.discs) return set.discs;
  const thread = stock[side].find(({ id }) => id === set.bar.id)?.weightThread ?? null;
  return stock.discs.find((disc) => thread === null || disc.thread === thread) ?? null;
}

/** Bars as they are tried on the drawing, kept until they are mounted or put back. */
export function useTrial(mounted: Bars | null, usual: Bars, stock: BarsInStock, bow: BowRecord) {
  const { snapshot } = useJob();
  const name = `${snapshot.job.id}.${bow.id}.bars`;
  const { value, set, forget } = useKept<Bars | null>(name, () => null);
  const bars = value ?? mounted ?? usual;
  const turn = useCallback(
    (side: BarSide, { downDeg, sideDeg, slideMm, disc }: BarTurn) =>
      set((now) => {
        const all = now ?? bars;
        const own = all[side];
        if (!own) return all;
        const turned: BarSet = {
          ...own,
          ...(downDeg === undefined ? {} : { downDeg: degree(downDeg) }),
          ...(sideDeg === undefined ? {} : { sideDeg: degree(sideDeg) }),
          ...(slideMm === undefined ? {} : { slideMm: mm(slideMm) }),
        };
        if (!disc) return { ...all, [side]: turned };
        const kind = discFor(side, own, stock);
        const count = (own.discs?.count ?? 0) + disc;
        const other = all[side === 'front' ? 'rear' : 'front']?.discs;
        const there = stock.discs.find(({ id }) => id === kind?.id)?.count ?? 0;
        const used = other && other.id === kind?.id ? other.count : 0;
        if (!kind || count < 0 || count > own.bar.mostDiscs || count + used > there) return all;
        const { id, name: called, massG } = kind;
        return { ...all, [side]: withDiscs(turned, { id, name: called, massG }, count) };
      }),
    [bars, set, stock],
  );
  return {
    bars,
    isTried: value !== null && JSON.stringify(value) !== JSON.stringify(mounted),
    show: (next: Bars) => set(next),
    turn,
    putBack: forget,
  };
}
export type Trial = ReturnType<typeof useTrial>;
