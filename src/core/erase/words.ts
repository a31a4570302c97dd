/** What stands where a person's name stood. */
export const ERASED = 'erased';

/** Shorter ones are words of their own too often. */
const SHORTEST_NAME = 3;

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * A text without somebody's names, whole as words of their own: "for Noor Abeling" without "Noor Abeling" is
 * "for erased". Nothing else is touched; names under three letters are left.
 */
export function withoutNames(text: string, names: readonly string[]): string {
  const wanted = names.map((name) => name.trim()).filter(({ length }) => length >= SHORTEST_NAME);
  if (wanted.length === 0 || text === '') return text;
  const any = [...new Set(wanted)]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');
  return text.replace(new RegExp(`(?<![\\p{L}\\p{N}])(?:${any})(?![\\p{L}\\p{N}])`, 'giu'), ERASED);
}

/** The same of every text in what travels as JSON; keys and numbers stay. */
export function deepWithoutNames<T>(value: T, names: readonly string[]): T {
  if (typeof value === 'string') return withoutNames(value, names) as T;
  if (Array.isArray(value)) return value.map((one: unknown) => deepWithoutNames(one, names)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [key, deepWithoutNames(one, names)]),
  ) as T;
}
