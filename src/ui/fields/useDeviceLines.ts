'use client';
import { useCallback, useEffect, useRef } from 'react';
import { frame } from '../words';

interface DeviceEar {
  readonly onName: (device: string) => void;
  readonly onLine: (line: string) => void;
  readonly onDone: () => void;
  /** The cable was pulled, or the stream cut; what came before stays. */
  readonly onLost: (message: string) => void;
}

/** Listens to a device's lines as they come. */
export function useDeviceLines() {
  const source = useRef<EventSource | null>(null);
  const close = useCallback(() => {
    source.current?.close();
    source.current = null;
  }, []);
  useEffect(() => close, [close]);
  const listen = (url: string, ear: DeviceEar) => {
    close();
    const stream = new EventSource(url);
    source.current = stream;
    const on = (name: string, take: (data: string) => void) =>
      stream.addEventListener(name, (event) =>
        take(JSON.parse((event as MessageEvent<string>).data) as string),
      );
    on('name', ear.onName);
    on('line', ear.onLine);
    on('done', () => {
      close();
      ear.onDone();
    });
    on('lost', (message) => {
      close();
      ear.onLost(message);
    });
    // A stream cut in the middle; EventSource would start anew by itself.
    stream.onerror = () => {
      close();
      ear.onLost(frame.deviceCut);
    };
  };
  return { listen, close };
}
