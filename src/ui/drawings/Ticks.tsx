import { useId } from 'react';

/** The house's motif: the edge of a measuring tape, as wide as what it stands in. */
export function Ticks({ className, pitch = 18.9 }: { className?: string; pitch?: number }) {
  const id = useId();
  const heights = [12, 4, 6, 4, 8, 4, 6, 4];
  return (
    <svg className={className} height={13} aria-hidden>
      <pattern id={id} width={pitch * 8} height={13} patternUnits="userSpaceOnUse">
        {heights.map((height, i) => (
          <path
            key={i}
            d={`M${(i * pitch + 0.5).toFixed(1)} 13v-${height}`}
            stroke="var(--rule)"
            strokeWidth={1}
          />
        ))}
      </pattern>
      <rect width="100%" height={13} fill={`url(#${id})`} />
    </svg>
  );
}
