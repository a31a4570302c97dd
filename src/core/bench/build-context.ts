import type { History, TargetContext } from '../setup';
import type { ShopSteps } from './own-steps';
import type { StepTimes } from './step-times';

/** Everything the steps of a job are read from. */
export interface BuildContext extends TargetContext {
  readonly history: History;
  /** What the shop changed in the steps, and how long they took here. */
  readonly shopSteps: ShopSteps;
  readonly stepTimes: StepTimes;
  /** Steps that are not wanted of the shop, by id. */
  readonly leftOut: readonly string[];
}
