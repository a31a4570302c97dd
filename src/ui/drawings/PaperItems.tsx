import type { SheetItem } from '@/core/flight';
import { boxesPath } from '@/core/sheet';
import { SvgText } from './SvgText';

/** Lines, words and boxes of a paper, in its millimetres. */
export function PaperItems({ items }: { items: readonly SheetItem[] }) {
  const boxes = boxesPath(items);
  return (
    <>
      {items.map((item, i) => (
        <OneItem key={i} item={item} />
      ))}
      {boxes !== '' && <path d={boxes} fill="#000" />}
    </>
  );
}

function OneItem({ item }: { item: SheetItem }) {
  if (item.kind === 'box') return null;
  if (item.kind === 'line')
    return (
      <path
        d={`M${item.x1} ${item.y1}L${item.x2} ${item.y2}`}
        stroke="var(--ink-soft)"
        strokeWidth={item.widthMm * 1.4}
        {...(item.dashed ? { strokeDasharray: '1.2 0.8' } : {})}
      />
    );
  return (
    <text
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
}
