'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { fitKeyName, isFitKey, type JobEvent } from '@/core/job';
import { isTaken, setupValue, type SetupKey } from '@/core/setup';
import type { HistoryPage, HistoryPreview } from '@/contracts/history';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { WithFractions } from '../fields/Figure';
import { whenText } from '../fields/dates';
import { frame, waitingWords } from '../words';
import { post } from '../keep/post';
import { FieldError, Note, Tag } from '../pieces/texts';
import { BlockTitle, Rows } from '../pieces/layout';
import { Discard } from './Discard';
import { useJob } from './JobProvider';
import css from './HistoryPanel.module.css';
import { askShop } from '../keep/ask-shop';
import { useNewest } from '../keep/useNewest';

const REST_MS = 250;
/** Readings shown before the rest is left to the search of entries. */
const MOST_READINGS = 60;

/** Everything entered on this job: searched, taken back, brought again, left out, taken in. */
export function HistoryPanel({ onClose }: { onClose: () => void }) {
  const { snapshot } = useJob();
  const { job } = snapshot;
  const [words, setWords] = useState('');
  const [page, setPage] = useState<HistoryPage | null>(null);
  const [trouble, setTrouble] = useState('');
  const known = useRef(snapshot.events);
  useEffect(() => {
    known.current = snapshot.events;
  }, [snapshot.events]);
  const begins = useNewest();
  const load = useCallback(
    async (before: number | null) => {
      const isNewest = begins();
      const query = new URLSearchParams({ words, ...(before ? { before: String(before) } : {}) });
      const response = await askShop(`/api/v1/jobs/${job.id}/history?${query}`).catch(() => null);
      const next = response?.ok ? ((await response.json()) as HistoryPage) : null;
      // Other words, or the same again, were asked for meanwhile.
      if (!isNewest()) return;
      if (!next) {
        // Without a connection: what this tablet knows, with what waits in it.
        setPage({ events: [...known.current], leftOut: [], more: false });
        return setTrouble(waitingWords.historyKnown);
      }
      setTrouble('');
      setPage((now) =>
        before && now ? { ...now, more: next.more, events: [...now.events, ...next.events] } : next,
      );
    },
    [begins, job.id, words],
  );
  useEffect(() => {
    const timer = setTimeout(() => void load(null), REST_MS);
    return () => clearTimeout(timer);
    // Every entry of this job, also from here, is a new version.
  }, [load, job.version]);
  return (
    <Panel wide title={frame.historyTitle} onClose={onClose}>
      <Stack spacing={2} className={css.history}>
        <TextField
          id="history-words"
          label={frame.historyFind}
          value={words}
          autoFocus
          autoComplete="off"
          slotProps={{ htmlInput: { maxLength: 80 } }}
          onChange={(event) => setWords(event.target.value)}
        />
        {trouble && <FieldError role="alert">{trouble}</FieldError>}
        {page?.events.length === 0 && <Text soft>{frame.historyNone}</Text>}
        {page &&
          visitsOf(page.events).map(({ visit, events }, _, all) => (
            <section key={visit} data-part="visit">
              {(all.length > 1 || visit > 1) && <BlockTitle>{frame.visit(visit)}</BlockTitle>}
              <Rows className={css.historyRows}>
                {events.map((event) => (
                  <Entry key={event.id} event={event} />
                ))}
              </Rows>
            </section>
          ))}
        {page?.more && (
          <Button variant="text" onClick={() => void load(page.events.at(-1)!.id)}>
            {frame.historyMore}
          </Button>
        )}
        {words === '' && <Counting />}
        {page && page.leftOut.length > 0 && <LeftOutReadings rows={page.leftOut} />}
      </Stack>
    </Panel>
  );
}

/** Entries by the visit they belong to, in the order they come in. */
function visitsOf(events: readonly JobEvent[]) {
  const visits = new Map<number, JobEvent[]>();
  for (const event of events) visits.set(event.visit, [...(visits.get(event.visit) ?? []), event]);
  return [...visits].map(([visit, of]) => ({ visit, events: of }));
}

