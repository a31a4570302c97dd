import {
  moved,
  noticed,
  latest,
  type History,
  setupValue,
  type Reading,
  type SetupKey,
  type SetupValue,
} from '../setup';

/** Why a reading no longer holds: from what changed down to the value itself. */
export interface Stale {
  readonly key: SetupKey;
  /** The reading from which on the cause stood elsewhere; later than the stale one. */
  readonly cause: Reading;
  /** Keys from the cause to the value, both included. */
  readonly chain: readonly SetupKey[];
  /** "the string was twisted after the peep was set" */
  readonly sentence: string;
}

/**
 * Values whose reading no longer speaks for the bow (docs/models.md section 12): a cause stands elsewhere
 * than when it was taken, by more than it notices, or a cause is itself stale for something that
 * changed since. Derived from the readings alone: no flag is stored. A cause read again after the
 * change and found as it was stops the ripple; one never measured lets it through.
 */
export function staleValues(
  history: History,
  valueOf: (key: SetupKey) => SetupValue = setupValue,
): Stale[] {
  const search: Search = { history, known: new Map(), valueOf };
  return [...history.keys()].flatMap((key) => staleOf(key, search) ?? []);
}

/** Whether something `key` rests on was changed after `seq`: a reading of that age no longer holds. */
export const changedSince = (
  history: History,
  key: SetupKey,
  seq: number,
  valueOf: (key: SetupKey) => SetupValue = setupValue,
): boolean => changeAbove(key, seq, { history, known: new Map(), valueOf }) !== null;

interface Search {
  readonly history: History;
  readonly known: Map<SetupKey, Stale | null>;
  readonly valueOf: (key: SetupKey) => SetupValue;
}

function staleOf(key: SetupKey, search: Search): Stale | null {
  const done = search.known.get(key);
  if (done !== undefined) return done;
  const own = latest(search.history, key);
  const found = own ? changeAbove(key, own.seq, search) : null;
  const stale = found && own ? describe(key, found.cause, [...found.chain, key], search) : null;
  search.known.set(key, stale);
  return stale;
}

function changeAbove(
  key: SetupKey,
  since: number,
  search: Search,
): { cause: Reading; chain: SetupKey[] } | null {
  const value = search.valueOf(key);
  for (const parent of value.dependsOn) {
    const rows = search.history.get(parent) ?? [];
    const cause = search.valueOf(parent);
    const changed = moved(rows, cause, noticed(value, cause), since);
    if (changed) return { cause: changed, chain: [parent] };
    const open = rows.length === 0 || staleOf(parent, search) !== null;
    const above = open ? changeAbove(parent, since, search) : null;
    if (above) return { cause: above.cause, chain: [...above.chain, parent] };
  }
  return null;
}

function describe(key: SetupKey, cause: Reading, chain: SetupKey[], { valueOf }: Search): Stale {
  const { changed } = valueOf(cause.key);
  const name = valueOf(key).name;
  const sentence = `${changed} after “${name.charAt(0).toLowerCase()}${name.slice(1)}” was taken`;
  return { key, cause, chain, sentence };
}

/** All values that would go stale if `key` changed now, in registry order of discovery. */
export function dependents(key: SetupKey, keys: Iterable<SetupKey>): SetupKey[] {
  const all = [...keys];
  const reached = new Set<SetupKey>([key]);
  let grew = true;
  while (grew) {
    grew = false;
    for (const candidate of all) {
      if (reached.has(candidate)) continue;
      if (setupValue(candidate).dependsOn.some((parent) => reached.has(parent))) {
        reached.add(candidate);
        grew = true;
      }
    }
  }
  reached.delete(key);
  return all.filter((candidate) => reached.has(candidate));
}
