import type { Page } from 'puppeteer-core';

/** A little more than what the screens take for a double tap (`ui/frame/useTaps`). */
const DOUBLE_TAP_MS = 450;
const DOUBLE_TAP_PX = 100;
interface Point {
  readonly x: number;
  readonly y: number;
}
const last = new WeakMap<Page, Point & { readonly atMs: number }>();

/** Waits where a tap would be the second of a double tap: much is scrolled to the same place. */
export async function apart(page: Page, { x, y }: Point): Promise<void> {
  const before = last.get(page);
  if (!before || Math.hypot(x - before.x, y - before.y) >= DOUBLE_TAP_PX) return;
  const leftMs = before.atMs + DOUBLE_TAP_MS - Date.now();
  if (leftMs > 0) await new Promise((go) => setTimeout(go, leftMs));
}

/** Said once a tap was answered: the browser may have had it later than it was sent. */
export const tapped = (page: Page, { x, y }: Point) =>
  void last.set(page, { x, y, atMs: Date.now() });

/** A page whose mouse clicks one thing after another, never twice in a moment. */
export function calmMouse(page: Page): void {
  const click = page.mouse.click.bind(page.mouse);
  page.mouse.click = async (x, y, options) => {
    await apart(page, { x, y });
    await click(x, y, options);
    tapped(page, { x, y });
  };
}

/** Two taps at one place, the second so long after the first was answered, or at once with it. */
export async function doubleTap(page: Page, { x, y }: Point, pauseMs: number): Promise<void> {
  const hand = await page.createCDPSession();
  const act = (type: 'mousePressed' | 'mouseReleased', clickCount: number) =>
    hand.send('Input.dispatchMouseEvent', { type, x, y, button: 'left', clickCount });
  const first = [act('mousePressed', 1), act('mouseReleased', 1)];
  if (pauseMs > 0) {
    await Promise.all(first);
    await new Promise((go) => setTimeout(go, pauseMs));
  }
  await Promise.all([...first, act('mousePressed', 2), act('mouseReleased', 2)]);
  await hand.detach();
}
