import type { ReadingData } from './reading-data';

/** Method of a reading that paper, a bare shaft or a walk-back moved: it counts however little it is. */
export const MOVED_BY_PAPER = 'paper';
/** Method of a reading somebody looked at again and found as it was. */
export const CONFIRMED = 'confirmed';

/** A set-up value as somebody measured it. Rows are added, never changed. */
export interface ReadingOf<K extends string> {
  /** Grows with time; orders readings taken in the same instant. */
  readonly seq: number;
  readonly key: K;
  /** SI; null for a tick or a choice. */
  readonly si: number | null;
  /** Second number: turns of a weighing, `up` of a tear, distance of a group. */
  readonly si2: number | null;
  readonly choice: string | null;
  /** As typed, with its unit: "28 3/8 in". */
  readonly entered: string;
  readonly method: string;
  readonly who: string;
  /** UTC instant, ISO. */
  readonly at: string;
  /** What it was made from; null for a plain entry. */
  readonly data: ReadingData | null;
}

/** Readings by key, oldest first. */
export type HistoryOf<K extends string> = ReadonlyMap<K, readonly ReadingOf<K>[]>;

export function historyOf<K extends string>(readings: readonly ReadingOf<K>[]): HistoryOf<K> {
  const map = new Map<K, ReadingOf<K>[]>();
  for (const reading of [...readings].sort((a, b) => a.seq - b.seq)) {
    const list = map.get(reading.key);
    if (list) list.push(reading);
    else map.set(reading.key, [reading]);
  }
  return map;
}

export const latest = <K extends string>(history: HistoryOf<K>, key: NoInfer<K>) =>
  history.get(key)?.at(-1) ?? null;
