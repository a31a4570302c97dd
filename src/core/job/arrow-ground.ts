import type { ArrowGround } from '../kit';
import { mm } from '../units';
import type { JobDerived } from './derive';
import type { JobSnapshot } from './types';

/** What this job's bow, draw and rest ask of an arrow; measured figures go before wanted ones. */
export const arrowGround = (
  { job, bow, shop }: JobSnapshot,
  { kitContext: { drawLengthMm, peakN } }: JobDerived,
): ArrowGround => ({
  bow,
  drawLengthMm,
  peakN,
  overhangMm: shop.kit.overhangMm,
  restAheadMm: mm(job.arrows.restAheadMm),
});
