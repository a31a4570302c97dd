/** What the service worker keeps of pages, and what was typed and not sent, goes from this browser. */
export function forgetPages(): void {
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
