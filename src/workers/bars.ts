import { barOffers, type BarOffers, type BarQuestion } from '@/core/steady';

export type BarsSaid =
  | { readonly say: 'offers'; readonly offers: BarOffers }
  | { readonly say: 'refused'; readonly reason: string; readonly message: string };

const isQuestion = (data: unknown): data is BarQuestion =>
  typeof data === 'object' &&
  data !== null &&
  typeof (data as BarQuestion).bow === 'object' &&
  typeof (data as BarQuestion).stock === 'object' &&
  Number.isFinite((data as BarQuestion).massLimitG);

/** Chooses bars from what there is. */
export function offerBars(data: unknown): BarsSaid {
  if (!isQuestion(data))
    return {
      say: 'refused',
      reason: 'no-question',
      message: 'That is nothing to choose bars for.',
    };
  const found = barOffers(data);
  return found.ok
    ? { say: 'offers', offers: found }
    : { say: 'refused', reason: found.reason, message: found.message };
}
