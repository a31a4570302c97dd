import type { SheetItem, TapeSheet } from '../flight';

const round = (value: number) => String(Math.round(value * 10_000) / 10_000);
const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** Paper shown around the strips when only they are looked at, mm. */
const AROUND = { left: 6, right: 14, top: 26, bottom: 16, least: 58 };

/**
 * A tape sheet as an SVG document in millimetres: width, height and every line true to size.
 *
 * @param close only the strips, for looking at: what is drawn stays the same, the view comes nearer.
 */
export function tapeSvg({ widthMm, heightMm, items, strips }: TapeSheet, close = false): string {
  const [first, last] = [strips[0], strips.at(-1)];
  const near = close && first && last;
  const box = near
    ? {
        x: first.x - AROUND.left,
        y: first.y - AROUND.top,
        width: Math.max(
          AROUND.least,
          last.x + last.tape.options.widthMm + AROUND.right - first.x + AROUND.left,
        ),
        height: Math.max(...strips.map(({ tape }) => tape.lengthMm)) + AROUND.top + AROUND.bottom,
      }
    : { x: 0, y: 0, width: widthMm, height: heightMm };
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(box.width)}mm" height="${round(box.height)}mm" viewBox="${round(box.x)} ${round(box.y)} ${round(box.width)} ${round(box.height)}">`,
    `<rect width="${widthMm}" height="${heightMm}" fill="#ffffff"/>`,
    ...items.map(itemSvg),
    '</svg>',
    '',
  ].join('\n');
}

function itemSvg(item: SheetItem): string {
  if (item.kind === 'line')
    return `<path d="M${round(item.x1)} ${round(item.y1)}L${round(item.x2)} ${round(item.y2)}" stroke="#000000" stroke-width="${item.widthMm}"${item.dashed ? ' stroke-dasharray="1.2 0.8"' : ''}/>`;
  return `<text x="${round(item.x)}" y="${round(item.y)}" font-size="${item.sizeMm}" text-anchor="${item.anchor}" font-family="Atkinson Hyperlegible Next, sans-serif"${item.bold ? ' font-weight="700"' : ''}>${escaped(item.text)}</text>`;
}
