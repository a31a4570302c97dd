import { setupValue } from './registry';
import { CONFIRMED, MOVED_BY_PAPER, type Reading, type SetupKey, type SetupValue } from './types';

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

/** Readings by key, oldest first. */
export type History = ReadonlyMap<SetupKey, readonly Reading[]>;

export function historyOf(readings: readonly Reading[]): History {
  const map = new Map<SetupKey, Reading[]>();
  for (const reading of [...readings].sort((a, b) => a.seq - b.seq)) {
    const list = map.get(reading.key);
    if (list) list.push(reading);
    else map.set(reading.key, [reading]);
  }
  return map;
}

export const latest = (history: History, key: SetupKey) => history.get(key)?.at(-1) ?? null;

/** A confirmed mark within this of where it was expected changes nothing, mm at the pin. */
const MARK_AGREES_MM = 0.5;
/** Groups further apart than this were shot at different distances, m. */
const OTHER_DISTANCE_M = 0.5;
/** What paper moved counts however little it is. */
const ANY = 1e-9;

/** The least change of a cause that a value resting on it notices. */
export const noticed = (value: SetupValue, cause: SetupValue): number =>
  value.over?.[cause.key] ?? cause.notice ?? cause.tolerance;

/** How a cause stood: a number (two of a tear), or what was chosen. */
type Stood = Pick<Reading, 'si' | 'si2' | 'choice'>;
const ZERO: Stood = { si: 0, si2: 0, choice: null };

/** Whether `now` stands elsewhere than `then`, further than the dependent notices. */
function apart(kind: SetupValue['kind'], then: Stood, now: Stood, over: number): boolean {
  const far = (a: number | null, b: number | null) => Math.abs((a ?? 0) - (b ?? 0)) > over;
  switch (kind) {
    case 'choice':
    case 'text':
      return then.choice !== now.choice;
    case 'tear':
      return Math.hypot((now.si ?? 0) - (then.si ?? 0), (now.si2 ?? 0) - (then.si2 ?? 0)) > over;
    case 'group':
      return Math.abs((then.si ?? 0) - (now.si ?? 0)) > OTHER_DISTANCE_M;
    default:
      return far(then.si, now.si);
  }
}

/**
 * The reading from which on a cause has stood elsewhere than at `since`, by more than is noticed;
 * null where it stands as it did. Compared are then and now: what was read in between is no matter,
 * so that small moves add up and a thing put back is no cause any more.
 */
function moved(
  rows: readonly Reading[],
  cause: SetupValue,
  over: number,
  since: number,
): Reading | null {
  const later = rows.filter(({ seq }) => seq > since);
  if (later.length === 0) return null;
  if (cause.kind === 'check') {
    // Work done again is a change each time; looked at and found as it was is none.
    return later.find(({ method }) => method !== CONFIRMED) ?? null;
  }
  if (cause.kind === 'mark')
    return (
      later.find(
        ({ data }) => data?.kind === 'mark' && Math.abs(data.offMm ?? 0) > MARK_AGREES_MM,
      ) ?? null
    );
  const before = rows.findLast(({ seq }) => seq <= since);
  // Not read before: it then stood where it was first found, or at nothing.
  const then: Stood = before ?? (cause.fromZero ? ZERO : later[0]!);
  const byPaper = later.some(({ method }) => method === MOVED_BY_PAPER);
  const least = byPaper ? ANY : over;
  const isApart = (row: Reading) => apart(cause.kind, then, row, least);
  if (!isApart(later.at(-1)!)) return null;
  const lastAsThen = later.findLastIndex((row) => !isApart(row));
  return later[lastAsThen + 1]!;
}

/**
 * Values whose reading no longer speaks for the bow (models.md section 12): a cause stands elsewhere
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

/** Readings of a value taken while everything of `others` stood as it stands now. */
export function sinceLastChange(
  history: History,
  key: SetupKey,
  others: readonly SetupKey[],
): readonly Reading[] {
  const value = setupValue(key);
  return (history.get(key) ?? []).filter(
    ({ seq }) =>
      !others.some((other) => {
        const cause = setupValue(other);
        return moved(history.get(other) ?? [], cause, noticed(value, cause), seq) !== null;
      }),
  );
}
