'use client';
import { useEffect, useSyncExternalStore } from 'react';

/** Whether the shop's program answers: false from a request that got no answer until one does. */
let connected = true;
const listeners = new Set<() => void>();
const ASK_EVERY_MS = 2000;
/** So often it is looked whether the program still answers, while somebody sees the page. */
const LOOK_EVERY_MS = 20_000;
const ANSWER_WITHIN_MS = 4000;
let asking = false;

const tell = (next: boolean) => {
  if (next === connected) return;
  connected = next;
  listeners.forEach((listener) => listener());
};

/** A request that the service worker leaves alone and that costs the server nothing. */
const answers = async (): Promise<boolean> => {
  try {
    const signal = AbortSignal.timeout(ANSWER_WITHIN_MS);
    return (await fetch('/icon.svg', { method: 'HEAD', cache: 'no-store', signal })).ok;
  } catch {
    return false;
  }
};

/** A request got no answer: asked until there is one. */
export function reportLost(): void {
  tell(false);
  if (asking) return;
  asking = true;
  const ask = async () => {
    if (await answers()) {
      asking = false;
      tell(true);
    } else setTimeout(() => void ask(), ASK_EVERY_MS);
  };
  void ask();
}

/** Told whenever the program answers again, or does not any more. */
export const onConnection = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

export const isConnected = (): boolean => connected;

export const useConnected = (): boolean =>
  useSyncExternalStore(
    onConnection,
    () => connected,
    () => true,
  );

/** Pages of the job that may be wanted when there is no connection. */
export function warmPages(paths: readonly string[]): void {
  const urls = paths.map((path) => new URL(path, window.location.origin).href);
  void navigator.serviceWorker?.ready.then((worker) => worker.active?.postMessage({ warm: urls }));
}

/** Registers the service worker, and looks whether the page came from the network or from its memory. */
export function useServiceWorker(): void {
  useEffect(() => {
    const look = () => void answers().then((ok) => ok || reportLost());
    look();
    window.addEventListener('offline', reportLost);
    // A wireless that is out of reach says nothing of itself.
    const looking = setInterval(() => {
      if (connected && document.visibilityState === 'visible') look();
    }, LOOK_EVERY_MS);
    if (process.env.NODE_ENV === 'production' && 'serviceWorker' in navigator)
      navigator.serviceWorker
        .register('/sw.js')
        .then(() => warmPages([window.location.href]))
        // Without it the application works as before, but for pages without a connection.
        .catch(() => undefined);
    return () => {
      clearInterval(looking);
      window.removeEventListener('offline', reportLost);
    };
  }, []);
}
