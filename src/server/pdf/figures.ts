import { FRACTION_SHAPE, fractionRuns } from '@/core/units';

const { digits, raise, drop, kern, gap } = FRACTION_SHAPE;

/** Of both faces, em: from the top of a line to where its letters stand. */
const ASCENT = 0.984;

interface Piece {
  readonly text: string;
  /** Of the line's size. */
  readonly size: number;
  /** Above the line, em of its size. */
  readonly up: number;
  /** Before it, em of its size. */
  readonly before: number;
}

const piecesOf = (text: string): Piece[] =>
  fractionRuns(text).flatMap((run) =>
    run.kind === 'words'
      ? [{ text: run.text, size: 1, up: 0, before: 0 }]
      : [
          ...(run.whole ? [{ text: run.whole, size: 1, up: 0, before: 0 }] : []),
          { text: run.numerator, size: digits, up: raise, before: run.whole ? gap : 0 },
          { text: '/', size: 1, up: 0, before: -kern },
          { text: run.denominator, size: digits, up: -drop, before: -kern },
        ],
  );

/**
 * Writes a line with its fractions set as on the screen.
 *
 * @param text one line; font and size are those the document stands at.
 * @returns false, and nothing is drawn, where there is no fraction or no room for it on one line.
 */
export function writeFractions(
  doc: PDFKit.PDFDocument,
  text: string,
  at: { readonly x: number; readonly y: number; readonly width: number; readonly right: boolean },
  size: number,
): boolean {
  const pieces = piecesOf(text);
  if (!pieces.some((piece) => piece.size !== 1)) return false;
  const wide = pieces.map((piece) => doc.fontSize(size * piece.size).widthOfString(piece.text));
  const whole = pieces.reduce((sum, { before }, i) => sum + before * size + wide[i]!, 0);
  doc.fontSize(size);
  if (whole > at.width) return false;
  let x = at.right ? at.x + at.width - whole : at.x;
  // All stand on one line: what is smaller begins lower by as much as it is smaller.
  const base = at.y + ASCENT * size;
  pieces.forEach(({ text: piece, size: part, up, before }, i) => {
    x += before * size;
    doc
      .fontSize(size * part)
      .text(piece, x, base - size * up, { lineBreak: false, baseline: 'alphabetic' });
    x += wide[i]!;
  });
  doc.fontSize(size);
  return true;
}
