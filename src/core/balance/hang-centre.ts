import { inverse } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { mm, type Degree, type Mm } from '../units';
import type { Hang } from './types';

/** Seen from behind, hung from the top axle. */
export interface HangBehind {
  readonly at: { readonly upMm: Mm; readonly rightMm: Mm };
  /** + when the top leans to the right. */
  readonly leanDeg: Degree;
}

export interface HangInput {
  /** Two or more, from different points. */
  readonly hangs: readonly Hang[];
  readonly behind?: HangBehind;
}

interface HangResult {
  readonly centre: { readonly forwardMm: Mm; readonly upMm: Mm; readonly rightMm?: Mm };
  /** How far the centre lies from the plumb line of each hang. */
  readonly residualsMm: readonly Mm[];
  readonly sigmaMm: { readonly forwardMm: Mm; readonly upMm: Mm };
  /** Covariance of the two divided by their σ, −1 to 1: how the ellipse is tilted. */
  readonly correlation: number;
}

/** A level, a telephone or an eye reads a lean to so much; degrees. Shop rule. */
const LEAN_SIGMA_DEG = 0.5;
/** Plumb lines closer than this hardly cross, degrees. Shop rule. */
const LEAST_APART_DEG = 10;
/** Nothing hangs like that from a cord that holds it, degrees. */
const MOST_LEAN_DEG = 75;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * Where the mass of a bow has its centre, from how it hangs: it comes to rest with its centre below the
 * point it hangs from, (c_f − P_f)·cos α + (c_u − P_u)·sin α = 0. Least squares over the hangs, all counting
 * alike; σ from half a degree of lean (docs/models.md section 9).
 *
 * @param input leans under 75° either way.
 * @returns refused under two hangs, at an impossible lean, and when all plumb lines run within 10° of each
 *   other.
 */
export function hangCentre({ hangs, behind }: HangInput): Outcome<HangResult> {
  if (hangs.length < 2)
    return refused(
      'one-hang',
      'One hang gives a line, not a point: hang the bow from a second point, the bar’s thread say.',
      'hangs',
    );
  const steep = [...hangs, ...(behind ? [behind] : [])].find(
    ({ leanDeg }) => Math.abs(leanDeg) > MOST_LEAN_DEG,
  );
  if (steep)
    return refused(
      'steep-lean',
      `A lean of ${steep.leanDeg}° cannot be: measure the string line against the plumb line, 0° when it hangs straight.`,
      steep === behind ? 'behind' : 'hangs',
    );
  const leans = hangs.map(({ leanDeg }) => leanDeg);
  if (Math.max(...leans) - Math.min(...leans) < LEAST_APART_DEG)
    return refused(
      'lines-alike',
      'The plumb lines hardly cross: hang the bow from a point further forward or back, such as the bar’s thread or the sight’s mount.',
      'hangs',
    );
  const rows = hangs.map(({ at, leanDeg }) => {
    const [cos, sin] = [Math.cos(radians(leanDeg)), Math.sin(radians(leanDeg))];
    return { cos, sin, along: cos * at.forwardMm + sin * at.upMm, at };
  });
  const sum = (of: (row: (typeof rows)[number]) => number) =>
    rows.reduce((total, row) => total + of(row), 0);
  const cross = sum(({ cos, sin }) => cos * sin);
  const inverted = inverse([
    [sum(({ cos }) => cos * cos), cross],
    [cross, sum(({ sin }) => sin * sin)],
  ])!;
  const solved = (right: readonly [number, number]) =>
    inverted.map((row) => row[0]! * right[0] + row[1]! * right[1]) as [number, number];
  const [forward, up] = solved([
    sum(({ cos, along }) => cos * along),
    sum(({ sin, along }) => sin * along),
  ]);
  // A lean read wrong by δ moves its plumb line at the centre by δ times the length of the hang.
  const spread = rows.map(({ cos, sin, at }) => {
    const length = -(forward - at.forwardMm) * sin + (up - at.upMm) * cos;
    const weight = solved([cos, sin]);
    const moved = radians(LEAN_SIGMA_DEG) * length;
    return [weight[0] * moved, weight[1] * moved] as const;
  });
  const variance = (i: 0 | 1, j: 0 | 1) =>
    spread.reduce((total, one) => total + one[i] * one[j], 0);
  const [sigmaForward, sigmaUp] = [Math.sqrt(variance(0, 0)), Math.sqrt(variance(1, 1))];
  return answered({
    centre: {
      forwardMm: mm(forward),
      upMm: mm(up),
      ...(behind
        ? {
            rightMm: mm(
              behind.at.rightMm - (up - behind.at.upMm) * Math.tan(radians(behind.leanDeg)),
            ),
          }
        : {}),
    },
    residualsMm: rows.map(({ cos, sin, along }) => mm(cos * forward + sin * up - along)),
    sigmaMm: { forwardMm: mm(sigmaForward), upMm: mm(sigmaUp) },
    correlation: variance(0, 1) / (sigmaForward * sigmaUp),
  });
}
