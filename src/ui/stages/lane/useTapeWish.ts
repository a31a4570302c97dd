'use client';
import { useState } from 'react';
import type { TapeQuery } from '@/contracts/tape';
import { USUAL_TAPE } from '@/contracts/usual-tape';
import { jobTape, type TapeWish } from '@/core/job';
import { metresPer } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { draftOf, keepDraft } from '../../keep/draft';

type Wish = Omit<TapeQuery, 'format'>;
export type NumberKey =
  'stepMps' | 'from' | 'to' | 'lineMm' | 'widthMm' | 'ratio' | 'temperatureC' | 'heightM';

/** What is wished of a tape, as typed and as a number, and the tape that comes of it. */
export function useTapeWish() {
  const { snapshot, derived } = useJob();
  const { shop, job } = snapshot;
  const draft = `${job.id}.tape`;
  const [wish, put] = useState<Wish>(() =>
    startWish(draftOf(draft), shop.units.distance, job.furthestM),
  );
  const [typed, setTyped] = useState<Partial<Record<NumberKey, string>>>({});
  const change = (part: Partial<Wish>) => {
    const next = { ...wish, ...part };
    put(next);
    keepDraft(draft, JSON.stringify(next));
  };
  const answer = jobTape(snapshot, derived, wish as TapeWish);
  const final = derived.history.has('arrowSpeed');
  const link = (format: 'pdf' | 'svg') =>
    `/api/v1/jobs/${job.id}/tape?${new URLSearchParams(
      Object.entries({ format, ...wish }).map(([key, value]) => [key, String(value)]),
    ).toString()}`;
  return {
    wish,
    change,
    answer,
    final,
    link,
    /** What stands in a number's field, and whether it can be read. */
    textOf: (key: NumberKey) => typed[key] ?? String(wish[key]),
    isWrong: (key: NumberKey) => typed[key] !== undefined && asNumber(typed[key]) === null,
    type: (key: NumberKey, text: string) => {
      setTyped({ ...typed, [key]: text });
      const value = asNumber(text);
      if (value !== null) change({ [key]: value });
    },
  };
}

const asNumber = (text: string): number | null => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) ? value : null;
};

/** As it was left; else by the shop's unit, to the furthest distance wanted. */
function startWish(kept: string, unit: 'm' | 'yd', furthestM: number | null): Wish {
  const { format: _format, ...usual } = USUAL_TAPE;
  const far = Math.ceil((furthestM ?? 60) / metresPer(unit) / 5) * 5;
  const start = { ...usual, unit, to: Math.max(30, Math.min(120, far)) };
  if (kept === '') return start;
  try {
    return { ...start, ...(JSON.parse(kept) as Partial<Wish>) };
  } catch {
    return start;
  }
}
