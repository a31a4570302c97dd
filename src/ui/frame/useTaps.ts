import { useEffect } from 'react';
import { actedAt, DOUBLE_TAP_MS } from '../pieces/acted-at';

/** A finger does not come down twice on the same spot. */
const SAME_PLACE_PX = 30;

export interface Tap {
  readonly atMs: number;
  readonly x: number;
  readonly y: number;
  /** By its name where it is pressed as often as it is meant, though it is drawn anew in between. */
  readonly thing: Element | string;
  /** What the thing says; null where it does nothing. */
  readonly says: string | null;
}

/**
 * Whether a tap is the second of a double tap and would act on what came under the finger by the first: the next row
 * of a list, a button of the next page, or the same button with another meaning. A key pressed twice is not: it is
 * the same thing and says the same.
 */
export const isStray = (before: Tap | null, tap: Tap): boolean =>
  before !== null &&
  before.says !== null &&
  tap.atMs - before.atMs < DOUBLE_TAP_MS &&
  Math.hypot(tap.x - before.x, tap.y - before.y) < SAME_PLACE_PX &&
  (tap.thing !== before.thing || tap.says !== before.says);

const ACTS = [
  ...['button', 'a[href]', 'input', 'select', 'textarea', 'summary', '[tabindex="0"]'],
  ...['button', 'link', 'tab', 'option', 'menuitem', 'checkbox', 'radio', 'switch'].map(
    (role) => `[role="${role}"]`,
  ),
].join(', ');

function tapOf(event: MouseEvent): Tap {
  const target = event.target as Element;
  // The browser taps what a label belongs to in its place.
  const of = target.closest('label')?.control ?? target;
  const acting = of.closest(ACTS);
  return {
    atMs: actedAt(event),
    x: event.clientX,
    y: event.clientY,
    thing: acting?.getAttribute('data-often') ?? acting ?? of,
    says: acting && (acting.getAttribute('aria-label') ?? acting.textContent),
  };
}

/** Kept from page to page: a double tap on a link ends on the next one. */
let before: Tap | null = null;

/** The second tap of a double tap goes to what the first was meant for, or nowhere. Once on a page. */
export function useTaps(): void {
  useEffect(() => {
    const onClick = (event: MouseEvent) => {
      // Keys and programs tap without a hand.
      if (!event.isTrusted || event.detail === 0) return;
      const tap = tapOf(event);
      if (isStray(before, tap)) {
        event.preventDefault();
        event.stopImmediatePropagation();
        before = { ...before!, atMs: tap.atMs };
        return;
      }
      before = tap;
    };
    window.addEventListener('click', onClick, { capture: true });
    return () => window.removeEventListener('click', onClick, { capture: true });
  }, []);
}
