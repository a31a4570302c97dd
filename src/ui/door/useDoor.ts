'use client';
import { useRef, useState } from 'react';
import type { Door } from '@/core/people';
import { post } from '../keep/post';
import { tellDoor } from '../keep/door-events';

type Fault = { readonly pointer: string; readonly message: string };

/** Sends what is said at the door; one at a time, and what came of it. */
export function useDoor(onSigned: (door: Door) => void) {
  const [fault, setFault] = useState<Fault | null>(null);
  const [busy, setBusy] = useState(false);
  // Known at once: a held key sends no second one before the screen is drawn anew.
  const underway = useRef(false);
  const send = async (path: string, body: unknown): Promise<boolean> => {
    if (underway.current) return false;
    underway.current = true;
    setBusy(true);
    const answer = await post<Door>(path, body);
    underway.current = false;
    setBusy(false);
    setFault(answer.ok ? null : { pointer: answer.pointer, message: answer.message });
    if (!answer.ok) return false;
    const { signedIn } = answer.body;
    if (signedIn) tellDoor({ is: 'signed-in', ...signedIn });
    onSigned(answer.body);
    return true;
  };
  return { send, busy, fault, clear: () => setFault(null), refuse: setFault };
}
