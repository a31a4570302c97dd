import { sheetPages } from '@/core/sheet';
import { aSheet } from '@/core/testing/a-sheet';
import { BlockWriter, MARGIN } from './block-writer';
import { aDocument } from './testing/a-document';

/** What was written, with its place: words, x, y, width. */
const written = (of: (name: string) => unknown[][]) =>
  of('text').map(([text, x, y, options]) => ({
    text: text as string,
    x: x as number,
    y: y as number,
    width: (options as { width?: number }).width,
  }));
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
  // Its number in the box’s corner, its words under the box.
  const words = written(of).slice(1);
  expect(
    words.map(({ text, x, y }, i) => [
      text,
      x - boxes[i >> 1]![0]!,
      Math.round(y - boxes[i >> 1]![1]!),
    ]),
  ).toEqual(
    papers.flatMap((_, i) => [
      [`${i + 1}`, 3, 2],
      ['a paper', 0, 64],
    ]),
  );
  // Five to a row of Letter with room for their words; the first stands at the margin.
  expect(boxes[0]![0]).toBe(MARGIN);
  expect(new Set(boxes.map(([, y]) => y)).size).toBe(1);
  boxes.slice(1).forEach(([x], i) => expect(x! - boxes[i]![0]!).toBeGreaterThanOrEqual(102));
});

const cell = (text: string, more: object = {}) => ({ text, ...more });

test('a row’s cells stand beside each other by their parts of the width, the next row under the highest of them', () => {
  const { doc, of } = aDocument();
  const rows = [
    [cell('short'), cell('x'.repeat(200))],
    [cell('below'), cell('so')],
  ];
  new BlockWriter(doc, '').block({ id: 'any', title: 'Title', parts: [0.25, 0.75], rows } as never);
  const [title, short, long, below, so] = written(of);
  // Letter is 612 points wide, of which 36 at each side are left: 540.
  expect([title!.x, title!.width]).toEqual([36, 540]);
  expect([short!.x, short!.width, long!.x, long!.width]).toEqual([36, 127, 171, 397]);
  expect([below!.x, so!.x]).toEqual([36, 171]);
  expect(short!.y).toBe(long!.y);
  // 200 letters of half of 8.6 points in 397 are three lines, and three points are left under them.
  expect(below!.y - short!.y).toBeCloseTo(3 * 8.6 + 3, 6);
  expect(short!.y).toBeGreaterThan(title!.y);
});

test('what does not fit any more goes on another page, from its head', () => {
  const { doc, of } = aDocument();
  const rows = Array.from({ length: 120 }, (_, i) => [cell(`row ${i}`)]);
  new BlockWriter(doc, '').block({ id: 'any', title: 'Title', parts: [1], rows } as never);
  const all = written(of).slice(1);
  const begins = all.filter(({ y }, i) => i > 0 && y < all[i - 1]!.y);
  // Eleven points and a half each: 64 on a page of 792.
  expect(of('addPage')).toHaveLength(1);
  expect(begins.map(({ y }) => y)).toEqual([36]);
  expect(Math.max(...all.map(({ y }) => y)) + 11.6).toBeLessThanOrEqual(792 - 26 - 14);
  expect(Math.max(...all.map(({ y }) => y))).toBeGreaterThan(720);
});

