import { writeParts, type QuantityName, type ShopUnits, type WriteOptions } from '@/core/units';
import { Fraction } from './Fraction';

/** A figure set as the trade writes it: true fractions, tabular digits, quiet unit. */
export function Figure({
  si,
  quantity,
  shop,
  options,
  className = '',
}: {
  si: number;
  quantity: QuantityName;
  shop: ShopUnits;
  options?: WriteOptions;
  className?: string;
}) {
  const parts = writeParts(si, quantity, shop, options);
  return (
    <span className={`figure ${className}`}>
      {parts.sign}
      {parts.whole}
      {parts.numerator !== null && (
        <>
          {parts.whole !== '' && <span className="thin"> </span>}
          <Fraction numerator={parts.numerator} denominator={parts.denominator!} />
        </>
      )}
      <span className="unit"> {parts.unit}</span>
    </span>
  );
}

/** Text that may hold figures: sets "27 3/8" in it with a true fraction. */
export function WithFractions({ text }: { text: string }) {
  return text.split(/(\d+ \d+\/\d+|\d+\/\d+)/).map((part, i) => {
    if (i % 2 === 0) return part;
    const [, whole, numerator, denominator] = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(part)!;
    return (
      <span key={i} className="nowrap">
        {whole}
        {whole && <span className="thin"> </span>}
        <Fraction numerator={numerator!} denominator={denominator!} />
      </span>
    );
  });
}
