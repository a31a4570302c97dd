import type { SheetItem, TapeSheet } from '../flight';

const round = (value: number) => String(Math.round(value * 10_000) / 10_000);
const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A tape sheet as an SVG document in millimetres: width, height and every line true to size. */
export function tapeSvg({ widthMm, heightMm, items }: TapeSheet): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">`,
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
