'use client';
import { useEffect, useState, type RefObject } from 'react';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Size of an element in CSS pixels, followed as it changes; `first` until it is known. */
export function useSize(ref: RefObject<Element | null>, first: Size): Size {
  const [size, setSize] = useState(first);
  useEffect(() => {
    const element = ref.current;
    if (!element || typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      if (width > 0 && height > 0) setSize({ width, height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
