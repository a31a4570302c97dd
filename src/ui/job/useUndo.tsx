'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { STAGES } from '@/core/setup';
import type { JobEvent } from '@/core/job';
import { Text } from '../pieces/Text';
import { useShell } from '../frame/useShell';
import { useAsk } from '../frame/useAsk';
import { whenText } from '../fields/dates';
import { frame } from '../words';
import { HistoryPanel } from './HistoryPanel';
import { useJob } from './JobProvider';
import { useStage } from './useStage';

/** Older than this it is asked before it goes. */
const OLD_MS = 10 * 60_000;

export interface Undoing {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly showHistory: () => void;
  readonly canRedo: boolean;
  /** The question, or the history, where one is open. */
  readonly open: ReactNode;
}

/** Why an entry is not taken back without a question; empty where it simply goes. */
function doubts(event: JobEvent, who: string, stage: string, now: number): string[] {
  const name = STAGES.find(({ id }) => id === event.stage)?.name;
  return [
    ...(now - Date.parse(event.at) > OLD_MS ? [frame.undoWhy.old] : []),
    ...(event.who !== who ? [frame.undoWhy.other] : []),
    ...(name && event.stage !== stage ? [frame.undoWhy.stage(name)] : []),
  ];
}

/** Taking back, bringing again, and the history of the job. */
export function useUndo(): Undoing {
  const { snapshot, send, settled } = useJob();
  const { who } = useShell();
  const { stage } = useStage();
  const { ask, asking } = useAsk();
  const [history, setHistory] = useState(false);
  // The shop’s clock goes on from when this was read; the tablet’s may be wrong.
  const readAt = useRef({ now: '', at: 0 });
  useEffect(() => {
    readAt.current = { now: snapshot.now, at: performance.now() };
  }, [snapshot.now]);
  const before = useRef<Promise<void>>(Promise.resolve());
  const undo = async () => {
    // What was entered a moment ago and is still on its way is the newest entry.
    const snapshot = await settled();
    const last = snapshot.events.find((event) => event.canUndo);
    // The server says why, where there is nothing.
    if (!last) return void (await send({ name: 'undo' }));
    const now = Date.parse(snapshot.now) + (performance.now() - readAt.current.at);
    const why = doubts(last, who, stage, now);
    if (why.length > 0) {
      const when = whenText(last.at, snapshot.shop.timeZone, snapshot.today);
      const answer = await ask({
        title: frame.undoAsk,
        text: (
          <>
            <p>
              <b>{frame.undoText(last.summary, last.who, when)}</b>
            </p>
            <Text soft>{why.join(' ')}</Text>
          </>
        ),
        answers: [
          { id: 'leave', name: frame.undoNot },
          { id: 'take', name: frame.undoDo },
        ],
      });
      if (answer !== 'take') return;
    }
    await send({ name: 'undo', event: last.id });
  };
  return {
    // One after another: each takes back what is newest when its turn comes.
    undo: () => void (before.current = before.current.then(undo)),
    redo: () => void send({ name: 'redo' }),
    showHistory: () => setHistory(true),
    canRedo: snapshot.canRedo,
    open: (
      <>
        {asking}
        {history && <HistoryPanel onClose={() => setHistory(false)} />}
      </>
    ),
  };
}
