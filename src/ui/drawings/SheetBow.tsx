import { sheetSketch, type SheetDocument } from '@/core/sheet';
import { PaperItems } from './PaperItems';

const WIDTH_MM = 122;
const HEIGHT_MM = 96;

/** The bow of a sheet, to scale, with every number where it is measured: the same drawing as on paper. */
export function SheetBow({ sheet, label }: { sheet: SheetDocument; label: string }) {
  const sketch = sheetSketch(sheet, WIDTH_MM, HEIGHT_MM);
  if (!sketch) return null;
  const fills = { ink: 'var(--ink)', paper: 'var(--sheet)', none: 'none' };
  return (
    <svg viewBox={`0 0 ${sketch.widthMm} ${sketch.heightMm}`} role="img" aria-label={label}>
      <g
        transform={`translate(${sketch.left} ${sketch.top}) scale(${sketch.scale})`}
        strokeLinejoin="round"
        strokeLinecap="round"
      >
        {sketch.paths.map(({ d, fill, lineMm }) => (
          <path
            key={d}
            d={d}
            fill={fills[fill]}
            {...(lineMm > 0 ? { stroke: 'var(--ink)', strokeWidth: lineMm } : {})}
          />
        ))}
      </g>
      <PaperItems items={sketch.items} />
    </svg>
  );
}
