'use client';
import { useCallback, useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What this tablet keeps under a name, null while it keeps nothing; told to every screen of it. */
export function useOnTablet(key: string): [string | null, (value: string) => void] {
  const stored = useCallback(() => {
    try {
      return window.localStorage.getItem(key);
    } catch {
      // Storage can be switched off; then what is usual counts.
      return null;
    }
  }, [key]);
  const value = useSyncExternalStore(subscribe, stored, () => null);
  const set = useCallback(
    (next: string) => {
      try {
        window.localStorage.setItem(key, next);
      } catch {
        return;
      }
      listeners.forEach((listener) => listener());
    },
    [key],
  );
  return [value, set];
}

export type Hand = 'right' | 'left';

/** The hand that types on this tablet: the pad's digits lie under it. */
export function usePadHand(): [Hand, (hand: Hand) => void] {
  const [kept, set] = useOnTablet('waffenrad.padHand');
  return [kept === 'left' ? 'left' : 'right', set];
}
