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
