/** A piece of a text: words, or a number with its fraction taken apart. */
type FractionRun =
  | { readonly kind: 'words'; readonly text: string }
  | {
      readonly kind: 'fraction';
      /** Empty where the fraction stands alone. */
      readonly whole: string;
      readonly numerator: string;
      readonly denominator: string;
    };

/**
 * The one form of a fraction wherever it is set, in em of the text around it: how large its digits
 * are, how far they stand above and below the line, how far the slash is drawn in, and the gaps after
 * the whole number and before the unit.
 */
export const FRACTION_SHAPE = {
  digits: 0.64,
  raise: 0.27,
  drop: 0.04,
  kern: 0.1,
  gap: 0.11,
  unitGap: 0.2,
} as const;

const FRACTION = /(\d+ \d+\/\d+|\d+\/\d+)/;

/** "set to 27 3/8 in" as words, the number with its fraction, words; in order, nothing lost. */
export function fractionRuns(text: string): FractionRun[] {
  return text
    .split(FRACTION)
    .map((part, i): FractionRun => {
      if (i % 2 === 0) return { kind: 'words', text: part };
      const [, whole = '', numerator = '', denominator = ''] =
        /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(part) ?? [];
      return { kind: 'fraction', whole, numerator, denominator };
    })
    .filter((run) => run.kind === 'fraction' || run.text !== '');
}
