import type { SheetItem } from '@/core/flight';
import { SvgText } from './SvgText';

/** Lines, words and boxes of a paper, in its millimetres. */
export const PaperItems = ({ items }: { items: readonly SheetItem[] }) =>
  items.map((item, i) => {
    if (item.kind === 'line')
      return (
        <path
          key={i}
          d={`M${item.x1} ${item.y1}L${item.x2} ${item.y2}`}
          stroke="var(--ink-soft)"
          strokeWidth={item.widthMm * 1.4}
          {...(item.dashed ? { strokeDasharray: '1.2 0.8' } : {})}
        />
      );
    if (item.kind === 'box')
      return (
        <rect
          key={i}
          x={item.x}
          y={item.y}
          width={item.widthMm}
          height={item.heightMm}
          fill="#000"
        />
      );
    return (
      <text
        key={i}
        x={item.x}
        y={item.y}
        fontSize={item.sizeMm}
        textAnchor={item.anchor}
        fill={item.bold ? 'var(--ink)' : 'var(--ink-soft)'}
        fontWeight={item.bold ? 700 : 400}
      >
        <SvgText text={item.text} />
      </text>
    );
  });