/** One entry; what taking it back would ask for is said before it is done. */
function Entry({ event }: { event: JobEvent }) {
  const { snapshot, send } = useJob();
  const [preview, setPreview] = useState<HistoryPreview | 'looking' | null>(null);
  const [trouble, setTrouble] = useState('');
  const name = event.canRedo ? 'redo' : 'undo';
  const look = async () => {
    // Not sent yet: nothing rests on it but what waits behind it.
    if (event.id < 0) return void send({ name: 'undo', event: event.id });
    setPreview('looking');
    const answer = await post<HistoryPreview>(`/api/v1/jobs/${snapshot.job.id}/history`, {
      event: event.id,
    });
    setPreview(answer.ok ? answer.body : null);
    setTrouble(answer.ok ? '' : answer.message);
  };
  const act = async () => {
    const answer = await send({ name, event: event.id });
    setTrouble(answer?.message ?? '');
    setPreview(null);
  };
  return (
    <li data-gone={event.canRedo ? 'yes' : undefined}>
      <Text variant="small" soft className={css.historyWhen}>
        {whenText(event.at, snapshot.shop.timeZone, snapshot.today)}, {event.who}
      </Text>
      <span className={css.historyWhat}>
        <WithFractions text={event.summary} />
        {event.canRedo && <Tag>{frame.takenBack}</Tag>}
      </span>
      {(event.canUndo || event.canRedo) && preview === null && (
        <Button variant="text" size="small" onClick={() => void look()}>
          {event.canRedo ? frame.bringAgain : frame.takeBack} …
        </Button>
      )}
      {preview !== null && (
        <Note className={css.historyPreview} role="status">
          {preview === 'looking' ? (
            frame.looking
          ) : preview.why ? (
            preview.why
          ) : (
            <>
              <p>
                {preview.again.length > 0 ? frame.previewAgain(preview.again) : frame.previewNone}{' '}
                {preview.open.length > 0 && frame.previewOpen(preview.open)}
              </p>
              <Button variant="outlined" size="small" onClick={() => void act()}>
                {event.canRedo ? frame.bringAgain : frame.takeBack}
              </Button>
              <Button variant="text" size="small" onClick={() => setPreview(null)}>
                {frame.cancel}
              </Button>
            </>
          )}
        </Note>
      )}
      {trouble && <FieldError role="alert">{trouble}</FieldError>}
    </li>
  );
}

const nameOf = (key: string) =>
  isFitKey(key) ? fitKeyName(key) : setupValue(key as SetupKey).name;

/** Every reading that counts, newest first, each to be left out with a reason. */
function Counting() {
  const { snapshot } = useJob();
  const rows = [
    ...snapshot.fitReadings,
    ...snapshot.readings.filter(({ key }) => isTaken(key)),
  ].sort((a, b) => b.seq - a.seq);
  if (rows.length === 0) return null;
  return (
    <section>
      <BlockTitle>{frame.readingsTitle}</BlockTitle>
      <Rows className={css.historyRows}>
        {rows.slice(0, MOST_READINGS).map(({ seq, key, entered, who, at }) => (
          <li key={seq}>
            <Text variant="small" soft className={css.historyWhen}>
              {whenText(at, snapshot.shop.timeZone, snapshot.today)}, {who}
            </Text>
            <span className={css.historyWhat}>
              {nameOf(key)} <WithFractions text={entered} />
            </span>
            <Discard seq={seq} />
          </li>
        ))}
      </Rows>
    </section>
  );
}

function LeftOutReadings({ rows }: { rows: HistoryPage['leftOut'] }) {
  const { snapshot, send } = useJob();
  return (
    <section>
      <BlockTitle>{frame.leftOutTitle}</BlockTitle>
      <Rows className={css.historyRows}>
        {rows.map(({ seq, key, entered, reason, who, at }) => (
          <li key={seq}>
            <Text variant="small" soft className={css.historyWhen}>
              {whenText(at, snapshot.shop.timeZone, snapshot.today)}, {who}
            </Text>
            <span className={css.historyWhat}>
              <s>
                {nameOf(key)} <WithFractions text={entered} />
              </s>{' '}
              <Text soft as="span">
                {reason}
              </Text>
            </span>
            <Button variant="text" size="small" onClick={() => void send({ name: 'takeIn', seq })}>
              {frame.takeIn}
            </Button>
          </li>
        ))}
      </Rows>
    </section>
  );
}
