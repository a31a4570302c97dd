import { isFinished, type JobStep, type WorkPlan } from '@/core/route';
import type { Stage } from '@/core/setup';

/**
 * The step to go to: the next one of the route in this stage, after `from` where there is one.
 *
 * @returns null when nothing of the stage is left.
 */
export function nextStep(plan: WorkPlan, stage: Stage, from?: string): JobStep | null {
  const order = plan.visits
    .flatMap((visit) => visit.steps)
    .flatMap((id) => plan.steps.find((step) => step.id === id) ?? [])
    .filter((step) => step.template.stage === stage && !isFinished(step));
  const at = order.findIndex((step) => step.id === from);
  const after = at < 0 ? order : [...order.slice(at + 1), ...order.slice(0, at)];
  return after.find((step) => step.missing.length === 0) ?? after[0] ?? null;
}
