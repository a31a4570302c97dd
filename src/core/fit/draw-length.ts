import { PIVOT_TO_STANDARD_MM } from '../bow/types';
import { chiSquareTail, mean } from '../numerics';
import { mm, type Mm } from '../units';
import { methodEntry, type DrawLengthMethod, type DrawLengthReading } from './types';

export const DEFAULT_LOOP_MM = mm(12.7);
/** Repeating a method cannot take away what the method itself is off by. */
const REPEAT_FLOOR = 0.7;
/** Under this p-value the readings are said to disagree. */
export const DISAGREEMENT_P = 0.05;
/** Draw length one full twist is worth until the bow has shown its own. */
export const MM_PER_TWIST = 1.2;
/** An overshoot counts this much more than falling short: too long is the worse fault. */
const OVERSHOOT_WEIGHT = 1.5;

export interface DrawLengthOptions {
  /** Length of the loop, mm; only used when `loopCounts`. */
  readonly loopMm?: Mm;
  /** The school that sets the bow shorter by the loop's length. */
  readonly loopCounts?: boolean;
  /** Draw lengths the modules allow, mm, any order. */
  readonly moduleStepsMm?: readonly Mm[];
}

export interface Estimate {
  readonly method: DrawLengthMethod;
  readonly drawLengthMm: Mm;
  readonly sigmaMm: Mm;
  /** How many readings it rests on. */
  readonly readings: number;
}

export interface ModuleChoice {
  readonly stepMm: Mm;
  /** Target less step: positive is made up by letting the string out. */
  readonly remainderMm: Mm;
  /** Full twists to take out of the string (positive) or put in (negative). */
  readonly twists: number;
}

export interface DrawLengthResult {
  readonly estimates: readonly Estimate[];
  readonly drawLengthMm: Mm;
  readonly sigmaMm: Mm;
  readonly chiSquare: number;
  /** Null for a single estimate: nothing to disagree with. */
  readonly pValue: number | null;
  /** The method furthest out in its own σ when the readings disagree. */
  readonly outlier: DrawLengthMethod | null;
  readonly module: ModuleChoice | null;
}

/**
 * Draw length from one or several readings: inverse-variance mean of the methods' estimates,
 * with χ² telling whether they agree (models.md section 1; shop rule for the method σ).
 * Repeated readings of one method are averaged; their σ shrinks with √n to 0.7 of one reading's.
 *
 * @param readings in mm, each within its method's range.
 * @returns null when there is no reading.
 */
export function drawLength(
  readings: readonly DrawLengthReading[],
  options: DrawLengthOptions = {},
): DrawLengthResult | null {
  if (readings.length === 0) return null;
  const estimates = estimatesOf(readings, options);
  const weights = estimates.map((estimate) => 1 / estimate.sigmaMm ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const consensus = estimates.reduce((sum, e, i) => sum + weights[i]! * e.drawLengthMm, 0) / total;
  const offsets = estimates.map((e) => (e.drawLengthMm - consensus) / e.sigmaMm);
  const chiSquare = offsets.reduce((sum, offset) => sum + offset ** 2, 0);
  const pValue = estimates.length > 1 ? chiSquareTail(chiSquare, estimates.length - 1) : null;
  const furthest = offsets.reduce((a, o, i) => (Math.abs(o) > Math.abs(offsets[a]!) ? i : a), 0);
  return {
    estimates,
    drawLengthMm: mm(consensus),
    sigmaMm: mm(Math.sqrt(1 / total)),
    chiSquare,
    pValue,
    outlier: pValue !== null && pValue < DISAGREEMENT_P ? estimates[furthest]!.method : null,
    module: chooseModule(mm(consensus), options.moduleStepsMm ?? []),
  };
}

function estimatesOf(readings: readonly DrawLengthReading[], options: DrawLengthOptions) {
  const methods = [...new Set(readings.map((reading) => reading.method))];
  return methods.map((method): Estimate => {
    const values = readings.filter((r) => r.method === method).map((r) => r.valueMm);
    const sigma = methodEntry(method).sigmaMm;
    return {
      method,
      drawLengthMm: mm(fromReading(method, mean(values), options)),
      sigmaMm: mm(Math.max(sigma / Math.sqrt(values.length), sigma * REPEAT_FLOOR)),
      readings: values.length,
    };
  });
}

function fromReading(method: DrawLengthMethod, valueMm: number, options: DrawLengthOptions) {
  switch (method) {
    case 'armSpan':
      return valueMm / 2.5 - (options.loopCounts ? (options.loopMm ?? DEFAULT_LOOP_MM) : 0);
    case 'wallToMouth':
      return valueMm;
    case 'markedArrow':
    case 'fittingBow':
      return valueMm + PIVOT_TO_STANDARD_MM;
  }
}

/** How far a step is from the target, mm; too long counts half as much again. */
export const moduleCost = (target: Mm, step: Mm): number =>
  step > target ? OVERSHOOT_WEIGHT * (step - target) : target - step;

/**
 * The module step nearest the target, an overshoot counting 1.5 times; the rest in twists.
 *
 * @returns null when there are no steps (a bow of fixed or unknown length).
 */
export function chooseModule(target: Mm, steps: readonly Mm[]): ModuleChoice | null {
  if (steps.length === 0) return null;
  const cost = (step: Mm) => moduleCost(target, step);
  const step = steps.reduce((best, next) => (cost(next) < cost(best) ? next : best));
  const remainder = target - step;
  return {
    stepMm: step,
    remainderMm: mm(remainder),
    twists: Math.round((remainder / MM_PER_TWIST) * 2) / 2,
  };
}
