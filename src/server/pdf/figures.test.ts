import { writeFractions } from './figures';

/** A document that notes what is written where; a letter is half as wide as it is high. */
function aDocument() {
  const written: { text: string; x: number; y: number; size: number }[] = [];
  let size = 10;
  const doc = {
    fontSize: (next: number) => {
      size = next;
      return doc;
    },
    widthOfString: (text: string) => (text.length * size) / 2,
    text: (text: string, x: number, y: number) => {
      written.push({ text, x, y, size });
      return doc;
    },
  };
  return { doc: doc as unknown as PDFKit.PDFDocument, written };
}
const AT = { x: 100, y: 50, width: 200, right: false };

test('a line without a fraction is left to be written as it is', () => {
  const { doc, written } = aDocument();
  expect(writeFractions(doc, 'Brace height', AT, 10)).toBe(false);
  expect(written).toEqual([]);
});

test('the parts of a fraction stand after one another, over and under the line', () => {
  const { doc, written } = aDocument();
  expect(writeFractions(doc, '6 1/8 in', AT, 10)).toBe(true);
  expect(written.map(({ text }) => text.trim())).toEqual(['6', '1', '/', '8', 'in']);
  const [whole, numerator, , denominator] = written;
  written.slice(1).forEach(({ x }, i) => expect(x).toBeGreaterThan(written[i]!.x));
  expect(numerator!.size).toBeLessThan(whole!.size);
  expect(numerator!.y).toBeLessThan(denominator!.y);
});

test('at the right it ends where the line ends; where there is no room nothing is drawn', () => {
  const right = aDocument();
  writeFractions(right.doc, '6 1/8 in', { ...AT, right: true }, 10);
  const last = right.written.at(-1)!;
  expect(last.x + (last.text.length * last.size) / 2).toBeCloseTo(300, 6);
  const narrow = aDocument();
  expect(writeFractions(narrow.doc, '6 1/8 in', { ...AT, width: 20 }, 10)).toBe(false);
  expect(narrow.written).toEqual([]);
});
