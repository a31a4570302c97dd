import { drawItem } from './paper';
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
