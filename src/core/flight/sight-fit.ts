import { inverse, times } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { metre, mps, type Metre, type Mm, type Mps } from '../units';
import { DEFAULT_DRAG_COEFFICIENT, sightMarks, type SightMarksInput } from './sight-marks';

/** A distance confirmed on the target, and how far the pin stood below the first one's. */
export interface ConfirmedShot {
  readonly distanceM: Metre;
  /** 0 for the first; + is down. */
  readonly dropMm: Mm;
}

export interface SightFitInput extends Omit<
  SightMarksInput,
  'speedMps' | 'distancesM' | 'clearance'
> {
  readonly shots: readonly ConfirmedShot[];
  /** Drag is fitted too; wants three distances or more. */
  readonly fitDrag?: boolean;
}

export interface SightFitResult {
  readonly speedMps: Mps;
  readonly dragCoefficient: number;
  /** From the scatter; null where the shots leave none. */
  readonly sigmaSpeedMps: number | null;
  /** As fitted beside the speed; null where it was not, or no scatter is left. */
  readonly sigmaDrag: number | null;
  /** Measured drop less the fitted one, a number for each shot, mm. */
  readonly residualsMm: readonly number[];
  /** Scatter of one mark, mm; null where none is left. */
  readonly sigmaMarkMm: number | null;
  /** Index of a mark that does not fit the others; null where all do or it cannot be told. */
  readonly odd: number | null;
  readonly iterations: number;
}

/** Slowest and fastest an arrow leaves a bow. */
export const LEAST_SPEED_MPS = 25;
export const MOST_SPEED_MPS = 140;
const LEAST_DRAG = 0.2;
const MOST_DRAG = 8;
const START_SPEEDS = [85, 60, 110, 45] as const;
const MOST_ITERATIONS = 40;
/** A mark further from the others' fit than this many of its σ, and than this at the pin, is odd. */
const ODD_SIGMAS = 3.5;
const ODD_MM = 0.4;

/**
 * Launch speed (and drag, from three distances on) from confirmed marks by least squares: drop =
 * a + s(d₁) − s(d), with a the first mark's own error, by Gauss and Newton (models.md section 6).
 * σ from the scatter with n − 2 (or n − 3) degrees of freedom.
 *
 * @param input two shots or more at different distances; drops grow with distance.
 * @returns a refusal naming the shots where two lie at one distance, marks stand in the wrong order,
 *   or no arrow flies like that.
 */
export function sightFit(input: SightFitInput): Outcome<SightFitResult> {
  const bad = badShots(input.shots, input.fitDrag ?? false);
  if (bad) return bad;
  const fit = bestFit(input, input.shots);
  if (!fit) return noSuchArrow();
  const { speed, drag, residuals, variance, covariance } = fit;
  return answered({
    speedMps: mps(speed),
    dragCoefficient: drag,
    sigmaSpeedMps: variance === null ? null : Math.sqrt(variance * covariance[1]![1]!),
    sigmaDrag:
      variance === null || !input.fitDrag ? null : Math.sqrt(variance * covariance[2]![2]!),
    residualsMm: residuals,
    sigmaMarkMm: variance === null ? null : Math.sqrt(variance),
    odd: oddMark(input, fit),
    iterations: fit.iterations,
  });
}

const noSuchArrow = () =>
  refused(
    'no-such-arrow',
    `No arrow between ${LEAST_SPEED_MPS} and ${MOST_SPEED_MPS} m/s makes these marks. Look at the distances, the drops, and peep and pin.`,
    'shots',
  );

function badShots(shots: readonly ConfirmedShot[], fitDrag: boolean) {
  if (shots.length < 2)
    return refused('too-few', 'Two distances at least make a scale; one more is needed.', 'shots');
  if (fitDrag && shots.length < 3)
    return refused('too-few-for-drag', 'Drag can be fitted from three distances on.', 'shots');
  for (const [i, shot] of shots.entries()) {
    const same = shots.findIndex((other) => Math.abs(other.distanceM - shot.distanceM) < 0.5);
    if (same < i)
      return refused(
        'same-distance',
        `Shots ${same + 1} and ${i + 1} are at one distance: keep one of them, or shoot another distance.`,
        `shots/${i}/distanceM`,
      );
  }
  const order = shots.map((shot, i) => ({ ...shot, i })).sort((a, b) => a.distanceM - b.distanceM);
  for (const [k, shot] of order.entries()) {
    const near = order[k - 1];
    // Near the archer's feet the pin rises first; past 15 m it only sinks.
    if (near && near.distanceM >= 15 && shot.dropMm <= near.dropMm)
      return refused(
        'wrong-order',
        `The pin for ${text(shot.distanceM)} stands no lower than the one for ${text(near.distanceM)}: further means lower. One of them was read or noted wrong.`,
        `shots/${shot.i}/dropMm`,
      );
  }
  return null;
}

const text = (distanceM: number) => `${Math.round(distanceM * 10) / 10} m`;

