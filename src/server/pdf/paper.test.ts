import { cardFaces, cardPair, sheetSketch } from '@/core/sheet';
import { aSheet } from '@/core/testing/a-sheet';
import { drawItem, drawSketch, tapeRule } from './paper';
import { aDocument } from './testing/a-document';

/** An inch is 72 points and 25.4 mm: 127 mm are 360 points. */
const near = (got: readonly number[], wanted: readonly number[]) =>
  wanted.forEach((value, i) => expect(got[i]).toBeCloseTo(value, 6));

test('a line stands where its millimetres say, from its corner, and is dashed as wide', () => {
  const { doc, of } = aDocument();
  const line = { kind: 'line', x1: 0, y1: 12.7, x2: 127, y2: 25.4, widthMm: 0.254 } as const;
  drawItem(doc, { ...line, dashed: true }, 10, 20);
  near(of('moveTo')[0]!, [10, 56]);
  near(of('lineTo')[0]!, [370, 92]);
  near(of('lineWidth')[0]!, [0.72]);
  const [[dash, { space }]] = of('dash') as unknown as [[number, { space: number }]];
  near([dash, space], [3.401575, 2.267717]);
});

test('a whole line is not dashed; a box has its size and place', () => {
  const { doc, of } = aDocument();
  drawItem(doc, { kind: 'line', x1: 0, y1: 0, x2: 1, y2: 0, widthMm: 0.2 });
  expect(of('dash')).toEqual([]);
  drawItem(doc, { kind: 'box', x: 12.7, y: 25.4, widthMm: 127, heightMm: 6.35 }, 5, 6);
  near(of('rect')[0]!, [41, 78, 360, 18]);
});

test('words stand with their foot on the line, before, about or behind their place', () => {
  // 5.08 mm are 14.4 points; four letters half as wide as high are 28.8 wide.
  const drawn = (anchor: 'start' | 'middle' | 'end') => {
    const { doc, of } = aDocument();
    drawItem(doc, { kind: 'text', x: 127, y: 12.7, sizeMm: 5.08, anchor, text: 'four' }, 1, 2);
    near(of('fontSize').at(-1)!, [14.4]);
    const [, x, y] = of('text')[0]!;
    return [x!, y!];
  };
  near(drawn('start'), [361, 38]);
  near(drawn('middle'), [361 - 14.4, 38]);
  near(drawn('end'), [361 - 28.8, 38]);
});

test('the tape’s rule has 64 ticks over its width, each eighth the longest', () => {
  const { doc, of } = aDocument();
  tapeRule(doc, 36, 100, 320);
  const from = of('moveTo').slice(1);
  const to = of('lineTo').slice(1);
  expect(from).toHaveLength(65);
  expect(from.map(([x]) => x)).toEqual(Array.from({ length: 65 }, (_, i) => 36 + 5 * i));
  const long = to.map(([, y]) => y! - 100);
  expect(long.slice(0, 9)).toEqual([5, 2, 2, 2, 3.5, 2, 2, 2, 5]);
});

test('a card and the bow of its sheet, all of it, as it was when somebody last looked at them', () => {
  const { doc, page } = aDocument();
  const sheet = aSheet();
  for (const item of cardPair(cardFaces(sheet, 'case', null)).items) drawItem(doc, item, 4, 6);
  drawSketch(doc, sheetSketch(sheet, 100, 90)!, 20, 30);
  expect(page()).toMatchSnapshot();
});
