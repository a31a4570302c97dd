import { ARRIVAL_STEPS } from './arrival';
import { ARROW_STEPS } from './arrows';
import { MOUNT } from './mount';
import { PREPARE } from './prepare';
import { PRESS_AND_BOARD } from './press-and-board';
import { PROVE } from './prove';
import { REST_STEPS } from './rest';
import { SET_THE_BOW } from './set-the-bow';
import type { StepTemplate } from './types';

export * from './fasten';
export * from './types';

/** Every step a job can have, in the order it is usually met. */
export const STEP_TEMPLATES: readonly StepTemplate[] = [
  ...ARRIVAL_STEPS,
  ...SET_THE_BOW,
  ...ARROW_STEPS,
  ...PREPARE,
  ...MOUNT,
  ...PRESS_AND_BOARD,
  ...REST_STEPS,
  ...PROVE,
];