interface Fit {
  readonly speed: number;
  readonly drag: number;
  readonly residuals: number[];
  readonly variance: number | null;
  readonly covariance: number[][];
  readonly iterations: number;
  readonly sum: number;
}

/** The first start that converges; a far start can step out of the arrow’s reach. */
function bestFit(
  input: SightFitInput,
  shots: readonly ConfirmedShot[],
  near: readonly { speed: number; drag: number }[] = [],
): Fit | null {
  const drag = input.dragCoefficient ?? DEFAULT_DRAG_COEFFICIENT;
  for (const start of [...near, ...START_SPEEDS.map((speed) => ({ speed, drag }))]) {
    const fit = gaussNewton(input, shots, start);
    if (fit) return fit;
  }
  return null;
}

/** Drops below the first shot's pin for a speed and drag; null past the arrow's reach. */
function drops(
  input: SightFitInput,
  shots: readonly ConfirmedShot[],
  speed: number,
  drag: number,
): number[] | null {
  if (!(speed > 5) || !(drag > 0)) return null;
  const { shots: _shots, fitDrag: _fitDrag, ...geometry } = input;
  const answer = sightMarks({
    ...geometry,
    speedMps: mps(speed),
    dragCoefficient: drag,
    distancesM: shots.map(({ distanceM }) => metre(distanceM)),
  });
  if (!answer.ok) return null;
  const first = answer.marks[0]!.pinAboveArrowMm;
  return answer.marks.map((mark) => first - mark.pinAboveArrowMm);
}

function gaussNewton(
  input: SightFitInput,
  shots: readonly ConfirmedShot[],
  start: { speed: number; drag: number },
): Fit | null {
  const free = input.fitDrag ?? false;
  let { speed, drag } = start;
  for (let iteration = 1; iteration <= MOST_ITERATIONS; iteration++) {
    const at = drops(input, shots, speed, drag);
    const up = drops(input, shots, speed * 1.0005, drag);
    const thick = free ? drops(input, shots, speed, drag * 1.002) : null;
    if (!at || !up || (free && !thick)) return null;
    const rows = at.map((drop, i) => [
      1,
      (up[i]! - drop) / (speed * 0.0005),
      ...(thick ? [(thick[i]! - drop) / (drag * 0.002)] : []),
    ]);
    const miss = at.map((drop, i) => shots[i]!.dropMm - drop);
    const normal = rows[0]!.map((_, a) =>
      rows[0]!.map((__, b) => rows.reduce((sum, row) => sum + row[a]! * row[b]!, 0)),
    );
    const covariance = inverse(normal);
    if (!covariance) return null;
    const right = rows[0]!.map((_, a) => rows.reduce((sum, row, i) => sum + row[a]! * miss[i]!, 0));
    const [offset, bySpeed, byDrag = 0] = times(covariance, right);
    // Half steps keep the search from leaping past where the arrow still arrives.
    speed += Math.max(-speed / 3, Math.min(speed / 3, bySpeed!));
    drag += Math.max(-drag / 2, Math.min(drag, byDrag));
    if (Math.abs(bySpeed!) > 1e-8 * speed || Math.abs(byDrag) > 1e-7 * drag) continue;
    if (speed < LEAST_SPEED_MPS || speed > MOST_SPEED_MPS) return null;
    if (drag < LEAST_DRAG || drag > MOST_DRAG) return null;
    const residuals = miss.map(
      (m, i) => m - offset! - rows[i]![1]! * bySpeed! - (rows[i]![2] ?? 0) * byDrag,
    );
    const sum = residuals.reduce((total, r) => total + r * r, 0);
    const spare = shots.length - rows[0]!.length;
    const variance = spare > 0 ? sum / spare : null;
    return { speed, drag, residuals, variance, covariance, iterations: iteration, sum };
  }
  return null;
}

/**
 * The mark whose leaving makes the rest fit best, when it stands off the others' fit by more than a
 * few of their σ. Told only where two marks or more are left to check each other.
 */
function oddMark(input: SightFitInput, whole: Fit): number | null {
  const count = input.shots.length;
  const used = input.fitDrag ? 3 : 2;
  if (count < used + 2) return null;
  const without = input.shots.flatMap((shot, i) => {
    const rest = input.shots.filter((_, k) => k !== i);
    const fit = bestFit(input, rest, [whole]);
    return fit === null || fit.variance === null
      ? []
      : [{ i, shot, rest, fit, variance: fit.variance }];
  });
  const best = without.sort((a, b) => a.fit.sum - b.fit.sum)[0];
  const all = best && drops(input, [...best.rest, best.shot], best.fit.speed, best.fit.drag);
  if (!best || !all) return null;
  const offset = best.rest[0]!.dropMm - best.fit.residuals[0]! - all[0]!;
  const off = Math.abs(best.shot.dropMm - offset - all.at(-1)!);
  const sigma = Math.max(Math.sqrt(best.variance), ODD_MM / ODD_SIGMAS);
  return off / sigma > ODD_SIGMAS ? best.i : null;
}
