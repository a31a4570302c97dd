import type { PartsOnBow } from './parts-on-bow';

/** A scale and a sum that differ by less agree, g. Shop rule. */
const SCALE_AGREES_G = 40;

/** What the scale reads against the sum of the parts. */
interface ScaleCheck {
  readonly scaleG: number;
  readonly sumG: number;
  /** Scale less sum. */
  readonly gapG: number;
  readonly agrees: boolean;
  /** Parts the sum knows nothing of: likely what is missing. */
  readonly unknown: readonly string[];
}

export function scaleCheck(
  scaleG: number,
  bareG: number,
  { parts, unknown }: Pick<PartsOnBow, 'parts' | 'unknown'>,
): ScaleCheck {
  const sumG = bareG + parts.reduce((sum, { massG }) => sum + massG, 0);
  const gapG = scaleG - sumG;
  return { scaleG, sumG, gapG, agrees: Math.abs(gapG) <= SCALE_AGREES_G, unknown };
}
