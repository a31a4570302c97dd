'use client';
import { useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { ImportLook, RowFault } from '@/contracts/csv';
import { type AnyPart, type PartKind, slotName } from '@/core/kit';
import type { FileRead } from '@/workers/part-file';
import { Panel } from '../frame/Panel';
import { post } from '../keep/post';
import { frame, partStock as w } from '../words';
import { Actions, Verdict } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { ChangeList, NO_TICKS, ticksBody } from './ChangeList';
import { Faults } from './Faults';
import { moreOfLook } from './more-of-look';
import { useTextFile } from './useTextFile';
import css from './ImportParts.module.css';

/** Parts sent at once. */
const PIECE = 500;

type Read = Extract<FileRead, { say: 'read' }>;
type At =
  | { readonly at: 'start' }
  | { readonly at: 'reading' | 'sending'; readonly done: number; readonly total: number }
  | { readonly at: 'read'; readonly read: Read }
  | { readonly at: 'looked'; readonly read: Read; readonly look: ImportLook }
  | { readonly at: 'refused'; readonly message: string };

/**
 * A file is read in a worker, sent in pieces nobody sees, looked at, and taken at once or not at
 * all; at every moment it can be stopped.
 */
export function ImportParts({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const [state, setState] = useState<At>({ at: 'start' });
  const worker = useRef<Worker | null>(null);
  const sent = useRef<{ id: string | null; stopped: boolean }>({ id: null, stopped: false });
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    const { id } = sent.current;
    sent.current = { id: null, stopped: true };
    if (id) void post(`/api/v1/shop/parts/imports/${id}`, {}, 'DELETE');
  };
  // Closing the panel in the middle stops the work.
  useEffect(() => stop, []);

  const [ticks, setTicks] = useState(NO_TICKS);
  const read = (text: string) => {
    stop();
    setTicks(NO_TICKS);
    setState({ at: 'reading', done: 0, total: 1 });
    const thread = new Worker(new URL('../../workers/part-file.worker.ts', import.meta.url));
    worker.current = thread;
    thread.onmessage = ({ data }: MessageEvent<FileRead>) => {
      if (data.say === 'progress') setState({ at: 'reading', ...data });
      else if (data.say === 'refused') setState({ at: 'refused', message: data.message });
      else if (data.faultCount === 0) void send(data);
      else setState({ at: 'read', read: data });
    };
    thread.onerror = () => setState({ at: 'refused', message: w.notRead });
    thread.postMessage(text);
  };
  const file = useTextFile(read);

  const send = async (found: Read) => {
    const mine: { id: string | null; stopped: boolean } = { id: null, stopped: false };
    sent.current = mine;
    const { parts, kind } = found;
    for (let at = 0; at < parts.length; at += PIECE) {
      setState({ at: 'sending', done: at, total: parts.length });
      const answer = await sendPiece(mine.id, kind, parts.slice(at, at + PIECE));
      if (!answer.ok) {
        if (mine.id) void post(`/api/v1/shop/parts/imports/${mine.id}`, {}, 'DELETE');
        return setState({ at: 'refused', message: answer.message });
      }
      mine.id = answer.body.importId;
      // Stopped while this piece was on its way: it is taken back as well.
      if (mine.stopped) return void post(`/api/v1/shop/parts/imports/${mine.id}`, {}, 'DELETE');
    }
    const response = await fetch(`/api/v1/shop/parts/imports/${mine.id}`);
    if (!response.ok) return setState({ at: 'refused', message: w.notRead });
    setState({ at: 'looked', read: found, look: (await response.json()) as ImportLook });
  };

  const take = async (importId: string) => {
    const url = `/api/v1/shop/parts/imports/${importId}`;
    const answer = await post(url, { only: null, ...ticksBody(ticks) });
    if (!answer.ok) return setState({ at: 'refused', message: answer.message });
    sent.current = { id: null, stopped: false };
    onDone();
  };

  const more = async (looked: Extract<At, { at: 'looked' }>) => {
    const look = await moreOfLook(looked.look);
    if (look) setState({ ...looked, look });
    else setState({ at: 'refused', message: w.notRead });
  };

  return (
    <Panel wide typing title={w.fromFile} onClose={onClose}>
      <Stack spacing={2}>
        <p>{w.fileHow}</p>
        {state.at !== 'reading' && state.at !== 'sending' && (
          <Actions>
            <Button variant="outlined" component="label">
              {w.chooseFile}
              <input
                id="part-file"
                type="file"
                accept=".csv,.txt,.tsv,text/csv,text/plain"
                aria-label={w.chooseFile}
                hidden
                onChange={(event) => {
                  const chosen = event.target.files?.[0];
                  if (chosen) file.choose(chosen);
                  event.target.value = '';
                }}
              />
            </Button>
          </Actions>
        )}
        {state.at !== 'sending' && file.asking}
        {(state.at === 'reading' || state.at === 'sending') && <Progress state={state} />}
        {state.at === 'refused' && (
          <Note kind="stop" role="alert">
            {state.message}
          </Note>
        )}
        {state.at === 'read' && <ReadFaults read={state.read} />}
        {state.at === 'looked' && (
          <Verdict role="status">
            <b>
              {w.looked(
                slotName(state.read.kind),
                state.look.added,
                state.look.changed,
                state.look.same,
              )}
            </b>
          </Verdict>
        )}
        {state.at === 'looked' && (
          <ChangeList
            {...state.look}
            ticks={ticks}
            onTicks={setTicks}
            onMore={() => void more(state)}
          />
        )}
        <Actions>
          {state.at === 'looked' && (
            <Button variant="contained" onClick={() => void take(state.look.importId)}>
              {w.takeAll(
                state.read.parts.length -
                  ticks.except.size -
                  (state.look.jumpCount - ticks.jumps.size),
              )}
            </Button>
          )}
          {state.at === 'read' && state.read.parts.length > 0 && (
            <Button variant="contained" onClick={() => void send(state.read)}>
              {w.keepGood(state.read.parts.length)}
            </Button>
          )}
          <Button
            variant={state.at === 'read' ? 'outlined' : 'text'}
            onClick={() => {
              stop();
              onClose();
            }}
          >
            {state.at === 'read'
              ? w.refuseAll
              : state.at === 'reading' || state.at === 'sending'
                ? w.stop
                : frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}

const sendPiece = (id: string | null, kind: PartKind, parts: readonly AnyPart[]) =>
  post<{ importId: string }>('/api/v1/shop/parts/imports', {
    ...(id === null ? {} : { importId: id }),
    kind,
    parts,
  });

function Progress({
  state: { at, done, total },
}: {
  state: { at: 'reading' | 'sending'; done: number; total: number };
}) {
  const percent = Math.round((100 * done) / Math.max(1, total));
  return (
    <div>
      <p role="status">{at === 'reading' ? w.reading(done, total) : w.sending(done, total)}</p>
      <div
        className={css.progress}
        role="progressbar"
        aria-label={at === 'reading' ? w.readingBar : w.sendingBar}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
      >
        <span style={{ width: `${percent}%` }} />
      </div>
    </div>
  );
}

function ReadFaults({ read: { parts, faults, faultCount } }: { read: Read }) {
  return (
    <>
      <Verdict role="status">
        <b>{w.faulty(parts.length, faultCount)}</b>
      </Verdict>
      <Faults faults={faults as readonly RowFault[]} count={faultCount} />
    </>
  );
}
