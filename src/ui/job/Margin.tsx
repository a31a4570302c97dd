import type { ReactNode } from 'react';
import { Text } from '../pieces/Text';
import { frame, meet } from '../words';
import { useJob } from './JobProvider';
import { useStage } from './useStage';
import css from './Margin.module.css';

interface WatchItem {
  readonly id: string;
  readonly text: string;
  readonly stop?: boolean;
}

/** What was said in Meet and belongs to no figure: it is read where the work is done. */
function FromMeet() {
  const { snapshot } = useJob();
  const { stage } = useStage();
  const { job, archer } = snapshot;
  const said = [
    job.notes.trim() && { name: meet.notes, text: job.notes.trim() },
    archer.eyesight.trim() && { name: meet.eyesight, text: archer.eyesight.trim() },
  ].filter((entry) => entry !== '');
  if (stage === 'meet' || said.length === 0) return null;
  return (
    <section>
      <h2>{frame.fromMeet}</h2>
      <ul>
        {said.map(({ name, text }) => (
          <li key={name}>
            <Text soft as="span">
              {name}:
            </Text>{' '}
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
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
    <aside className={css.margin} data-part="margin" tabIndex={0} aria-label={frame.margin}>
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
        <section className={css.watch}>
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
      <FromMeet />
    </aside>
  );
}
