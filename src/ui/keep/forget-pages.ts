import { useEffect } from 'react';
import { eraseSeen } from './waiting-store';

/**
 * What was kept of pages and jobs goes from this browser. What waits to be sent stays: it was entered, and is
 * nowhere else.
 */
export function forgetPages(): void {
  void eraseSeen().catch(() => undefined);
  if (typeof caches === 'undefined') return;
  caches
    .keys()
    .then((names) =>
      Promise.all(
        names
          .filter((name) => name.startsWith('waffenrad-pages'))
          .map((name) => caches.delete(name)),
      ),
    )
    // Where the browser keeps nothing there is nothing to forget.
    .catch(() => undefined);
}

const ERASED = 'waffenrad.erased';

/** Where people were erased since this browser looked last, what it kept of them goes too. */
export function useForgetErased(erased: number): void {
  useEffect(() => {
    try {
      const known = Number(window.localStorage.getItem(ERASED) ?? 0);
      // A page from before knows of fewer: it is itself what goes.
      if (erased <= known) return;
      window.localStorage.setItem(ERASED, String(erased));
      forgetPages();
    } catch {
      // Where nothing is kept there is nothing to forget.
    }
  }, [erased]);
}
