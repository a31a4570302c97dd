import type { Command, NewJobRequest } from '@/contracts/commands';
import { forceCurvePoints } from '@/core/bow';
import { isSetupKey, setupValue } from '@/core/setup';
import type { JobSnapshot } from '@/core/job';
import { mm, newton } from '@/core/units';
import type { Db } from '@/data/db';
import { createJob, runCommand } from '@/server/commands';
import { rememberPlace } from '@/server/remember-place';

/** One demo job under way: the same commands the screens send, so nothing here can be made up. */
export class Scene {
  private snapshot: JobSnapshot;
  constructor(
    private readonly db: Db,
    request: Omit<NewJobRequest, 'who'>,
    private readonly who: string,
  ) {
    this.snapshot = createJob({ who, ...request }, db);
  }

  get id() {
    return this.snapshot.job.id;
  }

  do(command: Command): this {
    const body = { version: this.snapshot.job.version, who: this.who, command };
    this.snapshot = runCommand(this.id, body, this.db);
    return this;
  }

  take(key: string, entered = '', more: { entered2?: string; choice?: string } = {}): this {
    return this.do({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
  }

  /** A tear through paper, mm right and up. */
  tear(right: string, up: string): this {
    return this.do({ name: 'takeTear', right, up, distance: '2 m' });
  }

  /** Shots through the chronograph. */
  speeds(...shots: string[]): this {
    return this.do({
      name: 'takeSpeeds',
      shots: shots.map((entered) => ({ entered, device: null, discarded: null })),
    });
  }

  /** A weight trial, with the seconds it was held where they were taken. */
  trial(weight: string, outcome: string, held?: string): this {
    return this.take('weightTrial', weight, {
      choice: outcome,
      ...(held === undefined ? {} : { entered2: held }),
    });
  }

  /** A look at full draw: the bow in hand, then what was seen, place by place. */
  look(drawn: string, seen: Record<string, string>): this {
    this.take('postureBow', drawn);
    for (const [place, choice] of Object.entries(seen))
      this.take(`posture.${place}`, '', { choice });
    return this;
  }

  /** Marks of two bows drawn one after the other, by aspect; null is alike. */
  compare(first: string, second: string, better: Record<string, string | null>): this {
    for (const [aspect, id] of Object.entries(better))
      this.do({ name: 'markDrawOff', aspect, first, second, better: id } as Command);
    return this;
  }

  /** A curve of the bow as it is set, as a draw board would log it: a little friction. */
  logCurve(drawLengthMm: number, peakN: number): this {
    const { bow } = this.snapshot;
    const points = forceCurvePoints(
      { ...bow!, drawLengthMm: mm(drawLengthMm), peakN: newton(peakN) },
      72,
    ).map(({ drawnMm, forceN }, i) => ({
      drawnMm: Math.round(drawnMm * 10) / 10,
      forceN: Math.round(forceN * (1.008 + 0.004 * Math.sin(i)) * 10) / 10,
    }));
    return this.do({ name: 'keepCurve', source: 'device', points });
  }

  part(slot: string, itemId: string | null, own: string | null = null): this {
    const body = { slot, itemId, owned: own !== null, label: own ?? '' };
    return this.do({ name: 'choosePart', ...body } as Command);
  }

  parts(pairs: Record<string, string>): this {
    Object.entries(pairs).forEach(([slot, id]) => this.part(slot, id));
    return this;
  }

  bow(bowId: string, reason?: string): this {
    return this.do({ name: 'chooseBow', bowId, ...(reason ? { reason } : {}) });
  }

  leave(place: string): this {
    rememberPlace(this.id, { place }, this.db);
    return this;
  }
}

export type At = (days: number, time: string) => void;
export type Day = (days: number) => string;
export const T = 'T. Okoro';
export const M = 'M. Lindauer';

export const bench = (scene: Scene, values: Record<string, string>) => {
  for (const [key, entered] of Object.entries(values))
    if (isSetupKey(key) && setupValue(key).kind === 'choice')
      scene.take(key, '', { choice: entered });
    else scene.take(key, entered);
  return scene;
};
