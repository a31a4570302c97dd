import type { ReactNode } from 'react';
import { frame } from '../words';

export interface WatchItem {
  readonly id: string;
  readonly text: string;
  readonly stop?: boolean;
}

/** At the right: why this number, and what to look out for now. */
export function Margin({
  first,
  because,
  watch,
}: {
  first?: ReactNode;
  because: readonly ReactNode[];
  watch: readonly WatchItem[];
}) {
  return (
    // It scrolls by itself, so it must be reachable by keyboard.
    <aside className="margin" tabIndex={0} aria-label={frame.margin}>
      {first}
      {because.length > 0 && (
        <section>
          <h2>{frame.because}</h2>
          <ul>
            {because.map((entry, i) => (
              <li key={i}>{entry}</li>
            ))}
          </ul>
        </section>
      )}
      {watch.length > 0 && (
        <section className="watch">
          <h2>{frame.watch}</h2>
          <ul>
            {watch.map(({ id, text, stop }) => (
              <li key={id} data-stop={stop ? 'yes' : undefined}>
                <span>{text}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </aside>
  );
}
