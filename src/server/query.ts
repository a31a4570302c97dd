import { invalid } from './problem';

/** One of the words an address takes after its question mark; the usual one where nothing is said. */
export function wordOf<W extends string>(
  query: URLSearchParams,
  name: string,
  words: readonly [W, ...W[]],
): W {
  const said = query.get(name) ?? words[0];
  const word = words.find((one) => one === said);
  if (word === undefined)
    throw invalid([{ pointer: `/${name}`, detail: `must be one of ${words.join(', ')}` }]);
  return word;
}
