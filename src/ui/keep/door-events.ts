'use client';
import { useEffect } from 'react';

/** What becomes of who is at this tablet, told to every page of it that is open. */
export type DoorEvent =
  | { readonly is: 'signed-out' }
  | { readonly is: 'signed-in'; readonly id: string; readonly name: string };

const CHANNEL = 'waffenrad-door';
const listeners = new Set<(event: DoorEvent) => void>();

const isDoorEvent = (data: unknown): data is DoorEvent =>
  typeof data === 'object' && data !== null && 'is' in data;

const LOCKED = 'waffenrad.locked';

/** Whether this tablet was locked last: a page kept for a moment without a connection knows it by that alone. */
export function wasLocked(): boolean {
  try {
    return window.localStorage.getItem(LOCKED) !== null;
  } catch {
    return false;
  }
}

function remember(locked: boolean): void {
  try {
    if (locked) window.localStorage.setItem(LOCKED, 'yes');
    else window.localStorage.removeItem(LOCKED);
  } catch {
    // Where nothing is kept, no page is kept either.
  }
}

const SOMEONE = 'waffenrad.someone';

/** Who was at this tablet last, as a page was told; null where that is not kept. */
export function someoneKept<S>(): S | null {
  try {
    return JSON.parse(window.localStorage.getItem(SOMEONE) ?? 'null') as S | null;
  } catch {
    return null;
  }
}

export function keepSomeone(someone: object | null): void {
  try {
    if (someone) window.localStorage.setItem(SOMEONE, JSON.stringify(someone));
    else window.localStorage.removeItem(SOMEONE);
  } catch {
    // Where nothing is kept, no page is kept either.
  }
}

/** Told here and to the browser's other pages of the shop. */
export function tellDoor(event: DoorEvent): void {
  remember(event.is === 'signed-out');
  // Whoever signs in now counts, whatever the clocks say of who was here before.
  if (event.is === 'signed-in') keepSomeone(null);
  listeners.forEach((listener) => listener(event));
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage(event);
  channel.close();
}

export function useDoorEvents(heard: (event: DoorEvent) => void): void {
  useEffect(() => {
    listeners.add(heard);
    const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
    if (channel)
      channel.onmessage = ({ data }: MessageEvent) => void (isDoorEvent(data) && heard(data));
    return () => {
      listeners.delete(heard);
      channel?.close();
    };
  }, [heard]);
}
