'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { dayOf, whenText } from '../fields/dates';
import { WithFractions } from '../fields/Figure';
import { useConnected } from '../keep/connection';
import { changeWaiting, giveUp, takeOut, useWaiting } from '../keep/outbox';
import type { Stuck, Waiting } from '../keep/waiting-store';
import { Actions, Rows } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { Text } from '../pieces/Text';
import { waitingWords as w } from '../words';
import { Panel } from './Panel';
import { useAsk } from './useAsk';
import { useShell } from './useShell';
import css from './WaitingPanel.module.css';

/** What waits, in its order; where an entry asks, its answers. */
export function WaitingPanel({ onClose }: { onClose: () => void }) {
  const waiting = useWaiting();
  const connected = useConnected();
  const asks = waiting.some(({ stuck }) => stuck);
  const lead =
    waiting.length === 0 ? w.none : !connected ? w.leadLost : asks ? w.leadAsks : w.leadSending;
  return (
    <Panel wide title={w.title} onClose={onClose}>
      <Stack spacing={2}>
        <p>{lead}</p>
        <Rows aria-label={w.list} data-part="waiting">
          {waiting.map((entry) => (
            <Row key={entry.id} entry={entry} />
          ))}
        </Rows>
      </Stack>
    </Panel>
  );
}

function Row({ entry }: { entry: Waiting }) {
  const { shop } = useShell();
  const { ask, asking } = useAsk();
  const { summary, jobName, who, at, stuck } = entry;
  const today = todayIn(shop.timeZone);
  const out = async () => {
    const answer = await ask({
      title: w.takeOutAsk,
      text: w.takeOutText(summary),
      answers: [
        { id: 'leave', name: w.leave },
        { id: 'out', name: w.takeOut },
      ],
    });
    if (answer === 'out') await giveUp(entry.id);
  };
  return (
    <li className={css.row}>
      <span className={css.what}>
        <b>
          <WithFractions text={entry.unwanted ? w.unwanted(summary) : summary} />
        </b>{' '}
        <Text soft as="span">
          {jobName} · {w.by(who, whenText(at, shop.timeZone, today))}
        </Text>
      </span>
      {stuck ? (
        <Answers entry={entry} onOut={() => void out()} />
      ) : (
        !entry.unwanted && (
          <Button variant="text" size="small" onClick={() => void out()}>
            {w.takeOut}
          </Button>
        )
      )}
      {asking}
    </li>
  );
}

/** By the tablet's clock: whether a day is named hangs on it, and nothing else. */
const todayIn = (timeZone: string) => dayOf(new Date().toISOString(), timeZone);

/** Why it was not taken, what it met, and what can be done. */
function Answers({ entry, onOut }: { entry: Waiting; onOut: () => void }) {
  const { shop, who, mark } = useShell();
  const { stuck: _, ...free } = entry;
  const { reason, message, meets, stood } = entry.stuck!;
  const answered = (counts: 'this' | 'theirs' | 'now') =>
    void changeWaiting({ ...free, ...(stood ? { asked: { ...stoodOf(stood), counts } } : {}) });
  const isAnswer = entry.command.name === 'setAnswers';
  return (
    <Stack spacing={1.5} className={css.answers}>
      <Note kind={meets.length > 0 ? 'care' : 'stop'}>{message}</Note>
      {meets.map((meet) => (
        <dl key={meet.name} className={css.meet}>
          <dt>
            {meet.name}, {w.meetHere}
          </dt>
          <dd>
            <WithFractions text={meet.mine} />
          </dd>
          <dt>
            {meet.name}, {meet.who}
            {meet.at && `, ${whenText(meet.at, shop.timeZone, todayIn(shop.timeZone))}`}
          </dt>
          <dd>
            <WithFractions text={meet.theirs} />
          </dd>
        </dl>
      ))}
      <Actions>
        {(reason === 'entries-meet' || reason === 'archer-changed') && (
          <>
            <Button variant="outlined" onClick={() => answered('this')}>
              {w.mine}
            </Button>
            <Button
              variant="outlined"
              onClick={() => (isAnswer ? void takeOut(entry.id) : answered('theirs'))}
            >
              {isAnswer ? w.theirAnswer : w.theirs}
            </Button>
          </>
        )}
        {(reason === 'handed-over-meanwhile' || reason === 'other-bow') && (
          <Button variant="outlined" onClick={() => answered('now')}>
            {w.now}
          </Button>
        )}
        {reason === 'not-made-then' && (
          <Button
            variant="outlined"
            onClick={() => void changeWaiting({ ...free, who, mark, madeMs: Date.now() })}
          >
            {w.asMine(who)}
          </Button>
        )}
        {!KNOWN.includes(reason) && (
          <Button variant="outlined" onClick={() => void changeWaiting(free)}>
            {w.again}
          </Button>
        )}
        <Button variant="text" onClick={onOut}>
          {w.takeOut}
        </Button>
      </Actions>
    </Stack>
  );
}

const KNOWN = [
  'entries-meet',
  'archer-changed',
  'handed-over-meanwhile',
  'other-bow',
  'not-made-then',
];

/** How far the job stood when it was asked. */
const stoodOf = ({ version, seq }: NonNullable<Stuck['stood']>) => ({ version, seq });
