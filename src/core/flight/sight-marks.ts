import { bracketedRoot } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import {
  STANDARD_GRAVITY,
  degree,
  metre,
  mm,
  mps,
  type Degree,
  type Gram,
  type Metre,
  type Mm,
  type Mps,
} from '../units';
import { STANDARD_AIR_DENSITY_KG_M3 } from './air';
import { HOUSING_CLEARANCE_MM } from './usual';
import { dragPerMetre, fly, type Flight } from './trajectory';

export const DEFAULT_DRAG_COEFFICIENT = 2;

interface SightGeometry {
  /** Peep centre above the arrow line at full draw. */
  readonly peepHeightMm: Mm;
  /** Peep to the pin plane at full draw. */
  readonly peepToPinMm: Mm;
}

export interface SightMarksInput extends SightGeometry {
  readonly speedMps: Mps;
  readonly arrowG: Gram;
  readonly shaftOuterMm: Mm;
  readonly dragCoefficient?: number;
  readonly airDensityKgM3?: number;
  readonly distancesM: readonly Metre[];
  readonly slopeDeg?: Degree;
  readonly clearance?: { readonly housingRadiusMm: Mm; readonly vaneHeightMm: Mm };
}

export interface SightMark {
  readonly distanceM: Metre;
  readonly launchDeg: Degree;
  readonly pinAboveArrowMm: Mm;
  readonly timeOfFlightS: number;
  readonly impactSpeedMps: Mps;
  readonly impactEnergyJ: number;
}

export interface SightMarksResult {
  readonly marks: readonly SightMark[];
  /** Past it the housing would be in the arrow's way; null when it never is within reach. */
  readonly furthestClearM?: Metre | null;
}

/**
 * Pin heights for distances measured from the pin plane along the sight line. The arrow starts
 * s = p − R·tan θ under the line, θ above it, with drag −k·|v|·v (docs/models.md section 6; drag
 * coefficients after Miyazaki et al., *Sports Engineering* 16, 2013). Error under 0.005 mm.
 *
 * @param input distances from 1 m; a slope between −60° and 60°.
 * @returns a refusal naming the first distance the arrow cannot reach.
 */
export function sightMarks(input: SightMarksInput): Outcome<SightMarksResult> {
  const flight = flightOf(input);
  const marks: SightMark[] = [];
  for (const [i, distanceM] of input.distancesM.entries()) {
    const mark = markAt(distanceM, input, flight);
    if (!mark) {
      return refused(
        'out-of-reach',
        `This arrow does not reach ${distanceM} m on this slope. Leave that distance out.`,
        `distancesM/${i}`,
      );
    }
    marks.push(mark);
  }
  return answered({
    marks,
    ...(input.clearance ? { furthestClearM: furthestClear(input, flight) } : {}),
  });
}

const flightOf = (input: SightMarksInput): Flight => ({
  speedMps: input.speedMps,
  dragPerM: dragPerMetre(
    input.arrowG,
    input.shaftOuterMm,
    input.dragCoefficient ?? DEFAULT_DRAG_COEFFICIENT,
    input.airDensityKgM3 ?? STANDARD_AIR_DENSITY_KG_M3,
  ),
  slopeRad: ((input.slopeDeg ?? 0) * Math.PI) / 180,
});

const pinM = (sight: SightGeometry, angle: number) =>
  (sight.peepHeightMm - sight.peepToPinMm * Math.tan(angle)) / 1000;

function markAt(distanceM: Metre, input: SightMarksInput, flight: Flight): SightMark | null {
  const angle = solveAngle(distanceM, input, flight);
  const end = angle === null ? null : fly(flight, angle, distanceM);
  if (angle === null || !end) return null;
  return {
    distanceM,
    launchDeg: degree((angle * 180) / Math.PI),
    pinAboveArrowMm: mm(pinM(input, angle) * 1000),
    timeOfFlightS: end.timeS,
    impactSpeedMps: mps(end.speedMps),
    impactEnergyJ: (0.5 * input.arrowG * end.speedMps ** 2) / 1000,
  };
}

/** Launch angle at which the arrow meets the sight line at `distanceM`; null when it cannot. */
function solveAngle(distanceM: number, sight: SightGeometry, flight: Flight): number | null {
  const miss = (angle: number) => {
    const end = fly(flight, angle, distanceM);
    return end ? end.riseM - pinM(sight, angle) : null;
  };
  const gravity = STANDARD_GRAVITY * Math.cos(flight.slopeRad);
  let previous = sight.peepHeightMm / 1000 / distanceM;
  let angle = previous + (gravity * distanceM) / (2 * flight.speedMps ** 2);
  let before = miss(previous);
  // Secant from the drag-free angle: three or four steps, as the miss is nearly linear.
  for (let i = 0; i < 12 && before !== null; i++) {
    const now = miss(angle);
    if (now === null || Math.abs(angle) > Math.PI / 4) break;
    if (Math.abs(now) < 1e-10) return angle;
    const next = angle - (now * (angle - previous)) / (now - before);
    if (!Number.isFinite(next)) break;
    [previous, before, angle] = [angle, now, next];
    if (Math.abs(angle - previous) < 1e-12) return angle;
  }
  return searchAngle(miss);
}

/** Steep and slow cases: scan for the first crossing from below, then close in on it. */
function searchAngle(miss: (angle: number) => number | null): number | null {
  const step = 0.005;
  for (let low = -0.2; low < Math.PI / 4; low += step) {
    const [a, b] = [miss(low), miss(low + step)];
    if (a === null || b === null || a > 0 || b < 0) continue;
    const found = bracketedRoot((x) => miss(x) ?? Number.NaN, low, low + step, 1e-12);
    if (found.converged) return found.x;
  }
  return null;
}

/** The distance at which the housing's lower edge comes within the vane's height + 3 mm. */
function furthestClear(input: SightMarksInput, flight: Flight): Metre | null {
  const { housingRadiusMm, vaneHeightMm } = input.clearance!;
  const lowest = housingRadiusMm + vaneHeightMm + HOUSING_CLEARANCE_MM;
  const room = (distance: number) => {
    const angle = solveAngle(distance, input, flight);
    return angle === null ? null : pinM(input, angle) * 1000 - lowest;
  };
  // The pin is highest near 10 m; from there on it only sinks.
  let near = 10;
  if ((room(near) ?? -1) < 0) return metre(0);
  for (let far = 20; far <= 200; far += 10) {
    const left = room(far);
    if (left === null) return null;
    if (left < 0) {
      const found = bracketedRoot((d) => room(d) ?? Number.NaN, near, far, 1e-6);
      return found.converged ? metre(found.x) : null;
    }
    near = far;
  }
  return null;
}
