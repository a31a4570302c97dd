import * as words from '.';

/** Every sentence the screens say, with its place; functions are asked with stand-ins. */
function said(value: unknown, path: string): [string, string][] {
  if (typeof value === 'string') return [[path, value]];
  if (typeof value === 'function') {
    try {
      const answer = (value as (...args: unknown[]) => unknown)('3', '4', '5', '6');
      return typeof answer === 'string' ? [[path, answer]] : said(answer, path);
    } catch {
      // Words that write a quantity want a number and the shop's units; they are tested where used.
      return [];
    }
  }
  if (Array.isArray(value)) return value.flatMap((entry, i) => said(entry, `${path}.${i}`));
  if (value && typeof value === 'object')
    return Object.entries(value).flatMap(([key, entry]) => said(entry, `${path}.${key}`));
  return [];
}
const all = said(words, '');

describe('the words of the screens', () => {
  test('are many, and none is empty', () => {
    expect(all.length).toBeGreaterThan(300);
    expect(all.filter(([, text]) => text.trim() === '')).toEqual([]);
  });
  test('hold no marketing, no exclamation, no leftover of a program', () => {
    const wrong = /!|awesome|powerful|seamless|easily|\bNaN\b|undefined|\[object|lorem|todo/i;
    expect(all.filter(([, text]) => wrong.test(text))).toEqual([]);
  });
  test('use true signs: ’ “ ” − … not their typewriter stand-ins', () => {
    expect(all.filter(([, text]) => /'|"|\.\.\./.test(text))).toEqual([]);
  });
  test('are plain: no sentence runs past forty words', () => {
    const long = all.filter(([, text]) =>
      text.split(/[.;:]/).some((part) => part.split(/\s+/).length > 40),
    );
    expect(long).toEqual([]);
  });
  test('headings and buttons are in sentence case', () => {
    const shouting = all.filter(([, text]) => /\b[A-Z]{4,}\b/.test(text.replace(/JSON/g, '')));
    expect(shouting).toEqual([]);
  });
});
