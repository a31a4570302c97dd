import {
  fractionRuns,
  writeParts,
  type QuantityName,
  type ShopUnits,
  type WriteOptions,
} from '@/core/units';
import { Text } from '../pieces/Text';
import { Fraction } from './Fraction';
import css from './fraction.module.css';

/** A figure set as the trade writes it: true fractions, tabular digits, quiet unit. */
export function Figure({
  si,
  quantity,
  shop,
  options,
  className,
}: {
  si: number;
  quantity: QuantityName;
  shop: ShopUnits;
  options?: WriteOptions;
  className?: string | undefined;
}) {
  const parts = writeParts(si, quantity, shop, options);
  return (
    <Text variant="figure" className={className}>
      {parts.sign}
      {parts.whole}
      {parts.numerator !== null && (
        <>
          {parts.whole !== '' && <Gap />}
          <Fraction numerator={parts.numerator} denominator={parts.denominator!} />
        </>
      )}
      <span className={css.unitGap}> </span>
      <span className={css.unit}>{parts.unit}</span>
    </Text>
  );
}

/** The thin space between a whole number and its fraction. */
const Gap = () => <span className={css.gap}> </span>;

/** Text that may hold figures: sets "27 3/8" in it with a true fraction. */
export const WithFractions = ({ text }: { text: string }) =>
  fractionRuns(text).map((run, i) =>
    run.kind === 'words' ? (
      run.text
    ) : (
      <span key={i} className={css.whole}>
        {run.whole}
        {run.whole && <Gap />}
        <Fraction numerator={run.numerator} denominator={run.denominator} />
      </span>
    ),
  );
