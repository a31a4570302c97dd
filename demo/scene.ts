import type { Command, NewJobRequest } from '@/contracts/commands';
import type { JobSnapshot } from '@/core/job';
import type { Db } from '@/data/db';
import { createJob, runCommand } from '@/server/commands';
import { rememberPlace } from '@/server/place';

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

  trial(weight: string, outcome: string): this {
    return this.take('weightTrial', weight, { choice: outcome });
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
  for (const [key, entered] of Object.entries(values)) scene.take(key, entered);
  return scene;
};
