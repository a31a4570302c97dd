const chance = () => Math.random().toString(36).slice(2);

/** Names one entry among all; no secret, so any chance will do. */
export const newKey = () => `${Date.now().toString(36)}-${chance()}-${chance()}`;

const OUTBOX = 'waffenrad.outbox';
let ofThisPage = '';

/** Names this browser among all that send entries. */
function outbox(): string {
  try {
    const kept = window.localStorage.getItem(OUTBOX);
    if (kept) return kept;
    const made = chance().slice(0, 10);
    window.localStorage.setItem(OUTBOX, made);
    return made;
  } catch {
    // Where nothing is kept it is named for as long as the page stands.
    return (ofThisPage ||= chance().slice(0, 10));
  }
}

/** Names an entry, and at its head the browser it was made in. */
export const entryKey = () => `${outbox()}.${newKey()}`;
