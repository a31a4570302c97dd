import { REGISTRY } from '@/core/setup';
import { sheetPages, type SheetDocument } from '@/core/sheet';
import { aSheet } from '@/core/testing/a-sheet';
import { pageOne, PAGE_ONE_MARGIN, PAGE_ONE_FOOT } from './page-one';
import { newPaper } from './paper';
import { aDocument } from './testing/a-document';

const plain = aSheet();

/** Every setting a bow of a kind can have, with long texts, every mark, key and part of the arrow. */
function full(without: readonly string[], marks: number): SheetDocument {
  const settings = REGISTRY.filter(({ key, backTo }) => backTo && !without.includes(key)).map(
    (value) => {
      const known = plain.settings.find(({ key }) => key === value.key);
      return {
        ...plain.settings[0]!,
        key: value.key,
        name: value.name,
        text: known?.text ?? '27 13/16 in',
        ...(known ?? {}),
        group: known?.group ?? ('bars' as const),
        datum: known?.datum ?? String(value.backTo!.datum).slice(0, 90),
        tool: value.tool,
        tolerance: '± 0.5 mm',
      };
    },
  );
  const row = plain.marks!.rows[0]!;
  return {
    ...plain,
    settings,
    since: {
      revision: 2,
      changes: settings.slice(0, 6).map(({ key, name }) => ({
        key,
        name,
        from: '28 1/16 in',
        to: '28 1/8 in',
        within: false,
      })),
    },
    bow: { ...plain.bow!, stringLengthMm: 1536, cableLengthsMm: [958, 990, 991] },
    fastening: Array.from({ length: 11 }, (_, i) => ({
      what: `small screws of part ${i}`,
      text: '3/32 in hex key · snug · thread locker that comes off again',
    })),
    arrow: {
      count: 12,
      shaft: 'A shaft of a long name .350',
      staticSpineIn: 0.35,
      shaftLengthMm: 724,
      shaftOuterMm: 6.5,
      nock: 'A nock of a long name',
      vanes: '3 × a vane of a long name',
      insert: 'An insert of a long name',
      point: 'A point of a long name',
      pointAndInsertG: 9.7,
      massG: 27,
      massFrom: 'measured',
      balanceFromNockMm: 412,
      frontOfCentrePct: 12.4,
    },
    marks: {
      ...plain.marks!,
      furthestClearM: 91,
      rows: Array.from({ length: marks }, (_, i) => ({
        ...row,
        distanceM: 10 + 5 * i,
        distanceText: `${10 + 5 * i} m`,
      })),
    },
  };
}

const KISSER_AND_TUBE = ['kisser', 'tubeSide', 'tubeLength', 'cordLimb'];
const REAR = REGISTRY.map(({ key }) => key as string).filter((key) => key.startsWith('rear'));

describe.each(['A4', 'LETTER'] as const)('page one on %s', (paper) => {
  test.each([
    ['a plain bow', plain],
    ['a full target bow', full(KISSER_AND_TUBE, 15)],
    ['a full hunting bow', full([...REAR, 'sightBase'], 9)],
    ['all a bow can have, and marks to 120 m', full([], 23)],
  ] as const)('%s fits', (_, sheet) => {
    const doc = newPaper(paper, 'test', PAGE_ONE_MARGIN);
    const { size, bottom } = pageOne(doc, sheet, sheetPages(sheet, { prices: true, when: String }));
    expect(doc.bufferedPageRange().count).toBe(1);
    expect(bottom).toBeLessThanOrEqual(doc.page.height - PAGE_ONE_FOOT);
    // Read from a page in the hand.
    expect(size).toBeGreaterThanOrEqual(6);
  });
});

interface Box {
  readonly text: string;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Everything that is written, with the room its letters take. */
function noted(doc: PDFKit.PDFDocument): Box[] {
  const boxes: Box[] = [];
  const { text } = doc;
  const spied = function (this: PDFKit.PDFDocument, ...args: Parameters<typeof text>) {
    const [words, x, y, options] = args as unknown as [string, number, number, TextOptions?];
    const width = options?.width ?? Infinity;
    const wide = Math.min(
      width,
      Math.max(...words.split('\n').map((line) => doc.widthOfString(line))),
    );
    const left = options?.align === 'right' ? x + width - wide : x;
    const high = doc.heightOfString(words, { width: options?.width ?? 1e6 });
    // Letters stand 0.984 em under the top of their line.
    const size = (doc as unknown as { _fontSize: number })._fontSize;
    const top = options?.baseline === 'alphabetic' ? y - 0.984 * size : y;
    if (words.trim() !== '')
      boxes.push({ text: words, left, right: left + wide, top, bottom: top + high });
    return text.apply(this, args);
  };
  doc.text = spied as typeof text;
  return boxes;
}
type TextOptions = { readonly width?: number; readonly align?: string; readonly baseline?: string };

describe.each(['A4', 'LETTER'] as const)('what is written on %s', (paper) => {
  test.each([
    ['a plain bow', plain],
    ['a full target bow', full(KISSER_AND_TUBE, 15)],
    ['all a bow can have', full([], 23)],
  ] as const)('%s: stands between the margins, and nothing on anything else', (_, sheet) => {
    const doc = newPaper(paper, 'test', PAGE_ONE_MARGIN);
    const boxes = noted(doc);
    pageOne(doc, sheet, sheetPages(sheet, { prices: true, when: String }));
    expect(boxes.length).toBeGreaterThan(60);
    const all = boxes.map(({ text }) => text);
    for (const { distanceText } of sheet.marks!.rows) expect(all).toContain(distanceText);
    const out = boxes.filter(
      ({ left, right, top, bottom }) =>
        left < PAGE_ONE_MARGIN - 1 ||
        right > doc.page.width - PAGE_ONE_MARGIN + 1 ||
        top < PAGE_ONE_MARGIN - 2 ||
        bottom > doc.page.height - PAGE_ONE_FOOT + 1,
    );
    expect(out).toEqual([]);
    const clashes = boxes.flatMap((a, i) =>
      boxes
        .slice(i + 1)
        .filter(
          (b) =>
            Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
            Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 2,
        )
        .map((b) => [a.text, b.text]),
    );
    expect(clashes).toEqual([]);
  });
});

describe('all of it, as it was when somebody last looked at the page', () => {
  test.each([
    ['a bow that was on the lane again', { ...full(REAR, 15), openReason: 'one reading open' }],
    ['all a bow can have', full([], 23)],
  ] as const)('%s', (_, sheet) => {
    const { doc, page } = aDocument();
    const laid = pageOne(doc, sheet, sheetPages(sheet, { prices: true, when: String }));
    expect(laid).toMatchSnapshot();
    expect(page()).toMatchSnapshot();
  });
});
