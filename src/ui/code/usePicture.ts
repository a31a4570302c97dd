'use client';
import { useCallback, useEffect, useRef } from 'react';
import { LONGEST_SIDE } from '@/workers/code';

/** Pixels of a drawn thing, no side longer than is looked through. */
export function pixelsOf(
  source: CanvasImageSource,
  width: number,
  height: number,
): ImageData | null {
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  // Transparent places are paper.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

/** Looks for a code in pictures beside the screen, one after another. */
export function useCodeReader(): (pixels: ImageData) => Promise<string | null> {
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  return useCallback((pixels) => {
    worker.current ??= new Worker(new URL('../../workers/code.worker.ts', import.meta.url));
    const own = worker.current;
    return new Promise((done) => {
      own.onmessage = ({ data }: MessageEvent<string | null>) => done(data);
      own.onerror = () => done(null);
      own.postMessage({ data: pixels.data, width: pixels.width, height: pixels.height });
    });
  }, []);
}
