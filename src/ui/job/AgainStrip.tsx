'use client';
import { useState } from 'react';
import Link from 'next/link';
import History from '@mui/icons-material/History';
import Redo from '@mui/icons-material/Redo';
import Undo from '@mui/icons-material/Undo';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import clsx from 'clsx';
import { setupValue } from '@/core/setup';
import { Text } from '../pieces/Text';
import { Panel } from '../frame/Panel';
import { whenText } from '../fields/dates';
import { bench as w, frame, waitingWords } from '../words';
import { Rows } from '../pieces/layout';
import { Key } from '../pieces/texts';
import { useJob } from './JobProvider';
import { Still } from './Still';
import type { Undoing } from './useUndo';
import { whereTaken } from './step-of';
import { useStage } from './useStage';
import stripCss from '../frame/strip.module.css';
import css from './AgainStrip.module.css';

/** One quiet line: what has to be done again and why; at its end the last entry and its undo. */
export function AgainStrip({ undoing }: { undoing: Undoing }) {
  const { derived } = useJob();
  const { href } = useStage();
  const { stale, steps } = derived.plan;
  const [asking, setAsking] = useState(false);
  return (
    <footer
      className={stripCss.strip}
      data-part="strip"
      data-again={stale.length > 0 ? 'yes' : 'no'}
      aria-live="polite"
    >
      {stale.length === 0 ? (
        <b>{frame.nothingAgain}</b>
      ) : (
        <>
          <b>{frame.again(stale.length)}</b>
          {stale.slice(0, 2).map(({ key }) => {
            const where = whereTaken(key, steps);
            const name = setupValue(key).short;
            return (
              <span key={key} className={stripCss.againItem}>
                {where ? (
                  <Link scroll={false} href={href(...where)}>
                    {name}
                  </Link>
                ) : (
                  <b>{name}</b>
                )}
                <Still of={key} />
              </span>
            );
          })}
          <span className={stripCss.why}>{stale[0]!.sentence}</span>
          <Button type="button" variant="plain" onClick={() => setAsking(true)}>
            {w.chainOpen}
          </Button>
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
      <Stack spacing={2}>
        <p>{w.chainMinutes(stale.length, minutes)}</p>
        <Rows className={css.chainRows}>
          {stale.map(({ key, cause, chain, sentence }) => {
            const where = whereTaken(key, steps);
            const name = setupValue(key).name;
            return (
              <li key={key}>
                {where ? (
                  <Link scroll={false} onClick={onClose} href={href(...where)}>
                    {name}
                  </Link>
                ) : (
                  <b>{name}</b>
                )}
                <span>
                  {sentence}
                  <Text variant="small" soft className={css.chain}>
                    {chain.map((link) => setupValue(link).short).join(' → ')} ·{' '}
                    {w.taken(whenText(cause.at, snapshot.shop.timeZone, snapshot.today), cause.who)}
                  </Text>
                </span>
                <Still of={key} />
              </li>
            );
          })}
        </Rows>
      </Stack>
    </Panel>
  );
}

function LastEntry({ undoing }: { undoing: Undoing }) {
  const { snapshot, sending, trouble } = useJob();
  const last = snapshot.events.find((event) => event.canUndo);
  // While the connection is broken that is said, not that it is being saved.
  if (sending && trouble !== frame.lost)
    return (
      <Text soft as="span" className={stripCss.end}>
        {frame.saving}
      </Text>
    );
  if (trouble) {
    return (
      <span className={clsx(stripCss.end, stripCss.stripTrouble)} role="alert">
        {trouble}
      </span>
    );
  }
  return (
    <span className={clsx(stripCss.end, stripCss.lastEntry)}>
      {last && (
        <>
          <Text soft as="span" className={stripCss.lastText}>
            {last.id < 0 ? waitingWords.waits : frame.last} {last.summary}
          </Text>
          <Button type="button" variant="plain" data-often="undo" onClick={undoing.undo}>
            <Undo fontSize="small" /> {frame.undo} <Key className={stripCss.undoKey}>z</Key>
          </Button>
        </>
      )}
      {undoing.canRedo && (
        <Button type="button" variant="plain" data-often="redo" onClick={undoing.redo}>
          <Redo fontSize="small" /> {frame.redo}
        </Button>
      )}
      <Button
        type="button"
        variant="plain"
        aria-label={frame.history}
        title={frame.history}
        onClick={undoing.showHistory}
      >
        <History fontSize="small" />
      </Button>
    </span>
  );
}
