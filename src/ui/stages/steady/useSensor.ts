'use client';
import { useEffect, useRef, useState } from 'react';
import { readAimLine } from '@/contracts/aim-sensor';
import type { PathPoint } from '@/core/hold';
import { useDeviceLines } from '../../fields/useDeviceLines';
import { useJob } from '../../job/JobProvider';
import { devices } from '../../words';

/** A trace as it comes. */
interface Trace {
  readonly t: number[];
  readonly r: number[];
  readonly u: number[];
  releaseS: number | null;
  device: string | null;
  bad: number;
}
const fresh = (): Trace => ({ t: [], r: [], u: [], releaseS: null, device: null, bad: 0 });

type SensorState = 'idle' | 'live' | 'done' | 'lost';
/** A sensor that sends nothing for so long is not there, ms. */
const SILENT_MS = 4000;
/** Of a live trace the last so many points are drawn. */
const SHOWN = 500;

/**
 * Listens to an aim sensor: two hundred lines a second are put aside as they come, and drawn once a frame. What
 * came before it was lost stays.
 */
export function useSensor() {
  const { snapshot } = useJob();
  const { listen, close } = useDeviceLines();
  const trace = useRef<Trace>(fresh());
  const [state, setState] = useState<SensorState>('idle');
  const [message, setMessage] = useState('');
  const [path, setPath] = useState<readonly PathPoint[]>([]);
  const frame = useRef(0);
  const silence = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const end = (how: SensorState, why = '') => {
    clearTimeout(silence.current);
    cancelAnimationFrame(frame.current);
    close();
    draw();
    setState(how);
    setMessage(why);
  };
  const draw = () => {
    const { t, r, u } = trace.current;
    const from = Math.max(0, t.length - SHOWN);
    setPath(t.slice(from).map((s, i) => [s * 1000, r[from + i]! * 1000, u[from + i]! * 1000]));
  };
  useEffect(
    () => () => {
      clearTimeout(silence.current);
      cancelAnimationFrame(frame.current);
    },
    [],
  );
  const wait = () => {
    clearTimeout(silence.current);
    silence.current = setTimeout(() => end('lost', devices.silent), SILENT_MS);
  };
  const start = (query: Readonly<Record<string, string>>) => {
    trace.current = fresh();
    setState('live');
    setMessage('');
    setPath([]);
    const loop = () => {
      draw();
      frame.current = requestAnimationFrame(loop);
    };
    frame.current = requestAnimationFrame(loop);
    wait();
    listen(`/api/v1/jobs/${snapshot.job.id}/devices/aim-sensor?${new URLSearchParams(query)}`, {
      onName: (device) => void (trace.current.device = device),
      onLine: (line) => {
        wait();
        const heard = readAimLine(line);
        const now = trace.current;
        if (heard.kind === 'junk') now.bad++;
        else if (heard.kind === 'release') now.releaseS = heard.tS;
        else if (heard.kind === 'at' && !(heard.tS <= (now.t.at(-1) ?? -1))) {
          now.t.push(heard.tS);
          now.r.push(heard.rightMrad);
          now.u.push(heard.upMrad);
        } else if (heard.kind === 'at') now.bad++;
      },
      onDone: () => end('done'),
      onLost: (why) => end('lost', why),
    });
  };
  return {
    state,
    message,
    path,
    trace,
    start,
    stop: () => end(trace.current.t.length > 0 ? 'done' : 'idle'),
    clear: () => {
      trace.current = fresh();
      setPath([]);
      setState('idle');
      setMessage('');
    },
  };
}
