import type { Stale } from '../ripple';
import type { StepTemplate } from '../bench';
import type { Standing, Target, Reading, SetupKey } from '../setup';

/** A step signed off although something is missing or out of tolerance. */
export interface Exception {
  readonly stepId: string;
  readonly reason: string;
  readonly who: string;
  readonly at: string;
  /** Readings taken after it make it void. */
  readonly seq: number;
}

export interface ValueState {
  readonly key: SetupKey;
  readonly reading: Reading | null;
  readonly target: Target | null;
  readonly standing: Standing | null;
  readonly stale: Stale | null;
}

export type StepState = 'done' | 'signed' | 'again' | 'out' | 'open';

export interface JobStep {
  readonly id: string;
  readonly template: StepTemplate;
  readonly state: StepState;
  readonly exception: Exception | null;
  readonly values: readonly ValueState[];
  /** Needed steps that are not finished; empty means it can be done now. */
  readonly missing: readonly string[];
}

export const isFinished = (step: { readonly state: StepState }) =>
  step.state === 'done' || step.state === 'signed';
