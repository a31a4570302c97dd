import type { ArrowGround } from '../kit';
import { mm } from '../units';
import type { JobDerived } from './derive';
import type { JobSnapshot } from './types';

/** What this job's bow, draw and rest ask of an arrow: judged by the weight the bow is to have. */
export const arrowGround = (
  { job, bow, shop }: JobSnapshot,
  { kitContext: { drawLengthMm, peakN, weighedN } }: JobDerived,
): ArrowGround => ({
  bow,
  drawLengthMm,
  peakN,
  weighedN,
  overhangMm: shop.kit.overhangMm,
  restAheadMm: mm(job.arrows.restAheadMm),
  shop: shop.units,
});
