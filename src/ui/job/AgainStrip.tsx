'use client';
import Link from 'next/link';
import Undo from '@mui/icons-material/Undo';
import { setupValue } from '@/core/route';
import { frame } from '../words';
import { useJob } from './JobProvider';
import { stepOf } from './steps';
import { useStage } from './useStage';

/** One quiet line: what has to be done again and why; at its end the last entry and its undo. */
export function AgainStrip() {
  const { derived } = useJob();
  const { href } = useStage();
  const { stale, steps } = derived.plan;
  return (
    <footer className="strip" data-again={stale.length > 0 ? 'yes' : 'no'} aria-live="polite">
      {stale.length === 0 ? (
        <b>{frame.nothingAgain}</b>
      ) : (
        <>
          <b className="nowrap">{frame.again(stale.length)}</b>
          {stale.slice(0, 3).map(({ key }) => {
            const step = stepOf(key, steps);
            const name = setupValue(key).short;
            return step ? (
              <Link
                key={key}
                scroll={false}
                href={href(step.template.stage, { step: step.id, value: key })}
              >
                {name}
              </Link>
            ) : (
              <b key={key}>{name}</b>
            );
          })}
          <span className="why">{stale[0]!.sentence}</span>
        </>
      )}
      <LastEntry />
    </footer>
  );
}

function LastEntry() {
  const { snapshot, send, sending, trouble } = useJob();
  const last = snapshot.events.find((event) => event.canUndo);
  if (sending) return <span className="end soft">{frame.saving}</span>;
  if (trouble) {
    return (
      <span className="end strip-trouble" role="alert">
        {trouble}
      </span>
    );
  }
  if (!last) return null;
  return (
    <span className="end last-entry">
      <span className="soft last-text">
        {frame.last} {last.summary}
      </span>
      <button type="button" className="plain-button" onClick={() => void send({ name: 'undo' })}>
        <Undo fontSize="small" /> {frame.undo} <span className="key">z</span>
      </button>
    </span>
  );
}
