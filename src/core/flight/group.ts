import { bracketedRoot, fTail, mean } from '../numerics';
import { degree, mm, type Degree, type Metre, type Mm } from '../units';
import { eyeLever } from './eye-lever';

/** A hit, from the aim, seen by the archer. */
export interface Hit {
  readonly rightMm: Mm;
  readonly upMm: Mm;
}

export interface GroupInput {
  readonly hits: readonly Hit[];
  readonly distanceM: Metre;
  readonly peepToPinMm: Mm;
}

export interface GroupResult {
  readonly centre: Hit;
  /** Hotelling's T² against the aim; null under three hits. */
  readonly pValue: number | null;
  /** Move the pin: the centre differs from the aim. */
  readonly adjust: boolean;
  /** Towards the hit; absent when nothing is to be moved. */
  readonly pinMove?: Hit;
  /** How many more arrows like these would show the difference; absent when none within 30. */
  readonly hitsNeeded?: number;
}

/** An ellipse on the target: half axes and the tilt of the longer one, from right towards up. */
export interface Ellipse {
  readonly centre: Hit;
  readonly longMm: Mm;
  readonly shortMm: Mm;
  readonly tiltDeg: Degree;
}

interface GroupSpread {
  /** Root mean square distance of the hits from their middle. */
  readonly rmsMm: Mm;
  /** Greatest distance between two hits. */
  readonly widestMm: Mm;
  /** Where the middle of many such groups lies with nine in ten; null under three hits. */
  readonly confidence: Ellipse | null;
}

const ADJUST_P = 0.1;
const MOST_HITS = 30;
/** Variance of placing a finger on a hole; only used when all hits lie on one line or point. */
const PLACING_MM2 = 1;

/**
 * Whether a group is off the aim, by Hotelling's T² (Hotelling, *Annals of Mathematical
 * Statistics* 2, 1931), and the pin's move miss·R/(d + R) towards the hit (docs/models.md section 6).
 *
 * @param input one hit or more; distance above 0.
 */
export function group({ hits, distanceM, peepToPinMm }: GroupInput): GroupResult {
  const centre = {
    rightMm: mm(mean(hits.map((hit) => hit.rightMm))),
    upMm: mm(mean(hits.map((hit) => hit.upMm))),
  };
  if (hits.length < 3) {
    return { centre, pValue: null, adjust: false, hitsNeeded: 3 - hits.length };
  }
  const distance2 = mahalanobis(hits, centre);
  const pValue = pOf(hits.length, distance2);
  if (pValue < ADJUST_P) {
    const scale = 1 / eyeLever(distanceM, peepToPinMm);
    return {
      centre,
      pValue,
      adjust: true,
      pinMove: { rightMm: mm(centre.rightMm * scale), upMm: mm(centre.upMm * scale) },
    };
  }
  let needed = hits.length + 1;
  while (needed <= MOST_HITS && pOf(needed, distance2) >= ADJUST_P) needed++;
  return {
    centre,
    pValue,
    adjust: false,
    ...(needed <= MOST_HITS ? { hitsNeeded: needed - hits.length } : {}),
  };
}

const pOf = (n: number, distance2: number) =>
  fTail(((n - 2) / (2 * (n - 1))) * n * distance2, 2, n - 2);

/**
 * How wide a group lies, and the ellipse in which its true middle lies with nine in ten (Hotelling):
 * an aim outside it is the same as `adjust`.
 *
 * @param hits one or more.
 */
export function groupSpread(hits: readonly Hit[]): GroupSpread {
  const centre = {
    rightMm: mm(mean(hits.map((hit) => hit.rightMm))),
    upMm: mm(mean(hits.map((hit) => hit.upMm))),
  };
  const far = (a: Hit, b: Hit) => Math.hypot(a.rightMm - b.rightMm, a.upMm - b.upMm);
  const rmsMm = mm(Math.sqrt(mean(hits.map((hit) => far(hit, centre) ** 2))));
  const widestMm = mm(Math.max(0, ...hits.flatMap((a) => hits.map((b) => far(a, b)))));
  const n = hits.length;
  if (n < 3) return { rmsMm, widestMm, confidence: null };
  const { xx, yy, xy } = covariance(hits, centre);
  // T² at p = 0.10, in units of the hits' own covariance; the tail falls, so the bracket holds it.
  const limit = bracketedRoot((d2) => pOf(n, d2) - ADJUST_P, 1e-6, 1e4, 1e-9);
  if (!limit.converged) return { rmsMm, widestMm, confidence: null };
  const [middle, half] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return {
    rmsMm,
    widestMm,
    confidence: {
      centre,
      longMm: mm(Math.sqrt(limit.x * (middle + half))),
      shortMm: mm(Math.sqrt(limit.x * Math.max(0, middle - half))),
      tiltDeg: degree((Math.atan2(2 * xy, xx - yy) * 90) / Math.PI),
    },
  };
}

/** Covariance of the hits; of a finger's placing too where they lie on one line or point. */
function covariance(hits: readonly Hit[], centre: Hit) {
  const n = hits.length;
  let [xx, yy, xy] = [0, 0, 0];
  for (const hit of hits) {
    const [x, y] = [hit.rightMm - centre.rightMm, hit.upMm - centre.upMm];
    xx += (x * x) / (n - 1);
    yy += (y * y) / (n - 1);
    xy += (x * y) / (n - 1);
  }
  if (xx * yy - xy * xy < 1e-9 * Math.max(1, xx * yy)) {
    xx += PLACING_MM2;
    yy += PLACING_MM2;
  }
  return { xx, yy, xy };
}

/** Squared distance of the centre from the aim in units of the hits' own covariance. */
function mahalanobis(hits: readonly Hit[], centre: Hit): number {
  const { xx, yy, xy } = covariance(hits, centre);
  const determinant = xx * yy - xy * xy;
  const { rightMm: a, upMm: b } = centre;
  return (a * a * yy - 2 * a * b * xy + b * b * xx) / determinant;
}

interface Clicks {
  readonly right: number;
  readonly up: number;
  /** What whole clicks leave of the move, mm at the pin. */
  readonly leftMm: Hit;
}

/**
 * A pin's move in the sight's own clicks, whole ones.
 *
 * @param clickMm how far the pin goes for one click, above 0.
 */
export function pinClicks(move: Hit, clickMm: number): Clicks {
  const right = Math.round(move.rightMm / clickMm) + 0;
  const up = Math.round(move.upMm / clickMm) + 0;
  return {
    right,
    up,
    leftMm: { rightMm: mm(move.rightMm - right * clickMm), upMm: mm(move.upMm - up * clickMm) },
  };
}
