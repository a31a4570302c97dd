import type { SheetItem } from '../flight';

const round = (value: number) => String(Math.round(value * 1000) / 1000);
const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** Something drawn in millimetres, and its size. */
interface Drawn {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly SheetItem[];
}

/** What of it is shown; the whole where nothing is said. */
interface View {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A drawing as an SVG document in millimetres: width, height and every line true to size. */
export function paperSvg(
  { widthMm, heightMm, items }: Drawn,
  view: View = { x: 0, y: 0, width: widthMm, height: heightMm },
): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(view.width)}mm" height="${round(view.height)}mm" viewBox="${round(view.x)} ${round(view.y)} ${round(view.width)} ${round(view.height)}">`,
    `<rect width="${round(widthMm)}" height="${round(heightMm)}" fill="#ffffff"/>`,
    ...items.filter(({ kind }) => kind !== 'box').map(itemSvg),
    ...boxesSvg(items),
    '</svg>',
    '',
  ].join('\n');
}

/** Outlines of all boxes together: a code has thousands, and they are one thing. */
export const boxesPath = (items: readonly SheetItem[]): string =>
  items
    .flatMap((item) =>
      item.kind === 'box'
        ? [
            `M${round(item.x)} ${round(item.y)}h${round(item.widthMm)}v${round(item.heightMm)}h${round(-item.widthMm)}z`,
          ]
        : [],
    )
    .join('');

function boxesSvg(items: readonly SheetItem[]): string[] {
  const path = boxesPath(items);
  return path === '' ? [] : [`<path d="${path}" fill="#000000"/>`];
}

function itemSvg(item: SheetItem): string {
  if (item.kind === 'line')
    return `<path d="M${round(item.x1)} ${round(item.y1)}L${round(item.x2)} ${round(item.y2)}" stroke="#000000" stroke-width="${item.widthMm}"${item.dashed ? ' stroke-dasharray="1.2 0.8"' : ''}/>`;
  if (item.kind === 'box') return '';
  return `<text x="${round(item.x)}" y="${round(item.y)}" font-size="${item.sizeMm}" text-anchor="${item.anchor}" font-family="Atkinson Hyperlegible Next, sans-serif"${item.bold ? ' font-weight="700"' : ''}>${escaped(item.text)}</text>`;
}
