import type { KitRule } from '../types';
import { arrowLength } from './arrow-length';
import { arrowLight } from './arrow-light';
import { arrowMass } from './arrow-mass';
import { arrowSpine } from './arrow-spine';
import { electronics } from './electronics';
import { hand } from './hand';
import { quiverMount } from './quiver-mount';
import { quiverShaft } from './quiver-shaft';
import { restDrawLength } from './rest-draw-length';
import { restMount } from './rest-mount';
import { restShaft } from './rest-shaft';
import { sightMount } from './sight-mount';
import { thirdAxis } from './third-axis';

/** Every compatibility rule, in the order the answers are shown. */
export const KIT_RULES: readonly KitRule[] = [
  restMount,
  sightMount,
  quiverMount,
  hand,
  restShaft,
  restDrawLength,
  arrowMass,
  arrowLight,
  arrowLength,
  arrowSpine,
  quiverShaft,
  thirdAxis,
  electronics,
];
