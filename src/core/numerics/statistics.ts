import { bracketedRoot } from './roots';

/** Lanczos coefficients (g = 7, n = 9), relative error of Γ about 1e-15. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
  -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6,
  1.5056327351493116e-7,
];

export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const z = x - 1;
  const t = z + 7.5;
  const sum = LANCZOS.reduce((acc, c, i) => (i === 0 ? c : acc + c / (z + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

const TINY = 1e-300;
const EPS = 1e-15;

/** Regularised upper incomplete gamma Q(a, x), a > 0, x ≥ 0 (series below a + 1, else Lentz). */
export function upperGamma(a: number, x: number): number {
  if (x <= 0) return 1;
  const front = Math.exp(-x + a * Math.log(x) - logGamma(a));
  if (x < a + 1) {
    let [term, sum] = [1 / a, 1 / a];
    for (let n = 1; n < 1000 && Math.abs(term) > Math.abs(sum) * EPS; n++) {
      term *= x / (a + n);
      sum += term;
    }
    return 1 - sum * front;
  }
  let b = x + 1 - a;
  let c = 1 / TINY;
  let d = 1 / b;
  let h = d;
  for (let i = 1; i < 1000; i++) {
    const an = -i * (i - a);
    b += 2;
    d = 1 / nonZero(an * d + b);
    c = nonZero(b + an / c);
    h *= d * c;
    if (Math.abs(d * c - 1) < EPS) break;
  }
  return front * h;
}

const nonZero = (x: number) => (Math.abs(x) < TINY ? TINY : x);

/** P(χ² > x) with `degrees` ≥ 1 degrees of freedom. */
export const chiSquareTail = (x: number, degrees: number) => upperGamma(degrees / 2, x / 2);

/** Regularised incomplete beta I_x(a, b) by Lentz's continued fraction. */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(
    logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x),
  );
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

function betaFraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / nonZero(1 - ((a + b) * x) / (a + 1));
  let h = d;
  for (let m = 1; m < 1000; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / nonZero(1 + even * d);
    c = nonZero(1 + even / c);
    h *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / nonZero(1 + odd * d);
    c = nonZero(1 + odd / c);
    h *= d * c;
    if (Math.abs(d * c - 1) < EPS) break;
  }
  return h;
}

/** P(F > f) for the F distribution with d1 and d2 degrees of freedom. */
export const fTail = (f: number, d1: number, d2: number) =>
  f <= 0 ? 1 : incompleteBeta(d2 / (d2 + d1 * f), d2 / 2, d1 / 2);

export const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Sample standard deviation (n − 1); null for fewer than two values. */
export function sampleSd(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const centre = mean(values);
  return Math.sqrt(
    values.reduce((sum, value) => sum + (value - centre) ** 2, 0) / (values.length - 1),
  );
}

/** The middle one, or half way between the two middle ones; NaN of nothing is never asked for. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** P(|T| > |t|) for Student's t with `degrees` ≥ 1 degrees of freedom. */
export const studentTwoSided = (t: number, degrees: number) => fTail(t * t, 1, degrees);

/** The t with P(|T| > t) = p for Student's t; `degrees` ≥ 1, p from 1e-6 to 1. */
export function studentQuantile(p: number, degrees: number): number {
  if (p >= 1) return 0;
  // P falls from 1 at 0; at 1e7 it is under any p allowed, whatever the degrees.
  const found = bracketedRoot((t) => studentTwoSided(t, degrees) - p, 0, 1e7, 1e-10);
  return found.converged ? found.x : Number.POSITIVE_INFINITY;
}
