/** What every device's line can be besides a reading of its own. */
export type PlainLine =
  | { readonly kind: 'hello'; readonly version: number }
  | { readonly kind: 'note' }
  | { readonly kind: 'junk'; readonly why: string };

const LONGEST_LINE = 80;
export const junk = (why: string) => ({ kind: 'junk', why }) as const;

/**
 * Reads what all devices' lines share: notes, length, and the first line with the device's word.
 *
 * @returns the words of a line that is none of these, for the device's own reader.
 */
export function plainLine(line: string, word: string): PlainLine | readonly string[] {
  const text = line.trim();
  if (text === '' || text.startsWith('#')) return { kind: 'note' };
  if (text.length > LONGEST_LINE) return junk(`is longer than ${LONGEST_LINE} characters`);
  const words = text.split(/\s+/);
  if (words[0] === word && words.length === 2 && /^\d+$/.test(words[1]!))
    return { kind: 'hello', version: Number(words[1]) };
  return words;
}

/** A number as devices write it: digits, a point, at most one minus. */
export function wordNumber(word: string | undefined): number | null {
  return word !== undefined && /^-?\d+(\.\d+)?$/.test(word) ? Number(word) : null;
}
