import type { Span } from './types';

/** Taken spans of one thing, as two lists in step, oldest first. */
export interface Timeline {
  readonly from: number[];
  readonly to: number[];
}

export const emptyTimeline = (): Timeline => ({ from: [], to: [] });

export const copyOf = ({ from, to }: Timeline): Timeline => ({
  from: from.slice(),
  to: to.slice(),
});

/** Free only within the spans given. */
export function freeWithin(spans: readonly Span[]): Timeline {
  const line = emptyTimeline();
  let end = -Infinity;
  for (const span of spans) {
    if (span.from > end) {
      line.from.push(end);
      line.to.push(span.from);
    }
    end = Math.max(end, span.to);
  }
  line.from.push(end);
  line.to.push(Infinity);
  return line;
}

/** First taken span that ends after `at`. */
function firstAfter({ to }: Timeline, at: number): number {
  let low = 0;
  let high = to.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (to[mid]! <= at) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** Earliest time from `at` on with `length` free minutes; Infinity where there is none. */
export function nextFree(line: Timeline, at: number, length: number): number {
  let start = at;
  for (let i = firstAfter(line, at); i < line.from.length; i++) {
    if (start + length <= line.from[i]!) return start;
    start = Math.max(start, line.to[i]!);
  }
  return start;
}

export const isFree = (line: Timeline, at: number, length: number) =>
  nextFree(line, at, length) === at;

/** Marks a span as taken; it has to be free. */
export function take(line: Timeline, from: number, to: number): void {
  const i = firstAfter(line, from);
  line.from.splice(i, 0, from);
  line.to.splice(i, 0, to);
}
