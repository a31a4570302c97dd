import { PIVOT_TO_STANDARD_MM } from '../bow/types';
import { chiSquareTail, mean } from '../numerics';
import { mm, type Mm } from '../units';
import { methodEntry, type DrawLengthMethod, type DrawLengthReading } from './types';

export const DEFAULT_LOOP_MM = mm(12.7);
/** Repeating a method cannot take away what the method itself is off by. */
const REPEAT_FLOOR = 0.7;
/** Under this p-value the readings are said to disagree. */
const DISAGREEMENT_P = 0.05;
/** A retake further off than so many of its method's σ is asked about. Shop rule. */
const RETAKE_SIGMAS = 1.5;
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
  /** Full twists of the string, + in, − out, as everywhere. */
  readonly twists: number;
}

export interface DrawLengthResult {
  readonly estimates: readonly Estimate[];
  readonly drawLengthMm: Mm;
  readonly sigmaMm: Mm;
  readonly chiSquare: number;
  /** Null for a single estimate: nothing to disagree with. */
  readonly pValue: number | null;
  /** The methods contradict each other: under one in twenty when all were read well. */
  readonly disagree: boolean;
  /** A method whose own readings lie further apart than it scatters: settled before the others. */
  readonly apart: DrawLengthMethod | null;
  /**
   * Of three methods or more that disagree, the one furthest from the mean of the others in units of
   * both their σ; null of two, of which none is the culprit, and while one disagrees with itself.
   */
  readonly outlier: DrawLengthMethod | null;
  readonly module: ModuleChoice | null;
}

/**
 * Draw length from one or several readings: inverse-variance mean of the methods' estimates,
 * with χ² telling whether they agree (docs/models.md section 1; shop rule for the method σ).
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
  const chiSquare = estimates.reduce(
    (sum, e) => sum + ((e.drawLengthMm - consensus) / e.sigmaMm) ** 2,
    0,
  );
  const pValue = estimates.length > 1 ? chiSquareTail(chiSquare, estimates.length - 1) : null;
  const disagree = pValue !== null && pValue < DISAGREEMENT_P;
  const apart = apartMethod(readings, options);
  return {
    estimates,
    drawLengthMm: mm(consensus),
    sigmaMm: mm(Math.sqrt(1 / total)),
    chiSquare,
    pValue,
    disagree,
    apart,
    outlier: disagree && apart === null ? culprit(estimates) : null,
    module: chooseModule(mm(consensus), options.moduleStepsMm ?? []),
  };
}

/** The largest deletion residual |xᵢ − mean of the others| / √(σᵢ² + σ²others); none of two. */
function culprit(estimates: readonly Estimate[]): DrawLengthMethod | null {
  if (estimates.length < 3) return null;
  const off = (one: Estimate) => {
    const others = estimates.filter((other) => other !== one);
    const weight = others.reduce((sum, e) => sum + 1 / e.sigmaMm ** 2, 0);
    const middle = others.reduce((sum, e) => sum + e.drawLengthMm / e.sigmaMm ** 2, 0) / weight;
    return Math.abs(one.drawLengthMm - middle) / Math.sqrt(one.sigmaMm ** 2 + 1 / weight);
  };
  return estimates.reduce((worst, next) => (off(next) > off(worst) ? next : worst)).method;
}

interface Retake {
  /** From the middle of the readings that stand, as draw length; + longer. */
  readonly offMm: Mm;
  readonly allowedMm: Mm;
  /** Within what the method scatters: it counts beside the others. Else it is asked which is wrong. */
  readonly beside: boolean;
}

/**
 * A method read once more, held against its own readings before anybody looks at other methods.
 * Shop rule: it counts beside them within one and a half of the method's σ.
 *
 * @returns null where the method was not read before.
 */
export function retake(
  earlier: readonly DrawLengthReading[],
  reading: DrawLengthReading,
  options: DrawLengthOptions = {},
): Retake | null {
  const own = earlier.filter(({ method }) => method === reading.method);
  if (own.length === 0) return null;
  const length = (valueMm: number) => fromReading(reading.method, valueMm, options);
  const offMm = mm(length(reading.valueMm) - length(mean(own.map(({ valueMm }) => valueMm))));
  const allowedMm = mm(RETAKE_SIGMAS * methodEntry(reading.method).sigmaMm);
  return { offMm, allowedMm, beside: Math.abs(offMm) <= allowedMm };
}

function apartMethod(readings: readonly DrawLengthReading[], options: DrawLengthOptions) {
  const found = readings.find((reading, i) => {
    const others = readings.filter((_, k) => k !== i);
    return retake(others, reading, options)?.beside === false;
  });
  return found?.method ?? null;
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
    // + 0 keeps −0 out of every sentence.
    twists: Math.round((-remainder / MM_PER_TWIST) * 2) / 2 + 0,
  };
}
