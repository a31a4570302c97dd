import { bayesianLeastSquares } from '../numerics';
import type { Metre } from '../units';
import { FIRST_SCATTER_MM, type Tear } from './response';

export interface BareShaftPair {
  readonly distanceM: Metre;
  /** Where the bare shafts hit from where the fletched ones did, mm, + right and up. */
  readonly rightMm: number;
  readonly upMm: number;
}

interface BareShaftReading extends Tear {
  /** 1σ of each axis, as a tear, mm. */
  readonly sigmaMm: number;
  /** Told from nothing: more than one and a half σ. */
  readonly tells: boolean;
}

/** mm of tear for each mm a bare shaft goes astray at 18 m, further out in proportion. Shop rule. */
const TEAR_PER_MM = 0.1;
const RULE_AT_M = 18;
/** One archer's placing of a bare shaft at 18 m, mm. Shop rule. */
const PLACING_MM = 30;
/** Told from nothing from so many σ on. */
const TELLING = 1.5;

/**
 * A bare-shaft pair as millimetres of tear: one centimetre at 18 m for each, growing with distance
 * (docs/models.md section 7, shop rule). Valid 8 to 40 m. What it asks of the rest is not known
 * beforehand: schools differ even in the sign.
 */
export function bareShaftTear({ distanceM, rightMm, upMm }: BareShaftPair): BareShaftReading {
  const scale = (TEAR_PER_MM * RULE_AT_M) / distanceM;
  const tear = { rightMm: rightMm * scale + 0, upMm: upMm * scale + 0 };
  // The placing grows with the distance as the rule does: as a tear it is the same everywhere.
  const sigmaMm = Math.max(FIRST_SCATTER_MM, PLACING_MM * TEAR_PER_MM);
  return { ...tear, sigmaMm, tells: Math.hypot(tear.rightMm, tear.upMm) > TELLING * sigmaMm };
}

export type BareShaftEvent =
  | { readonly kind: 'pair'; readonly pair: BareShaftPair }
  /** The rest was moved sideways, mm; + right. */
  | { readonly kind: 'move'; readonly restMm: number }
  /** Something else was changed: pairs before it say nothing of pairs after it. */
  | { readonly kind: 'fresh' };

export interface BareShaftAdvice {
  /**
   * `none` shot; `together`: nothing to move; `shoot` again after the move; `experiment`: a first
   * small move that only asks this bow which way it answers; `adjust`: by what it answered;
   * `silent`: it answered nothing that can be told.
   */
  readonly state: 'none' | 'together' | 'shoot' | 'experiment' | 'adjust' | 'silent';
  /** Rest sideways, mm, + right; 0 where nothing is to be moved. */
  readonly restMm: number;
  /** mm of tear for each mm of the rest, and its σ; prior 0 ± 2. */
  readonly perMm: number;
  readonly sigmaPerMm: number;
  /** The newest pair to the side, as a tear; null before one. */
  readonly nowMm: number | null;
}

/** What a mm at the rest does to the bare shafts, before this bow has shown it: not even its sign. */
const ANSWER = { mean: 0, sd: 2 };
const UNSEEN_SD_MM = 60;
/** A first move to learn from: small enough to be harmless, large enough to be seen. Shop rule. */
const EXPERIMENT_MM = 1;
const STEP_MM = 0.25;
const MOST_MM = 2;
/** Experiments without an answer that can be told. */
const MOST_EXPERIMENTS = 3;

/**
 * What bare shafts ask of the rest (docs/models.md section 7): the response starts at 0 ± 2 mm a mm, is
 * learned from a first small move and only then gone by. Deterministic in its history.
 */
export function bareShaftAdvice(history: readonly BareShaftEvent[]): BareShaftAdvice {
  const rows: { x: number[]; y: number }[] = [];
  let [moved, stretch, moves, fresh] = [0, 0, 0, true];
  let newest: BareShaftReading | null = null;
  const stretches = 1 + history.filter(({ kind }) => kind === 'fresh').length;
  for (const event of history) {
    if (event.kind === 'move') {
      moved += event.restMm;
      moves++;
      fresh = true;
    } else if (event.kind === 'fresh') {
      stretch++;
      [newest, moves, fresh] = [null, 0, true];
    } else {
      newest = bareShaftTear(event.pair);
      fresh = false;
      const starts = Array.from({ length: stretches }, (_, i) => (i === stretch ? 1 : 0));
      rows.push({ x: [...starts, moved], y: newest.rightMm });
    }
  }
  const starts = Array.from({ length: stretches }, () => ({ mean: 0, sd: UNSEEN_SD_MM }));
  const sigma = Math.max(FIRST_SCATTER_MM, PLACING_MM * TEAR_PER_MM);
  const fit = bayesianLeastSquares([...starts, ANSWER], rows, sigma);
  const perMm = fit.mean.at(-1)!;
  const sigmaPerMm = Math.sqrt(fit.covariance.at(-1)!.at(-1)!);
  const base = { perMm, sigmaPerMm, nowMm: newest?.rightMm ?? null };
  const stay = (state: 'none' | 'together' | 'shoot' | 'silent') => ({ ...base, state, restMm: 0 });
  if (!newest) return stay('none');
  if (fresh) return stay('shoot');
  if (Math.abs(newest.rightMm) <= TELLING * newest.sigmaMm) return stay('together');
  const known = Math.abs(perMm) > sigmaPerMm;
  if (!known && moves >= MOST_EXPERIMENTS) return stay('silent');
  if (!known) return { ...base, state: 'experiment', restMm: EXPERIMENT_MM };
  const wanted = -newest.rightMm / perMm;
  const restMm = Math.round(Math.max(-MOST_MM, Math.min(MOST_MM, wanted)) / STEP_MM) * STEP_MM + 0;
  return restMm === 0 ? stay('together') : { ...base, state: 'adjust', restMm };
}
