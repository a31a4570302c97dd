import type { PointerEvent } from 'react';

/** Where a square drawing of ±`halfMm` was tapped, in mm right of and above its middle. */
export function tapped(event: PointerEvent<Element>, halfMm: number) {
  const box = event.currentTarget.getBoundingClientRect();
  const perPx = (2 * halfMm) / box.width;
  return {
    rightMm: (event.clientX - box.left) * perPx - halfMm,
    upMm: halfMm - (event.clientY - box.top) * perPx,
  };
}
