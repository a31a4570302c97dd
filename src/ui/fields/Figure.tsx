import { writeParts, type QuantityName, type ShopUnits, type WriteOptions } from '@/core/units';

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
        <span className="frac" style={parts.whole === '' ? { marginLeft: 0 } : undefined}>
          {parts.numerator}/{parts.denominator}
        </span>
      )}
      <span className="unit">{parts.unit}</span>
    </span>
  );
}

/** Text that may hold figures: sets "3/8" in it as true fractions. */
export function WithFractions({ text }: { text: string }) {
  return text.split(/(\d+\/\d+)/).map((part, i) =>
    i % 2 === 1 ? (
      <span key={i} style={{ fontFeatureSettings: "'frac'" }}>
        {part}
      </span>
    ) : (
      part
    ),
  );
}
