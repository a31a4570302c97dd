import { newton, type Newton } from '@/core/units';
import { junk, plainLine, wordNumber, type PlainLine } from './device-line';

/** One line a bow scale sends; see docs/formats/bow-scale.md. */
export type BowScaleLine =
  | PlainLine
  /** What hangs on it now. */
  | { readonly kind: 'pull'; readonly forceN: Newton }
  /** The most of one draw, sent when the bow was let down. */
  | { readonly kind: 'peak'; readonly forceN: Newton };

const MOST_N = 600;

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readBowScaleLine(line: string): BowScaleLine {
  const plain = plainLine(line, 'bowscale');
  if (!Array.isArray(plain)) return plain as PlainLine;
  const [word, number, unit] = plain as readonly string[];
  const value = wordNumber(number);
  if ((word !== 'pull' && word !== 'peak') || value === null || unit !== 'N' || plain.length !== 3)
    return junk('is not “pull NUMBER N” or “peak NUMBER N”');
  if (value < 0 || value > MOST_N) return junk(`lies outside 0 to ${MOST_N} N`);
  return { kind: word, forceN: newton(value) };
}

export const writePull = (word: 'pull' | 'peak', forceN: number) =>
  `${word} ${forceN.toFixed(1)} N`;
