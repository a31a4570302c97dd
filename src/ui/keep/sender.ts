'use client';
import { useEffect } from 'react';
import type { Meet, Waited } from '@/contracts/waited';
import type { JobSnapshot } from '@/core/job';
import { askShop } from './ask-shop';
import { isConnected, onConnection } from './connection';
import { useDoorEvents } from './door-events';
import { changeWaiting, lookAtWaiting, onWaiting, takeOut, waitingNow } from './outbox';
import { post } from './post';
import type { Waiting } from './waiting-store';

const AGAIN_AFTER_MS = 5000;
const PATIENT = { patienceMs: 20_000 };

/** How far a job stands for who looks at it. */
export const stoodAt = ({ job, readings, fitReadings }: JobSnapshot): Waited['saw'] => ({
  bowId: job.bowId,
  version: job.version,
  seq: Math.max(0, ...readings.map(({ seq }) => seq), ...fitReadings.map(({ seq }) => seq)),
});

/** The first that can go: the entries of a job go in order, and one that asks holds those behind it. */
export function nextToSend(entries: readonly Waiting[]): Waiting | null {
  const held = new Set<string>();
  for (const entry of entries) {
    if (held.has(entry.jobId)) continue;
    if (!entry.stuck) return entry;
    held.add(entry.jobId);
  }
  return null;
}

/** What is sent of an entry, `now` being the tablet’s clock, ms. */
export function bodyOf(entry: Waiting, now: number) {
  const { key, stage, command, mark, madeMs, saw, asked } = entry;
  // A clock that was set back cannot say how long ago it was.
  const ageS = now >= madeMs ? { ageS: Math.round((now - madeMs) / 1000) } : {};
  return {
    version: saw.version,
    ...(stage ? { stage } : {}),
    key,
    command,
    waited: { mark, ...ageS, saw, ...(asked ? { asked } : {}) },
  };
}

type Sent = 'saved' | 'stuck' | 'later' | 'locked';

/** One that was taken back before it was known whether it is saved: if it is, it is taken back there. */
async function takeBack(entry: Waiting, url: string): Promise<Sent> {
  const response = await askShop(`${url}?key=${encodeURIComponent(entry.key)}`).catch(() => null);
  if (response?.status === 401) return 'locked';
  if (!response?.ok) return 'later';
  const { event, version } = (await response.json()) as { event: number | null; version: number };
  if (event === null) {
    await takeOut(entry.id);
    return 'saved';
  }
  const command = { name: 'undo', event };
  return sent(entry, await post<JobSnapshot>(url, { version, command }, 'POST', PATIENT));
}

async function sendOne(waiting: Waiting): Promise<Sent> {
  const url = `/api/v1/jobs/${waiting.jobId}/commands`;
  if (waiting.unwanted) return takeBack(waiting, url);
  const entry = { ...waiting, tried: true };
  // Known before it goes: this page may end before its answer comes.
  if (!waiting.tried) await changeWaiting(entry);
  return sent(entry, await post<JobSnapshot>(url, bodyOf(entry, Date.now()), 'POST', PATIENT));
}

/** What becomes of an entry by its answer. */
async function sent(
  entry: Waiting,
  answer: Awaited<ReturnType<typeof post<JobSnapshot>>>,
): Promise<Sent> {
  if (answer.ok) {
    await takeOut(entry.id, answer.body);
    return 'saved';
  }
  const { status, message, problem } = answer;
  // Whoever signs in next sends it.
  if (status === 401) return 'locked';
  // Nobody answers, or it is too much just now: it goes on waiting.
  if (status === 0 || status === 429 || status >= 500) return 'later';
  const snapshot = problem.snapshot as JobSnapshot | undefined;
  await changeWaiting({
    ...entry,
    stuck: {
      reason: String(problem.type ?? '').replace(/^.*:/, ''),
      message,
      meets: (problem.meets as readonly Meet[] | undefined) ?? [],
      stood: snapshot ? stoodAt(snapshot) : null,
    },
  });
  return 'stuck';
}

let underway = false;
let timer: ReturnType<typeof setTimeout> | null = null;

/** Sends what waits, one after another, as long as somebody answers. */
export async function sendWaiting(): Promise<void> {
  if (underway || !isConnected()) return;
  underway = true;
  try {
    for (;;) {
      const next = nextToSend(await lookAtWaiting());
      if (!next || !isConnected()) return;
      const became = await sendOne(next);
      if (became === 'locked') return;
      if (became === 'later') {
        timer ??= setTimeout(() => {
          timer = null;
          void sendWaiting();
        }, AGAIN_AFTER_MS);
        return;
      }
    }
  } finally {
    underway = false;
  }
}

/** On every page: sends what waits when there is a connection and somebody is signed in. */
export function useSender(): void {
  useEffect(() => {
    const look = () => {
      if (nextToSend(waitingNow())) void sendWaiting();
    };
    void lookAtWaiting().then(look);
    const stops = [onWaiting(look), onConnection(look)];
    return () => stops.forEach((stop) => stop());
  }, []);
  useDoorEvents(heardAtDoor);
}

const heardAtDoor = ({ is }: { readonly is: string }) => {
  if (is === 'signed-in') void sendWaiting();
};
