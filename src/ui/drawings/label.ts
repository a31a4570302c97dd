/** Mean width of a sign of the small size, px: a little more than the face's own. */
const SIGN_PX = 7.4;
const EDGE_PX = 4;

/** A text in two lines, broken at the blank nearest its middle; one where it has none. */
function halves(text: string): readonly string[] {
  const middle = text.length / 2;
  const blanks = [...text.matchAll(/ /g)].map(({ index }) => index);
  if (blanks.length === 0) return [text];
  const at = blanks.reduce((best, one) =>
    Math.abs(one - middle) < Math.abs(best - middle) ? one : best,
  );
  return [text.slice(0, at), text.slice(at + 1)];
}

const widthOf = (lines: readonly string[]) =>
  SIGN_PX * Math.max(...lines.map((line) => line.length));

/**
 * A label beside a mark that nothing cuts off: in one line from `x` on where there is room up to the edge, else in two,
 * moved back as far as those ask for.
 *
 * @param x where it is wanted to begin, px.
 * @param width of the drawing, px.
 */
export function labelWithin(text: string, x: number, width: number) {
  const room = width - EDGE_PX - x;
  const lines = widthOf([text]) <= room ? [text] : halves(text);
  return { lines, x: Math.min(x, Math.max(0, width - EDGE_PX - widthOf(lines))) };
}
