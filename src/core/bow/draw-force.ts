import { simpson } from '../numerics';
import { mm, newton, type Mm, type Newton } from '../units';
import { CAM_SHAPE, PIVOT_TO_STANDARD_MM, type BowSetting, type CamCharacter } from './types';

export interface ForceCurve extends BowSetting {
  readonly braceHeightMm: Mm;
  readonly letOff: number;
  readonly character: CamCharacter;
}

/** Power stroke in mm: draw length to the pivot, less the brace height. */
export const strokeMm = (drawLengthMm: Mm, braceHeightMm: Mm): Mm =>
  mm(drawLengthMm - PIVOT_TO_STANDARD_MM - braceHeightMm);

/** Force at part `u` (0 to 1) of the stroke, N: rise, hold at peak, let-off. */
export function forceAt(u: number, { peakN, letOff, character }: ForceCurve): Newton {
  const { rise, letOff: start } = CAM_SHAPE[character];
  if (u < rise) return newton(peakN * Math.sin(((Math.PI / 2) * u) / rise));
  if (u <= start) return peakN;
  const down = (1 - Math.cos((Math.PI * (u - start)) / (1 - start))) / 2;
  return newton(peakN * (1 - letOff * down));
}

/** Energy stored at full draw, J; the three pieces are integrated apart, so no kink is crossed. */
export function storedEnergyJ(curve: ForceCurve): number {
  const { rise, letOff } = CAM_SHAPE[curve.character];
  const force = (u: number) => forceAt(u, curve);
  const mean =
    simpson(force, 0, rise, 64) + curve.peakN * (letOff - rise) + simpson(force, letOff, 1, 64);
  return (mean * strokeMm(curve.drawLengthMm, curve.braceHeightMm)) / 1000;
}

/** Points of the curve for drawing: inches or mm are the chart's affair. */
export function forceCurvePoints(curve: ForceCurve, points = 80) {
  const stroke = strokeMm(curve.drawLengthMm, curve.braceHeightMm);
  return Array.from({ length: points + 1 }, (_, i) => ({
    drawnMm: mm((stroke * i) / points),
    forceN: forceAt(i / points, curve),
  }));
}
