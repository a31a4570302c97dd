import type { JobStep } from '@/core/route';
import type { SetupKey } from '@/core/setup';

/** The step that reads a value, where the job has one. */
export const stepOf = (key: SetupKey, steps: readonly JobStep[]): JobStep | null =>
  steps.find((step) => step.values.some((value) => value.key === key)) ?? null;
