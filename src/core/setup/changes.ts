import { CONFIRMED, MOVED_BY_PAPER } from './reading';
import { setupValue, type History, type Reading, type SetupKey, type SetupValue } from './registry';

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
export function moved(
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
