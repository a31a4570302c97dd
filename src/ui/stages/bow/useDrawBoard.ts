'use client';
import { useState } from 'react';
import { readBoardLine } from '@/contracts/draw-board';
import type { CurvePoint } from '@/core/bow';
import { useDeviceLines } from '../../fields/useDeviceLines';

export interface BoardState {
  readonly state: 'idle' | 'drawing' | 'done' | 'lost';
  readonly device: string;
  readonly points: readonly CurvePoint[];
  /** Lines that could not be read, or went back; left out. */
  readonly leftOut: number;
  /** Why it was lost. */
  readonly message: string;
}

const IDLE: BoardState = { state: 'idle', device: '', points: [], leftOut: 0, message: '' };

/** The draw board's lines as they come; what came before a cable was pulled stays. */
export function useDrawBoard(jobId: string) {
  const [board, setBoard] = useState<BoardState>(IDLE);
  const { listen, close } = useDeviceLines();
  const start = (pull?: number) => {
    setBoard({ ...IDLE, state: 'drawing' });
    const tail = pull === undefined ? '' : `?pull=${pull}`;
    const end = (change: Partial<BoardState>) => setBoard((now) => ({ ...now, ...change }));
    listen(`/api/v1/jobs/${jobId}/devices/draw-board${tail}`, {
      onName: (device) => end({ device }),
      onLine: (line) => setBoard((now) => withLine(now, line)),
      onDone: () => end({ state: 'done' }),
      onLost: (message) => end({ state: 'lost', message }),
    });
  };
  return {
    board,
    start,
    /** Stops listening and forgets what came. */
    clear: () => {
      close();
      setBoard(IDLE);
    },
  };
}

function withLine(now: BoardState, line: string): BoardState {
  const read = readBoardLine(line);
  if (read.kind === 'junk') return { ...now, leftOut: now.leftOut + 1 };
  if (read.kind !== 'point') return now;
  const last = now.points.at(-1);
  return last && read.point.drawnMm <= last.drawnMm
    ? { ...now, leftOut: now.leftOut + 1 }
    : { ...now, points: [...now.points, read.point] };
}
