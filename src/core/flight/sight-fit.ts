import { dot, inverse, studentTwoSided, times } from '../numerics';
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
const LEAST_SPEED_MPS = 25;
const MOST_SPEED_MPS = 140;
const LEAST_DRAG = 0.2;
const MOST_DRAG = 8;
const START_SPEEDS = [85, 60, 110, 45] as const;
const MOST_ITERATIONS = 40;
/**
 * A mark is called odd under this chance, all marks together: with the usual σ counted in, under one
 * in twenty of good scales has a mark named, also where marks scatter half as much again.
 */
const ODD_P = 0.035;
/** What a mark shot in with a few arrows is off by, 1σ at the pin, counted as so many marks. Shop rule. */
const USUAL_MARK = { sigmaMm: 0.3, counts: 2 };

/**
 * Launch speed (and drag, from three distances on) from confirmed marks by least squares: drop =
 * a + s(d₁) − s(d), with a the first mark's own error, by Gauss and Newton (docs/models.md section 6).
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
    odd: oddMark(fit),
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
  /** Derivatives of each drop by offset, speed and drag. */
  readonly rows: readonly (readonly number[])[];
}

/** The first start that converges; a far start can step out of the arrow’s reach. */
function bestFit(input: SightFitInput, shots: readonly ConfirmedShot[]): Fit | null {
  const drag = input.dragCoefficient ?? DEFAULT_DRAG_COEFFICIENT;
  for (const speed of START_SPEEDS) {
    const fit = gaussNewton(input, shots, { speed, drag });
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
    return { speed, drag, residuals, variance, covariance, iterations: iteration, sum, rows };
  }
  return null;
}

/**
 * A mark that does not fit the others: its residual against the fit without it, in units of that
 * prediction's own standard error (externally studentised, Cook and Weisberg, *Residuals and
 * Influence in Regression*, 1982). The variance is the others' own with the usual mark's counted in
 * like two of them, so that three good marks by chance on one line do not accuse a fourth. All marks
 * are looked at, so the worst is named only where its chance times their number is small (Bonferroni).
 *
 * @returns null where none stands out, or no degree of freedom is left to tell by.
 */
function oddMark({ rows, residuals, covariance, sum }: Fit): number | null {
  const count = rows.length;
  const spare = count - rows[0]!.length - 1;
  if (spare < 1) return null;
  const { sigmaMm, counts } = USUAL_MARK;
  const { i, pValue } = residuals
    .map((residual, i) => {
      const kept = 1 - dot(rows[i]!, times(covariance, rows[i]!));
      // A mark the others say nothing of cannot stand out from them.
      if (kept < 1e-9) return { i, pValue: 1 };
      const others = Math.max(sum - (residual * residual) / kept, 0);
      const variance = (counts * sigmaMm ** 2 + others) / (counts + spare);
      const t = residual / Math.sqrt(variance * kept);
      return { i, pValue: studentTwoSided(t, counts + spare) };
    })
    .reduce((worst, next) => (next.pValue < worst.pValue ? next : worst));
  return pValue * count < ODD_P ? i : null;
}
