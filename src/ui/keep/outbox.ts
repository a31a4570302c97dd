'use client';
import { useEffect, useSyncExternalStore } from 'react';
import type { JobSnapshot } from '@/core/job';
import {
  eraseWaiting,
  readWaiting,
  rewriteWaiting,
  writeWaiting,
  type Waiting,
} from './waiting-store';

const CHANNEL = 'waffenrad-outbox';
const NONE: readonly Waiting[] = [];

let waiting: readonly Waiting[] = NONE;
const listeners = new Set<() => void>();
const jobListeners = new Set<(snapshot: JobSnapshot) => void>();

const show = (next: readonly Waiting[]) => {
  waiting = next;
  listeners.forEach((listener) => listener());
};

let channel: BroadcastChannel | null = null;

/** What waits, read anew: another page of this browser may have sent or taken out some of it. */
export async function lookAtWaiting(): Promise<readonly Waiting[]> {
  const read = await readWaiting();
  // What is as it was draws nothing anew.
  if (JSON.stringify(read) !== JSON.stringify(waiting)) show(read);
  return waiting;
}

function listen(): void {
  if (channel !== null || typeof BroadcastChannel === 'undefined') return;
  channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = () => void lookAtWaiting();
}

const tellOthers = () => channel?.postMessage('changed');

/** Keeps an entry until it is sent; false where this browser cannot keep it, and it was not taken. */
export async function putAside(entry: Omit<Waiting, 'id'>): Promise<boolean> {
  const id = await writeWaiting(entry);
  if (id === null) return false;
  show([...waiting.filter((other) => other.id !== id), { ...entry, id }]);
  tellOthers();
  return true;
}

export async function changeWaiting(entry: Waiting): Promise<void> {
  await rewriteWaiting(entry);
  show(waiting.map((other) => (other.id === entry.id ? entry : other)));
  tellOthers();
}

/** It was sent, or somebody took it out. The job as it stands then is shown in the same moment. */
export async function takeOut(id: number, saved: JobSnapshot | null = null): Promise<void> {
  await eraseWaiting(id);
  if (saved) jobListeners.forEach((listener) => listener(saved));
  show(waiting.filter((other) => other.id !== id));
  tellOthers();
}

/** Somebody takes it back. What may be saved already stays until that is known. */
export async function giveUp(id: number): Promise<void> {
  const entry = waiting.find((other) => other.id === id);
  if (!entry) return;
  if (!entry.tried) return takeOut(id);
  const { stuck: _, ...free } = entry;
  await changeWaiting({ ...free, unwanted: true });
}

export const waitingNow = (): readonly Waiting[] => waiting;

/** Told whenever something waits, or does not any more. */
export const onWaiting = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What waits in this browser, oldest first. */
export function useWaiting(): readonly Waiting[] {
  useEffect(() => {
    listen();
    void lookAtWaiting();
  }, []);
  return useSyncExternalStore(onWaiting, waitingNow, () => NONE);
}

/** Told of every job an entry of which was saved. */
export function onSaved(heard: (snapshot: JobSnapshot) => void): () => void {
  jobListeners.add(heard);
  return () => void jobListeners.delete(heard);
}
