import type { Quote, QuoteLine } from './types';

/** The work of a quote: its steps, and what they take and cost together. */
export interface QuoteWork {
  readonly steps: readonly QuoteLine[];
  readonly minutes: number;
  readonly cents: number;
}

/** A quote's lines as they are shown: goods one by one, the work in one sum with its steps. */
export function quoteParts({ lines }: Pick<Quote, 'lines'>): {
  readonly goods: readonly QuoteLine[];
  readonly work: QuoteWork;
} {
  const steps = lines.filter(({ kind }) => kind === 'labour');
  return {
    goods: lines.filter(({ kind }) => kind !== 'labour'),
    work: {
      steps,
      minutes: steps.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0),
      cents: steps.reduce((sum, { cents }) => sum + cents, 0),
    },
  };
}
