'use client';
import { useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import type { RowFault } from '@/contracts/csv';
import type { AnyPart, PartKind } from '@/core/kit';
import { slotName } from '@/core/kit';
import type { FileRead } from '@/workers/part-file';
import { Panel } from '../frame/Panel';
import { post } from '../job/post';
import { frame, partStock as w } from '../words';
import { Faults } from './Faults';

/** Parts sent at once. */
const PIECE = 500;

type Read = Extract<FileRead, { say: 'read' }>;
interface Look {
  readonly importId: string;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
}
type At =
  | { readonly at: 'start' }
  | { readonly at: 'reading' | 'sending'; readonly done: number; readonly total: number }
  | { readonly at: 'read'; readonly read: Read }
  | { readonly at: 'looked'; readonly read: Read; readonly look: Look }
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

  const read = (file: File) => {
    stop();
    setState({ at: 'reading', done: 0, total: 1 });
    void file.text().then((text) => {
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
    });
  };

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
    setState({ at: 'looked', read: found, look: (await response.json()) as Look });
  };

  const take = async (importId: string) => {
    const answer = await post(`/api/v1/shop/parts/imports/${importId}`, { only: null });
    if (!answer.ok) return setState({ at: 'refused', message: answer.message });
    sent.current = { id: null, stopped: false };
    onDone();
  };

  return (
    <Panel wide typing title={w.fromFile} onClose={onClose}>
      <div className="stack">
        <p>{w.fileHow}</p>
        {(state.at === 'start' || state.at === 'refused' || state.at === 'read') && (
          <div className="actions">
            <Button variant="outlined" component="label">
              {w.chooseFile}
              <input
                id="part-file"
                type="file"
                accept=".csv,.txt,.tsv,text/csv,text/plain"
                aria-label={w.chooseFile}
                hidden
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  if (file) read(file);
                  event.target.value = '';
                }}
              />
            </Button>
          </div>
        )}
        {(state.at === 'reading' || state.at === 'sending') && <Progress state={state} />}
        {state.at === 'refused' && (
          <p className="note" data-kind="stop" role="alert">
            {state.message}
          </p>
        )}
        {state.at === 'read' && <ReadFaults read={state.read} />}
        {state.at === 'looked' && (
          <p className="verdict" role="status">
            <b>
              {w.looked(
                slotName(state.read.kind),
                state.look.added,
                state.look.changed,
                state.look.same,
              )}
            </b>
          </p>
        )}
        <div className="actions">
          {state.at === 'looked' && (
            <Button variant="contained" onClick={() => void take(state.look.importId)}>
              {w.takeAll(state.read.parts.length)}
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
        </div>
      </div>
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
        className="progress"
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
      <p className="verdict" role="status">
        <b>{w.faulty(parts.length, faultCount)}</b>
      </p>
      <Faults faults={faults as readonly RowFault[]} count={faultCount} />
    </>
  );
}