test('photographs stand two beside each other, whole, neither wider than its half nor higher than 190 points', () => {
  const { doc, of } = aDocument();
  const photos = [
    { id: 1, width: 800, height: 400, text: 'wide' },
    { id: 2, width: 400, height: 800, text: 'high' },
    { id: 3, width: 800, height: 400, text: 'third' },
  ];
  const pictures = new Map([1, 2, 3].map((id) => [id, new Uint8Array(1)]));
  new BlockWriter(doc, '', pictures).block({
    ...{ id: 'photos', title: 'Photographs', parts: [], rows: [], photos },
  } as never);
  const drawn = of('image') as unknown as [Buffer, number, number, Record<string, number>][];
  expect(drawn.map(([, x, , { width, height }]) => [x, width, height])).toEqual([
    [36, 263, 131.5],
    [313, 95, 190],
    [36, 263, 131.5],
  ]);
  expect(drawn[0]![2]).toBe(drawn[1]![2]);
  // Under the higher one, its words and a little room.
  expect(drawn[2]![2] - drawn[0]![2]).toBeCloseTo(190 + 7.8 + 12, 6);
  const words = written(of).slice(1);
  expect(words.map(({ text, x }) => [text, x])).toEqual([
    ['wide', 36],
    ['high', 313],
    ['third', 36],
  ]);
  expect(words[0]!.y - drawn[0]![2]).toBeCloseTo(131.5 + 2, 6);
});

test('a signature from the screen stands on the first line, no larger than there is room', () => {
  const { doc, of } = aDocument();
  const signature = { width: 400, height: 100, path: 'M0 0L9 9', name: 'Una', by: 'archer' };
  new BlockWriter(doc, '').signatures(['Archer', 'Shop'], signature as never);
  // Half the width less 60 is 210 of 400; 46 high is less: 0.46.
  expect(of('scale')[0]).toEqual([0.46]);
  const lines = of('moveTo').map(([x, y], i) => [x, y, of('lineTo')[i]![0]]);
  expect(lines).toEqual([
    [36, 54, 276],
    [306, 54, 546],
  ]);
  const [[x, y]] = of('translate') as [[number, number]];
  expect([x, y]).toEqual([36, 54 - 46]);
  expect(written(of).map(({ text }) => text)).toEqual(['Archer: Una', 'Shop']);
});

test('a wide signature is as wide as its line is long, less the room between two', () => {
  const { doc, of } = aDocument();
  const wide = { width: 800, height: 60, path: 'M0 0L9 9', name: 'Una', by: 'archer' };
  new BlockWriter(doc, '').signatures(['Archer', 'Shop'], wide as never);
  // 270 less 60 are 210 of 800.
  expect(of('scale')[0]).toEqual([0.2625]);
  expect((of('translate') as unknown as [[number, number]])[0]).toEqual([36, 54 - 15.75]);
});

test('words follow each other down the page by their height and a little room', () => {
  const { doc, of } = aDocument();
  const writer = new BlockWriter(doc, '');
  ['one', 'x'.repeat(300), 'three'].forEach((text) => writer.words(text));
  const [one, two, three] = written(of);
  expect(two!.y - one!.y).toBeCloseTo(8.6 + 4, 6);
  // 300 letters of 4.3 points in 540 are three lines.
  expect(three!.y - two!.y).toBeCloseTo(3 * 8.6 + 4, 6);
});

test('the record and what the archer is told, all of it, as it was when somebody last looked at the pages', () => {
  const { doc, page } = aDocument();
  const sheet = aSheet();
  const { two, three } = sheetPages(sheet, { prices: true, when: (at) => at.slice(0, 10) });
  const writer = new BlockWriter(doc, 'Ticket 1001', new Map([[1, Uint8Array.of(1)]]));
  writer.begin('The record');
  two.forEach((block) => writer.block(block));
  writer.block({
    ...{ id: 'photos', title: 'Photographs', parts: [], rows: [], note: 'Three are kept.' },
    photos: [
      { id: 1, width: 1600, height: 1200, text: 'The cam at full draw' },
      { id: 2, width: 900, height: 1600, text: 'one that is not there' },
      { id: 1, width: 400, height: 400, text: 'a third' },
    ],
  } as never);
  writer.begin('For the archer');
  three.forEach((block) => writer.block(block));
  writer.words('Come back in spring.');
  writer.signatures(['Archer', 'Shop'], {
    ...{ name: 'A. Ruusu', at: '2026-11-24T16:00:00.000Z' },
    ...{ path: 'M0 0L10 10', width: 300, height: 120 },
  } as never);
  expect(page()).toMatchSnapshot();
});
