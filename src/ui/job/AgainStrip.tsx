'use client';
import { useState } from 'react';
import Link from 'next/link';
import History from '@mui/icons-material/History';
import Redo from '@mui/icons-material/Redo';
import Undo from '@mui/icons-material/Undo';
import { setupValue } from '@/core/setup';
import { Panel } from '../frame/Panel';
import { whenText } from '../fields/dates';
import { bench as w, frame } from '../words';
import { useJob } from './JobProvider';
import { Still } from './Still';
import type { Undoing } from './useUndo';
import { stepOf } from './step-of';
import { useStage } from './useStage';

/** One quiet line: what has to be done again and why; at its end the last entry and its undo. */
export function AgainStrip({ undoing }: { undoing: Undoing }) {
  const { derived } = useJob();
  const { href } = useStage();
  const { stale, steps } = derived.plan;
  const [asking, setAsking] = useState(false);
  return (
    <footer className="strip" data-again={stale.length > 0 ? 'yes' : 'no'} aria-live="polite">
      {stale.length === 0 ? (
        <b>{frame.nothingAgain}</b>
      ) : (
        <>
          <b className="nowrap">{frame.again(stale.length)}</b>
          {stale.slice(0, 2).map(({ key }) => {
            const step = stepOf(key, steps);
            const name = setupValue(key).short;
            return (
              <span key={key} className="again-item">
                {step ? (
                  <Link
                    scroll={false}
                    href={href(step.template.stage, { step: step.id, value: key })}
                  >
                    {name}
                  </Link>
                ) : (
                  <b>{name}</b>
                )}
                <Still of={key} />
              </span>
            );
          })}
          <span className="why">{stale[0]!.sentence}</span>
          <button type="button" className="plain-button" onClick={() => setAsking(true)}>
            {w.chainOpen}
          </button>
          {asking && <Chains onClose={() => setAsking(false)} />}
        </>
      )}
      <LastEntry undoing={undoing} />
    </footer>
  );
}

/** Everything to do again, each with the way from what changed down to it. */
function Chains({ onClose }: { onClose: () => void }) {
  const { derived, snapshot } = useJob();
  const { href } = useStage();
  const { stale, steps } = derived.plan;
  const again = steps.filter(({ state }) => state === 'again');
  const minutes = again.reduce((sum, { template }) => sum + template.minutes, 0);
  return (
    <Panel wide title={w.chainTitle} onClose={onClose}>
      <div className="stack">
        <p>{w.chainMinutes(stale.length, minutes)}</p>
        <ul className="rows chain-rows">
          {stale.map(({ key, cause, chain, sentence }) => {
            const step = stepOf(key, steps);
            const name = setupValue(key).name;
            return (
              <li key={key}>
                {step ? (
                  <Link
                    scroll={false}
                    onClick={onClose}
                    href={href(step.template.stage, { step: step.id, value: key })}
                  >
                    {name}
                  </Link>
                ) : (
                  <b>{name}</b>
                )}
                <span>
                  {sentence}
                  <span className="small soft chain">
                    {chain.map((link) => setupValue(link).short).join(' → ')} ·{' '}
                    {w.taken(whenText(cause.at, snapshot.shop.timeZone, snapshot.today), cause.who)}
                  </span>
                </span>
                <Still of={key} />
              </li>
            );
          })}
        </ul>
      </div>
    </Panel>
  );
}

function LastEntry({ undoing }: { undoing: Undoing }) {
  const { snapshot, sending, trouble } = useJob();
  const last = snapshot.events.find((event) => event.canUndo);
  // While the connection is broken that is said, not that it is being saved.
  if (sending && trouble !== frame.lost) return <span className="end soft">{frame.saving}</span>;
  if (trouble) {
    return (
      <span className="end strip-trouble" role="alert">
        {trouble}
      </span>
    );
  }
  return (
    <span className="end last-entry">
      {last && (
        <>
          <span className="soft last-text">
            {frame.last} {last.summary}
          </span>
          <button type="button" className="plain-button" onClick={undoing.undo}>
            <Undo fontSize="small" /> {frame.undo} <span className="key">z</span>
          </button>
        </>
      )}
      {undoing.canRedo && (
        <button type="button" className="plain-button" onClick={undoing.redo}>
          <Redo fontSize="small" /> {frame.redo}
        </button>
      )}
      <button
        type="button"
        className="plain-button"
        aria-label={frame.history}
        title={frame.history}
        onClick={undoing.showHistory}
      >
        <History fontSize="small" />
      </button>
    </span>
  );
}
