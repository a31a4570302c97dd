import type { JobStep } from '@/core/route';
import { setupValue, type SetupKey, type Stage } from '@/core/setup';

/** The step that reads a value, where the job has one. */
export const stepOf = (key: SetupKey, steps: readonly JobStep[]): JobStep | null =>
  steps.find((step) => step.values.some((value) => value.key === key)) ?? null;

type SteadyPart = 'weigh' | 'reaction' | 'bars';

/** What each part of the stage Steady takes; the bars take the rest. */
const STEADY: Readonly<Partial<Record<SetupKey, SteadyPart>>> = {
  bowMass: 'weigh',
  hangAxle: 'weigh',
  hangThread: 'weigh',
  hangThird: 'weigh',
  hangBehind: 'weigh',
  bareReaction: 'reaction',
  steadyTip: 'reaction',
};

/** Part of the stage Steady that takes one of its values. */
export const steadyPart = (key: SetupKey): SteadyPart => STEADY[key] ?? 'bars';

/** Where a value is taken: its step, or its part of the stage Steady; null where it is taken nowhere. */
export function whereTaken(
  key: SetupKey,
  steps: readonly JobStep[],
): readonly [Stage, Readonly<Record<string, string>>] | null {
  const step = stepOf(key, steps);
  if (step) return [step.template.stage, { step: step.id, value: key }];
  return setupValue(key).stage === 'steady' ? ['steady', { part: steadyPart(key) }] : null;
}
