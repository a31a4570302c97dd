import { distance } from 'fastest-levenshtein';

/** Letters only, small, without accents: how spellings are held against each other. */
export const fold = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/ß/g, 'ss')
    .toLowerCase();

/** Letters that may differ: none in short words, one from four on, two from seven on. */
export const slips = (word: string) =>
  word.length < 4 || /^\d+$/.test(word) ? 0 : word.length < 7 ? 1 : 2;

/**
 * How well a text answers to the words asked for, both folded.
 *
 * @returns 0 when every word stands in it; the letters that differ when words are only close to
 *   its own; null when a word is not in it.
 */
export function closeness(words: readonly string[], text: string): number | null {
  const own = text.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  let sum = 0;
  for (const word of words) {
    if (text.includes(word)) continue;
    const allowed = slips(word);
    const least = Math.min(...own.map((other) => distance(word, other)));
    if (allowed === 0 || least > allowed) return null;
    sum += least;
  }
  return sum;
}
