import { setupValue } from './registry';
import { MOVED_BY_PAPER, type Reading, type SetupKey, type SetupValue } from './types';

/** Why a reading no longer holds: from what changed down to the value itself. */
export interface Stale {
  readonly key: SetupKey;
  /** The change that started it; its time is after the reading's. */
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
const markOff = ({ data }: Reading) => (data?.kind === 'mark' ? (data.offMm ?? 0) : 0);

/** Whether `next` says something else than `before`: beyond the value's own tolerance. */
function differs(before: Reading | undefined, next: Reading): boolean {
  if (!before) return true;
  const { kind, tolerance } = setupValue(next.key);
  // Confirmed where the marks stood anyway, nothing that rests on them is touched.
  if (kind === 'mark') return Math.abs(markOff(next)) > MARK_AGREES_MM;
  if (next.method === MOVED_BY_PAPER && before.si !== next.si) return true;
  // A tick or a group given again is the work done again: what rests on it is looked at anew.
  if (kind === 'check' || kind === 'group') return kind === 'check';
  if (kind === 'choice') return before.choice !== next.choice;
  const far = (a: number | null, b: number | null) => Math.abs((a ?? 0) - (b ?? 0)) > tolerance;
  return kind === 'tear'
    ? far(before.si, next.si) || far(before.si2, next.si2)
    : far(before.si, next.si);
}

/**
 * Values whose reading is older than a change of something they depend on (models.md section 12).
 * Derived from the readings' order alone: no flag is stored. A value in between that was measured
 * again after the change and found unchanged stops the ripple; one never measured lets it through.
 */
export function staleValues(
  history: History,
  valueOf: (key: SetupKey) => SetupValue = setupValue,
): Stale[] {
  const search: Search = { history, known: new Map(), valueOf };
  return [...history.keys()].flatMap((key) => staleOf(key, search) ?? []);
}

/** Whether something `key` rests on was changed after `seq`: a reading of that age no longer holds. */
export const changedSince = (history: History, key: SetupKey, seq: number): boolean =>
  changeAbove(key, seq, { history, known: new Map(), valueOf: setupValue }) !== null;

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
  const stale = found && own ? describe(key, found.cause, [...found.chain, key]) : null;
  search.known.set(key, stale);
  return stale;
}

function changeAbove(
  key: SetupKey,
  since: number,
  search: Search,
): { cause: Reading; chain: SetupKey[] } | null {
  for (const parent of search.valueOf(key).dependsOn) {
    const rows = search.history.get(parent) ?? [];
    const { fromZero, tolerance } = search.valueOf(parent);
    const moved = (row: Reading, i: number) =>
      i > 0 ? differs(rows[i - 1], row) : fromZero && Math.abs(row.si ?? 0) > tolerance;
    const changed = rows.find((row, i) => row.seq > since && moved(row, i));
    // A first reading is news only where nothing stood before; the value was then set without it.
    if (changed) return { cause: changed, chain: [parent] };
    const open = rows.length === 0 || staleOf(parent, search) !== null;
    const above = open ? changeAbove(parent, since, search) : null;
    if (above) return { cause: above.cause, chain: [...above.chain, parent] };
  }
  return null;
}

function describe(key: SetupKey, cause: Reading, chain: SetupKey[]): Stale {
  const { changed } = setupValue(cause.key);
  const name = setupValue(key).name;
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
