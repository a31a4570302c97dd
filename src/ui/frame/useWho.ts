'use client';
import { useCallback, useSyncExternalStore } from 'react';

const KEY = 'waffenrad.who';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

const stored = () => {
  try {
    return window.localStorage.getItem(KEY);
  } catch {
    // Storage can be switched off; then the first name of the shop counts.
    return null;
  }
};

/** Who works on this tablet; kept on the tablet, checked against the shop's people. */
export function useWho(people: readonly string[]): [string, (name: string) => void] {
  const name = useSyncExternalStore(subscribe, stored, () => null);
  const set = useCallback((next: string) => {
    try {
      window.localStorage.setItem(KEY, next);
    } catch {
      return;
    }
    listeners.forEach((listener) => listener());
  }, []);
  return [name !== null && people.includes(name) ? name : people[0]!, set];
}
