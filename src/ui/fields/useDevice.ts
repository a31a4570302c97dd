'use client';
import { useEffect, useRef, useState } from 'react';
import { devices as w } from '../words';
import { useDeviceLines } from './useDeviceLines';

interface DeviceState<T> {
  readonly state: 'idle' | 'live' | 'done' | 'lost';
  readonly device: string;
  /** Readings as they came. */
  readonly got: readonly T[];
  /** Lines that could not be read; left out. */
  readonly leftOut: number;
  /** Why it was lost, or what is odd about what came. */
  readonly message: string;
}

const IDLE = { state: 'idle', device: '', got: [], leftOut: 0, message: '' } as const;
/** A device that sends nothing for so long is not there, ms. */
const SILENT_MS = 8000;

/** What a line of a device is to the screen: a reading, nothing, or not to be read. */
type Heard<T> = { readonly reading: T } | 'nothing' | 'junk';

/**
 * One device, from connecting to its end: readings as they come, what could not be read counted,
 * silence and a pulled cable told. What came before stays.
 */
export function useDevice<T>(jobId: string, name: string, hear: (line: string) => Heard<T>) {
  const [now, setNow] = useState<DeviceState<T>>(IDLE);
  const { listen, close } = useDeviceLines();
  const silence = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(silence.current), []);
  const start = (
    query: Readonly<Record<string, string | number>> = {},
    onEnd: (got: readonly T[], device: string, state: 'done' | 'lost') => void = () => undefined,
  ) => {
    const got: T[] = [];
    let [leftOut, device] = [0, ''];
    const show = (change: Partial<DeviceState<T>>) =>
      setNow({ state: 'live', device, got: [...got], leftOut, message: '', ...change });
    const end = (state: 'done' | 'lost', message: string) => {
      clearTimeout(silence.current);
      show({ state, message: message || (got.length === 0 ? w.nothingCame(leftOut) : '') });
      if (got.length > 0) onEnd(got, device, state);
    };
    const waitFor = () => {
      clearTimeout(silence.current);
      silence.current = setTimeout(() => {
        close();
        end('lost', w.silent);
      }, SILENT_MS);
    };
    show({});
    waitFor();
    const tail = new URLSearchParams(
      Object.entries(query).map(([key, value]) => [key, String(value)]),
    ).toString();
    listen(`/api/v1/jobs/${jobId}/devices/${name}${tail && `?${tail}`}`, {
      onName: (text) => {
        device = text;
        show({});
      },
      onLine: (line) => {
        waitFor();
        const heard = hear(line);
        if (heard === 'junk') leftOut++;
        else if (heard !== 'nothing') got.push(heard.reading);
        show({});
      },
      onDone: () => end('done', ''),
      onLost: (message) => end('lost', message),
    });
  };
  return {
    ...now,
    start,
    /** Stops listening; what came is forgotten. */
    clear: () => {
      clearTimeout(silence.current);
      close();
      setNow(IDLE);
    },
  };
}
