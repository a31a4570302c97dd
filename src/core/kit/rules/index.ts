import type { KitRule } from '../types';
import { arrowLength } from './arrow-length';
import { arrowLight } from './arrow-light';
import { arrowMass } from './arrow-mass';
import { arrowSpine } from './arrow-spine';
import { arrowMassNow, arrowSpineNow } from './arrow-as-weighed';
import { barWeights } from './bar-weights';
import { cableVane } from './cable-vane';
import { caseLength } from './case-length';
import { electronics } from './electronics';
import { fixedBlade } from './fixed-blade';
import { hand } from './hand';
import { launcherTension } from './launcher-tension';
import { lightForbidden } from './light-forbidden';
import { lightThread } from './light-thread';
import { peepLight } from './peep-light';
import { peepPins } from './peep-pins';
import { quiverMount } from './quiver-mount';
import { quiverShaft } from './quiver-shaft';
import { quiverSight } from './quiver-sight';
import { rearBarMount } from './rear-bar-mount';
import { releaseLearner } from './release-learner';
import { releaseLoop } from './release-loop';
import { releaseType } from './release-type';
import { restDrawLength } from './rest-draw-length';
import { restMount } from './rest-mount';
import { restShaft } from './rest-shaft';
import { restSpacer } from './rest-spacer';
import { sightLight } from './sight-light';
import { sightMount } from './sight-mount';
import { sightReachRule } from './sight-reach';
import { stringStop } from './string-stop';
import { thirdAxis } from './third-axis';
import { totalMass } from './total-mass';
import { vaneRoom } from './vane-room';

/** Every compatibility rule, in the order the answers are shown. */
export const KIT_RULES: readonly KitRule[] = [
  restMount,
  restSpacer,
  sightMount,
  quiverMount,
  quiverSight,
  hand,
  restShaft,
  restDrawLength,
  launcherTension,
  vaneRoom,
  cableVane,
  fixedBlade,
  arrowMass,
  arrowLight,
  arrowLength,
  arrowSpine,
  arrowMassNow,
  arrowSpineNow,
  quiverShaft,
  thirdAxis,
  sightReachRule,
  sightLight,
  peepLight,
  peepPins,
  releaseType,
  releaseLearner,
  releaseLoop,
  lightThread,
  lightForbidden,
  electronics,
  barWeights,
  rearBarMount,
  stringStop,
  caseLength,
  totalMass,
];
