import { BlockWriter, MARGIN } from './block-writer';
import { aDocument } from './testing/a-document';

const paper = (rightMm: number, upMm: number) => ({ rightMm, upMm, moved: '', text: 'a paper' });

test('of each paper: a cross in the middle, the nock as far from it as it tore, three and more beside each other', () => {
  const { doc, of } = aDocument();
  const papers = [paper(0, 0), paper(10, -6), paper(-200, 5), paper(3, 4), paper(1, 1)];
  new BlockWriter(doc, 'beside').block({
    ...{ id: 'papers', title: 'Papers', parts: [], rows: [], papers },
  } as never);
  const boxes = of('rect');
  expect(boxes.map(([, , width, height]) => [width, height])).toEqual(papers.map(() => [62, 62]));
  const middles = boxes.map(([x, y]) => ({ x: x! + 31, y: y! + 31 }));
  // Two strokes of eight points for each cross, then the line to the nock.
  const from = of('moveTo').slice(-3 * papers.length);
  const to = of('lineTo').slice(-3 * papers.length);
  middles.forEach(({ x, y }, i) => {
    expect([from[3 * i], to[3 * i]]).toEqual([
      [x - 4, y],
      [x + 4, y],
    ]);
    expect([from[3 * i + 1], to[3 * i + 1]]).toEqual([
      [x, y - 4],
      [x, y + 4],
    ]);
    expect(from[3 * i + 2]).toEqual([x, y]);
  });
  const nocks = of('circle').map(([x, y], i) => [x! - middles[i]!.x, y! - middles[i]!.y]);
  // A millimetre is a point; up is up on the paper; what is torn past the box stands at its edge.
  expect(nocks).toEqual([
    [0, 0],
    [10, 6],
    [-27, -5],
    [3, -4],
    [1, -1],
  ]);
  // Five to a row of Letter with room for their words; the first stands at the margin.
  expect(boxes[0]![0]).toBe(MARGIN);
  expect(new Set(boxes.map(([, y]) => y)).size).toBe(1);
  boxes.slice(1).forEach(([x], i) => expect(x! - boxes[i]![0]!).toBeGreaterThanOrEqual(102));
});
