import type { JobSnapshot } from '../job';
import type { QuiverState } from '../steady';
import type { Adjustment } from '../tuning';
import type { Taken } from './rows';
import type { TypedReading } from './typed';

export type HangPoint = 'hangAxle' | 'hangThread' | 'hangThird' | 'hangBehind';
type Maybe<T> = T | undefined;

/** Entries that only add readings. Numbers stand as typed, taps in mm, right and up. */
export interface Entries {
  takeReadings: { readings: readonly TypedReading[]; instead?: Maybe<readonly number[]> };
  confirmReadings: { keys: readonly string[] };
  discardReading: { seq: number; reason: string };
  takeTear: { right: string; up: string; distance: string };
  movePaper: { adjustment: Adjustment; amount: number };
  takeBareShaft: { distance: string; right: string; up: string };
  takeWalkBack: { hits: readonly { distance: string; right: string }[] };
  takeSpeeds: {
    arrow?: Maybe<string>;
    shots: readonly { entered: string; device: string | null; discarded: string | null }[];
  };
  takeGroup: {
    distance: string;
    hits: readonly { rightMm: number; upMm: number }[];
    pinDrop?: Maybe<string>;
    corrected?: Maybe<boolean>;
  };
  takeMark: {
    distance: string;
    drop?: Maybe<string>;
    scale?: Maybe<string>;
    tapeSpeed?: Maybe<string>;
  };
  takeReaction: {
    tip: 'left' | 'right' | 'stays';
    tipHow: 'slight' | 'clear';
    pitch: 'forward' | 'back' | 'stays';
    pitchHow: 'slight' | 'clear';
    bars: boolean;
    quiver: QuiverState;
  };
  takeHang: {
    point: HangPoint;
    lean: string;
    forward?: Maybe<string>;
    up?: Maybe<string>;
    bare: boolean;
    quiver: QuiverState;
  };
}

export type Makers = {
  readonly [N in keyof Entries]: (entry: Entries[N], snapshot: JobSnapshot) => Taken;
};
