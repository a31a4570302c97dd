import { STANDARD_GRAVITY, type Gram, type Mm, type Mps } from '../units';

/** What the air does to this arrow: a = −k·|v|·v. */
export interface Flight {
  readonly speedMps: Mps;
  /** k = ρ·C_d·A / (2m), 1/m. */
  readonly dragPerM: number;
  /** The sight line's slope, rad; up is positive. */
  readonly slopeRad: number;
}

/** k = ρ·C_d·A/(2m) with A from the shaft's outer diameter (docs/models.md section 6). */
export function dragPerMetre(
  arrowG: Gram,
  shaftOuterMm: Mm,
  dragCoefficient: number,
  densityKgM3: number,
): number {
  const area = (Math.PI / 4) * (shaftOuterMm / 1000) ** 2;
  return (densityKgM3 * dragCoefficient * area) / (2 * (arrowG / 1000));
}

/** Where the arrow is when it has gone `x` along the sight line. */
interface FlightPoint {
  /** Above the start, across the sight line, m. */
  readonly riseM: number;
  readonly timeS: number;
  readonly speedMps: number;
}

/** A step this long keeps the fourth-order error far under a micrometre at the pin. */
const STEP_M = 2.5;

/**
 * Flies the arrow to `distanceM` along the sight line, launched `angleRad` above it. Runge–Kutta
 * of fourth order with the distance as the independent variable, so the end is met exactly.
 *
 * @returns null when the arrow turns back before it gets there.
 */
export function fly(
  flight: Flight,
  angleRad: number,
  distanceM: number,
  stepM = STEP_M,
): FlightPoint | null {
  const { speedMps, dragPerM: k, slopeRad } = flight;
  const gx = -STANDARD_GRAVITY * Math.sin(slopeRad);
  const gy = -STANDARD_GRAVITY * Math.cos(slopeRad);
  const steps = Math.max(4, Math.ceil(distanceM / stepM));
  const h = distanceM / steps;
  let vx = speedMps * Math.cos(angleRad);
  let vy = speedMps * Math.sin(angleRad);
  let y = 0;
  let t = 0;
  for (let i = 0; i < steps; i++) {
    // Derivatives by distance: d(vx)/dx = ax/vx, d(vy)/dx = ay/vx, dy/dx = vy/vx, dt/dx = 1/vx.
    const v1 = Math.hypot(vx, vy);
    const a1 = (gx - k * v1 * vx) / vx;
    const b1 = (gy - k * v1 * vy) / vx;
    const x2 = vx + (h / 2) * a1;
    const y2 = vy + (h / 2) * b1;
    const v2 = Math.hypot(x2, y2);
    const a2 = (gx - k * v2 * x2) / x2;
    const b2 = (gy - k * v2 * y2) / x2;
    const x3 = vx + (h / 2) * a2;
    const y3 = vy + (h / 2) * b2;
    const v3 = Math.hypot(x3, y3);
    const a3 = (gx - k * v3 * x3) / x3;
    const b3 = (gy - k * v3 * y3) / x3;
    const x4 = vx + h * a3;
    const y4 = vy + h * b3;
    const v4 = Math.hypot(x4, y4);
    const a4 = (gx - k * v4 * x4) / x4;
    const b4 = (gy - k * v4 * y4) / x4;
    if (!(Math.min(x2, x3, x4) > 0)) return null;
    y += (h / 6) * (vy / vx + (2 * y2) / x2 + (2 * y3) / x3 + y4 / x4);
    t += (h / 6) * (1 / vx + 2 / x2 + 2 / x3 + 1 / x4);
    vx += (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    vy += (h / 6) * (b1 + 2 * b2 + 2 * b3 + b4);
    if (!(vx > 0)) return null;
  }
  return { riseM: y, timeS: t, speedMps: Math.hypot(vx, vy) };
}
