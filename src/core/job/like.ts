import { bowName, type BowRecord } from '../bow';
import { setupValue, type Likeness } from '../setup';
import type { Job } from './types';
import type { ModelBow } from './model-bow';

/** The same kind of bow: name and hand agree. What is not named is not the same. */
export const isSameBow = ({ bow: { name, hand } }: ModelBow, bow: BowRecord | null): boolean =>
  bow !== null && name !== null && bowName(bow) === name && bow.hand === hand;

/**
 * What a job takes over of the bow it is made like. What the technician set for this job stands over it;
 * the weight has a goal of its own.
 *
 * @returns null where the job is made like none.
 */
export function likenessOf(
  { like, moduleStepMm }: Pick<Job, 'like' | 'moduleStepMm'>,
  bow: BowRecord | null,
): Likeness | null {
  if (!like) return null;
  const sameBow = isSameBow(like, bow);
  const holds: Partial<Record<string, number>> = {};
  const starts: Partial<Record<string, number>> = {};
  for (const { key, si } of like.values) {
    const { carries } = setupValue(key);
    if (si === null || carries === undefined || key === 'peakWeight') continue;
    if (moduleStepMm !== null && (key === 'moduleTop' || key === 'moduleBottom')) continue;
    if (carries === 'start') starts[key] = si;
    else if (carries === 'always' || sameBow) holds[key] = si;
  }
  return { title: like.title, sameBow, holds, starts };
}

/** A number the model tells; null where it does not. */
export const modelNumber = (like: ModelBow | null, key: string): number | null =>
  like?.values.find((value) => value.key === key)?.si ?? null;
