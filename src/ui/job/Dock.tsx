'use client';
import { createContext, use, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** Where the frame keeps the measuring dock; null until it is drawn, undefined where there is no frame. */
export const DockPlace = createContext<HTMLElement | null | undefined>(undefined);

/**
 * What is measured with stands in the frame's dock, in reach without scrolling at every size: field, pad,
 * last value and the button that takes it. Without a frame it stands where it is written.
 */
export function Dock({ children }: { children: ReactNode }) {
  const place = use(DockPlace);
  if (place === undefined) return children;
  return place && createPortal(children, place);
}
