'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askShop } from '../keep/ask-shop';
import { isConnected } from '../keep/connection';
import { tellDoor, useDoorEvents, wasLocked, type DoorEvent } from '../keep/door-events';
import type { Door } from '@/core/people';

const LOOK_EVERY_MS = 5000;
/** The program hears so often that somebody is still there. */
const TELL_EVERY_MS = 120_000;
const TOUCHES = ['pointerdown', 'keydown', 'wheel', 'touchmove'] as const;

/** Ends the session; what stands on the page stays. False where nobody was reached. */
export const lockTablet = async (): Promise<boolean> => {
  const answer = await fetch('/api/v1/session', {
    method: 'DELETE',
    // Also where the page is left in the same instant.
    keepalive: true,
  }).catch(() => null);
  if (!answer?.ok) return false;
  tellDoor({ is: 'signed-out' });
  return true;
};

/** A tablet nobody touched for so long is locked. Without a connection it is not: nobody could open it. */
function useIdle(afterMin: number, locked: boolean): void {
  const touched = useRef(0);
  const told = useRef(0);
  useEffect(() => {
    if (locked) return;
    touched.current = Date.now();
    told.current = Date.now();
    const touch = () => {
      touched.current = Date.now();
      if (Date.now() - told.current < TELL_EVERY_MS) return;
      told.current = Date.now();
      // Missing it once is no loss: the next touch tells again.
      askShop('/api/v1/session', { method: 'PUT' }).catch(() => undefined);
    };
    const look = () => {
      if (Date.now() - touched.current < afterMin * 60_000 || !isConnected()) return;
      touched.current = Date.now();
      void lockTablet();
    };
    const asking = setInterval(look, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', look);
    for (const name of TOUCHES) window.addEventListener(name, touch, { passive: true });
    return () => {
      clearInterval(asking);
      document.removeEventListener('visibilitychange', look);
      for (const name of TOUCHES) window.removeEventListener(name, touch);
    };
  }, [afterMin, locked]);
}

/** Whether the tablet is locked; `heard` is told of somebody else at it. */
export function useLock(
  afterMin: number,
  heard: (event: Extract<DoorEvent, { is: 'signed-in' }>) => void,
): boolean {
  const [locked, setLocked] = useState(false);
  useIdle(afterMin, locked);
  const hear = useCallback(
    (event: DoorEvent) => {
      setLocked(event.is === 'signed-out');
      if (event.is === 'signed-in') heard(event);
    },
    [heard],
  );
  useDoorEvents(hear);
  useEffect(() => {
    if (!wasLocked()) return;
    setLocked(true);
    // Whoever signed in elsewhere in this browser is let in; without a connection it stays shut.
    fetch('/api/v1/session')
      .then((response) => (response.ok ? (response.json() as Promise<Door>) : null))
      .then((door) => door?.signedIn && tellDoor({ is: 'signed-in', ...door.signedIn }))
      .catch(() => undefined);
  }, []);
  return locked;
}
