'use client';
import { useEffect, useRef, useState } from 'react';
import { pixelsOf, useCodeReader } from './usePicture';

/** Between two looks, ms: each takes the worker about as long. */
const EVERY_MS = 250;

export const hasCamera = () =>
  typeof navigator !== 'undefined' && typeof navigator.mediaDevices?.getUserMedia === 'function';

/** The camera looking for a code until one is found or it is stopped. */
export function useCamera(onCode: (text: string) => void) {
  const [on, setOn] = useState(false);
  const [failed, setFailed] = useState(false);
  const video = useRef<HTMLVideoElement>(null);
  const read = useCodeReader();
  const found = useRef(onCode);
  useEffect(() => {
    found.current = onCode;
  });
  useEffect(() => {
    if (!on) return;
    let over = false;
    let stream: MediaStream | null = null;
    const look = async () => {
      const seen = video.current;
      if (over || !seen) return;
      const pixels = seen.videoWidth > 0 ? pixelsOf(seen, seen.videoWidth, seen.videoHeight) : null;
      const text = pixels && (await read(pixels));
      if (over) return;
      if (text) {
        setOn(false);
        found.current(text);
      } else setTimeout(() => void look(), EVERY_MS);
    };
    const begin = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment' },
        });
        const seen = video.current;
        if (over || !seen) return end();
        seen.srcObject = stream;
        await seen.play();
        await look();
      } catch {
        if (over) return;
        setFailed(true);
        setOn(false);
      }
    };
    const end = () => stream?.getTracks().forEach((track) => track.stop());
    void begin();
    return () => {
      over = true;
      end();
    };
  }, [on, read]);
  return {
    video,
    on,
    failed,
    start: () => {
      setFailed(false);
      setOn(true);
    },
    stop: () => setOn(false),
  };
}
