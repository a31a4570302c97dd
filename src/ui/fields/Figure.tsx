import Typography from '@mui/material/Typography';
import { writeParts, type QuantityName, type ShopUnits, type WriteOptions } from '@/core/units';
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
    <Typography variant="figure" className={className}>
      {parts.sign}
      {parts.whole}
      {parts.numerator !== null && (
        <>
          {parts.whole !== '' && <Thin />}
          <Fraction numerator={parts.numerator} denominator={parts.denominator!} />
        </>
      )}
      <span className={css.unit}> {parts.unit}</span>
    </Typography>
  );
}

const Thin = () => <span className={css.thin}> </span>;

/** Text that may hold figures: sets "27 3/8" in it with a true fraction. */
export function WithFractions({ text }: { text: string }) {
  return text.split(/(\d+ \d+\/\d+|\d+\/\d+)/).map((part, i) => {
    if (i % 2 === 0) return part;
    const [, whole, numerator, denominator] = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(part)!;
    return (
      <span key={i} className={css.whole}>
        {whole}
        {whole && <Thin />}
        <Fraction numerator={numerator!} denominator={denominator!} />
      </span>
    );
  });
}
