'use client';
import { useEffect, useRef, useState } from 'react';
import type { ImportLook } from '@/contracts/csv';
import type { AnyPart, PartKind } from '@/core/kit';
import type { FileRead } from '@/workers/part-file';
import { post } from '../keep/post';
import { partStock as w } from '../words';
import { NO_TICKS, ticksBody } from './ChangeList';
import { moreOfLook } from './more-of-look';
import { useTextFile } from './useTextFile';
import { askShop } from '../keep/ask-shop';

/** Parts sent at once. */
const PIECE = 500;

export type FileParts = Extract<FileRead, { say: 'read' }>;
type At =
  | { readonly at: 'start' }
  | { readonly at: 'reading' | 'sending'; readonly done: number; readonly total: number }
  | { readonly at: 'read'; readonly read: FileParts }
  | { readonly at: 'looked'; readonly read: FileParts; readonly look: ImportLook }
  | { readonly at: 'refused'; readonly message: string };

/**
 * A file is read in a worker, sent in pieces nobody sees, looked at, and taken at once or not at
 * all; at every moment it can be stopped.
 */
export function usePartImport(onDone: () => void) {
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

  const send = async (found: FileParts) => {
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
    const response = await askShop(`/api/v1/shop/parts/imports/${mine.id}`);
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

  return { state, file, ticks, setTicks, send, take, more, stop };
}

const sendPiece = (id: string | null, kind: PartKind, parts: readonly AnyPart[]) =>
  post<{ importId: string }>('/api/v1/shop/parts/imports', {
    ...(id === null ? {} : { importId: id }),
    kind,
    parts,
  });
