/** What two screens changed differently since both saw the same. */
export interface Clash {
  /** JSON pointer; items of a list are named by their id or day. */
  readonly pointer: string;
  /** What stands there now; undefined where the other took it away. */
  readonly now: unknown;
}

type Bag = Readonly<Record<string, unknown>>;

/** Not what every object has. */
const own = (bag: Bag, key: string): unknown => (Object.hasOwn(bag, key) ? bag[key] : undefined);

const isBag = (value: unknown): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whatever the order of fields. */
export const sameValue = (a: unknown, b: unknown): boolean =>
  JSON.stringify(ordered(a)) === JSON.stringify(ordered(b));

const ordered = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(ordered);
  if (!isBag(value)) return value;
  return Object.fromEntries(
    Object.keys(value)
      .sort()
      .map((key) => [key, ordered(value[key])]),
  );
};

/** What names an item of a list among the others; null where nothing does. */
const nameOf = (item: unknown): string | null => {
  const name = isBag(item) ? (item.id ?? item.day) : item;
  return typeof name === 'string' ? name : null;
};

/** A list as a record by its items' names; null where they have none or one stands there twice. */
function byName(list: unknown): Map<string, unknown> | null {
  if (!Array.isArray(list)) return null;
  const named = new Map<string, unknown>();
  for (const item of list) {
    const name = nameOf(item);
    if (name === null || named.has(name)) return null;
    named.set(name, item);
  }
  return named;
}

/**
 * Merges what one screen wants with what stands there now, both come from what the screen had seen: what
 * only one changed is taken from it, field by field and, in lists whose items have names, item by item.
 * What both changed differently is a clash, and the other's value stays.
 *
 * @returns the merged value, and every clash; a value is only to be saved where there is none.
 */
export function merge(
  now: unknown,
  wanted: unknown,
  seen: unknown,
  pointer = '',
): { readonly value: unknown; readonly clashes: readonly Clash[] } {
  if (sameValue(now, seen) || sameValue(now, wanted)) return { value: wanted, clashes: [] };
  if (sameValue(wanted, seen)) return { value: now, clashes: [] };
  if (isBag(now) && isBag(wanted)) {
    const base = isBag(seen) ? seen : {};
    const keys = [...new Set([...Object.keys(wanted), ...Object.keys(now)])];
    const { entries, clashes } = each(
      keys,
      (key) => [own(now, key), own(wanted, key), own(base, key)],
      pointer,
    );
    return { value: Object.fromEntries(entries), clashes };
  }
  const [there, mine, before] = [now, wanted, seen ?? []].map(byName);
  if (there && mine && before) {
    const names = [...new Set([...mine.keys(), ...there.keys()])];
    const { entries, clashes } = each(
      names,
      (name) => [there.get(name), mine.get(name), before.get(name)],
      pointer,
    );
    return { value: entries.map(([, item]) => item), clashes };
  }
  return { value: now, clashes: [{ pointer, now }] };
}

function each(
  names: readonly string[],
  of: (name: string) => readonly [now: unknown, wanted: unknown, seen: unknown],
  pointer: string,
) {
  const entries: [string, unknown][] = [];
  const clashes: Clash[] = [];
  for (const name of names) {
    const merged = merge(
      ...of(name),
      `${pointer}/${name.replace(/~/g, '~0').replace(/\//g, '~1')}`,
    );
    clashes.push(...merged.clashes);
    if (merged.value !== undefined) entries.push([name, merged.value]);
  }
  return { entries, clashes };
}

/** What a screen has seen once it was shown the clashes: with these values in their places. */
export function havingSeen(seen: unknown, clashes: readonly Clash[]): unknown {
  return clashes.reduce((value, { pointer, now }) => {
    const names = pointer.split('/').slice(1);
    return put(
      value,
      names.map((name) => name.replace(/~1/g, '/').replace(/~0/g, '~')),
      now,
    );
  }, seen);
}

function put(value: unknown, [name, ...rest]: readonly string[], at: unknown): unknown {
  if (name === undefined) return at;
  const named = byName(value ?? undefined);
  if (named) {
    const next = put(named.get(name), rest, at);
    if (next === undefined) named.delete(name);
    else named.set(name, next);
    return [...named.values()];
  }
  const bag = isBag(value) ? value : {};
  const next = put(own(bag, name), rest, at);
  const { [name]: _gone, ...others } = bag;
  return next === undefined ? others : { ...bag, [name]: next };
}
