'use client';
import { useCallback, useEffect, useMemo, useRef, type RefObject } from 'react';
import type { Command } from '@/contracts/commands';
import { isAdding, isWaiting, taken, waitingOf, withWaiting } from '@/core/entries';
import type { JobSnapshot } from '@/core/job';
import { useShell } from '../frame/useShell';
import { giveUp, onSaved, putAside, useWaiting, waitingNow } from '../keep/outbox';
import type { Trouble } from '../keep/post';
import { stoodAt } from '../keep/sender';
import { isLater, readSeen, writeSeen, type Waiting } from '../keep/waiting-store';
import { frame, waitingWords as w } from '../words';
import type { Stage } from '@/core/setup';

interface Sending {
  /** It was sent and no answer came: it may be saved. */
  readonly tried?: boolean;
  readonly command: Command;
  readonly key: string;
  readonly stage: Stage | null;
}

interface WaitingEntries {
  /** The job with what waits; drawn, and what the next entry rests on. */
  readonly shown: JobSnapshot;
  readonly shownNow: () => JobSnapshot;
  /** Keeps an entry until there is a connection; null when it is kept. */
  readonly aside: (sending: Sending) => Promise<Trouble | null>;
  /** Takes out what an entry would take back that was not sent yet; false where it is about what is saved. */
  readonly takesOut: (command: Command) => Promise<boolean>;
}

const ofJob = (jobId: string, all: readonly Waiting[]) =>
  all.filter((entry) => entry.jobId === jobId && !entry.unwanted);

/** How an entry that is no reading is called while it waits. */
const nameOf = (command: Command): string =>
  command.name === 'setAnswers'
    ? w.answers(Object.keys({ ...command.archer, ...command.job }))
    : (w.kinds[command.name] ?? command.name);

/** The shop’s clock as it goes on from when the job was read. */
function useShopClock({ now }: JobSnapshot): () => string {
  const read = useRef({ now, at: 0 });
  useEffect(() => {
    read.current = { now, at: performance.now() };
  }, [now]);
  return useCallback(
    () =>
      new Date(Date.parse(read.current.now) + performance.now() - read.current.at).toISOString(),
    [],
  );
}

interface Projected {
  readonly saved: JobSnapshot;
  readonly entries: readonly Waiting[];
  readonly shown: JobSnapshot;
}

/** The job with what waits; one more entry is put on top of what stood there, not all of them anew. */
function useProjection(): (saved: JobSnapshot, entries: readonly Waiting[]) => JobSnapshot {
  const last = useRef<Projected | null>(null);
  return useCallback((saved, entries) => {
    const before = last.current;
    const goesOn =
      before !== null &&
      before.saved === saved &&
      before.entries.length <= entries.length &&
      before.entries.every((entry, i) => entry.id === entries[i]!.id);
    const shown = goesOn
      ? withWaiting(before.shown, entries.slice(before.entries.length))
      : withWaiting(saved, entries);
    last.current = { saved, entries, shown };
    return shown;
  }, []);
}

/** The entries of one job that wait in this browser, and the job as it is with them. */
export function useWaitingEntries(
  saved: JobSnapshot,
  newest: RefObject<JobSnapshot>,
  take: (next: JobSnapshot) => void,
): WaitingEntries {
  const jobId = saved.job.id;
  const all = useWaiting();
  const { who, mark } = useShell();
  const clock = useShopClock(saved);
  const mine = useMemo(() => ofJob(jobId, all), [jobId, all]);
  const project = useProjection();
  const shown = useMemo(() => project(saved, mine), [project, saved, mine]);
  const shownNow = useCallback(
    () => project(newest.current, ofJob(jobId, waitingNow())),
    [jobId, newest, project],
  );
  useEffect(() => {
    // A page from before shows the job as this tablet saw it last; over what was read since nothing older comes.
    void readSeen(jobId).then((seen) => seen && isLater(seen, newest.current) && take(seen));
    return onSaved((next) => next.job.id === jobId && take(next));
  }, [jobId, newest, take]);
  useEffect(() => void writeSeen(saved), [saved]);

  const aside = useCallback(
    async ({ command, key, stage, tried = false }: Sending): Promise<Trouble | null> => {
      const now = shownNow();
      let summary = nameOf(command);
      if (isAdding(command.name)) {
        const entry = taken(command.name, command as never, now);
        if (!entry.ok)
          return {
            message: entry.message,
            pointer: `/command${entry.field ?? ''}`,
            reason: entry.reason,
          };
        ({ summary } = entry);
      }
      const kept = await putAside({
        jobId,
        jobName: now.archer.name,
        summary,
        stage,
        key,
        command,
        who,
        mark,
        madeMs: Date.now(),
        at: clock(),
        saw: stoodAt(newest.current),
        ...(tried ? { tried } : {}),
      });
      return kept ? null : { message: frame.notSaved, pointer: '' };
    },
    [clock, jobId, mark, newest, shownNow, who],
  );

  const takesOut = useCallback(async (command: Command): Promise<boolean> => {
    if (command.name === 'undo' && (command.event ?? 0) < 0) await giveUp(-command.event!);
    else if (command.name === 'discardReading' && isWaiting(command.seq))
      await giveUp(waitingOf(command.seq));
    else return false;
    return true;
  }, []);
  return { shown, shownNow, aside, takesOut };
}

/** Readings that were not sent yet and are said to be wrong go with their entry; the others are told by number. */
export async function withoutWaiting(command: Command): Promise<Command> {
  if (command.name !== 'takeReadings' || !command.instead?.some(isWaiting)) return command;
  for (const id of new Set(command.instead.filter(isWaiting).map(waitingOf))) await giveUp(id);
  return { ...command, instead: command.instead.filter((seq) => !isWaiting(seq)) };
}
