import { junk, plainLine, wordNumber, type PlainLine } from './device-line';

/** One line the practice archer sends; see docs/formats/practice-archer.md. */
type PracticeLine =
  PlainLine | { readonly kind: 'tear' | 'hit'; readonly rightMm: number; readonly upMm: number };

const MOST_MM = 3000;

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readPracticeLine(line: string): PracticeLine {
  const plain = plainLine(line, 'archer');
  if (!Array.isArray(plain)) return plain as PlainLine;
  const [word, right, up] = plain as readonly string[];
  const [rightMm, upMm] = [wordNumber(right), wordNumber(up)];
  if ((word !== 'tear' && word !== 'hit') || rightMm === null || upMm === null)
    return junk('is not “tear RIGHT UP” or “hit RIGHT UP”');
  if (plain.length !== 3) return junk('is not “tear RIGHT UP” or “hit RIGHT UP”');
  if (Math.max(Math.abs(rightMm), Math.abs(upMm)) > MOST_MM)
    return junk(`lies outside ${MOST_MM} mm`);
  return { kind: word, rightMm, upMm };
}

export const writePractice = (kind: 'tear' | 'hit', rightMm: number, upMm: number) =>
  `${kind} ${rightMm.toFixed(1)} ${upMm.toFixed(1)}`;
