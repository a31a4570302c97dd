import type { Hand } from '../bow';
import { bayesianLeastSquares, logEvidence } from '../numerics';
import { ADJUSTMENTS, adjustmentRule, type Adjustment, type TearAxis } from './adjustments';

/** A tear, from the point's hole to the nock's, seen from the archer, mm. */
export interface Tear {
  readonly rightMm: number;
  readonly upMm: number;
}

export type PaperEvent =
  | {
      readonly kind: 'shot';
      readonly rightMm: number;
      readonly upMm: number;
      /** 1σ of each axis where it is not the archer's own on paper, mm. */
      readonly sigmaMm?: number;
    }
  | { readonly kind: 'move'; readonly adjustment: Adjustment; readonly amount: number }
  /** Something else was changed: tears before it say nothing of tears after it. */
  | { readonly kind: 'fresh' };

/** Scatter of one archer's tears before they have shown their own, mm for each axis. */
export const FIRST_SCATTER_MM = 2;
/** How many differences of tears the first scatter counts for. Shop rule. */
const SCATTER_WEIGHT = 8;
/** A tear nobody has seen yet: anything paper can show. */
const UNSEEN_SD_MM = 60;

export interface AxisResponse {
  /** Expected tear as the bow stands now. */
  readonly mean: number;
  readonly variance: number;
  /** mm of tear for each unit of every adjustment of this axis. */
  readonly per: Readonly<Partial<Record<Adjustment, number>>>;
  /** Variance of that, and its covariance with the tear now. */
  readonly perVariance: Readonly<Partial<Record<Adjustment, number>>>;
  readonly perCovariance: Readonly<Partial<Record<Adjustment, number>>>;
}

export interface PaperResponse {
  readonly right: AxisResponse;
  readonly up: AxisResponse;
  /** The archer's scatter as it now looks, mm for each axis. */
  readonly scatterMm: number;
  /** How many differences of tears at one setting the scatter rests on. */
  readonly scatterFrom: number;
  /** How far each adjustment stands from where it stood at the first paper. */
  readonly moved: Readonly<Record<Adjustment, number>>;
  /** Shots since the last move. */
  readonly shotsHere: number;
}

type Moved = Record<Adjustment, number>;
const NOTHING_MOVED = Object.fromEntries(ADJUSTMENTS.map((id) => [id, 0])) as Moved;

interface PaperRow {
  readonly shot: Tear;
  readonly moved: Moved;
  readonly stretch: number;
  readonly setting: number;
  readonly sigmaMm: number | null;
}

/** Every shot with how the bow stood then. */
function rowsOf(history: readonly PaperEvent[]) {
  const rows: PaperRow[] = [];
  let moved: Moved = { ...NOTHING_MOVED };
  let [stretch, setting] = [0, 0];
  for (const event of history) {
    if (event.kind === 'move') {
      moved = { ...moved, [event.adjustment]: moved[event.adjustment] + event.amount };
      setting++;
    } else if (event.kind === 'fresh') {
      stretch++;
      setting++;
    } else {
      const { rightMm, upMm, sigmaMm = null } = event;
      rows.push({ shot: { rightMm, upMm }, moved, stretch, setting, sigmaMm });
    }
  }
  return { rows, moved, stretch, setting };
}

/** Pooled scatter of shots at one setting, the first guess counting like a few of them. */
function scatterOf(rows: readonly PaperRow[]) {
  const settings = new Map<number, PaperRow[]>();
  for (const row of rows)
    if (row.sigmaMm === null)
      settings.set(row.setting, [...(settings.get(row.setting) ?? []), row]);
  let [sum, count] = [0, 0];
  for (const group of settings.values()) {
    for (const axis of ['rightMm', 'upMm'] as const) {
      const middle = group.reduce((total, { shot }) => total + shot[axis], 0) / group.length;
      sum += group.reduce((total, { shot }) => total + (shot[axis] - middle) ** 2, 0);
      count += group.length - 1;
    }
  }
  const variance = (SCATTER_WEIGHT * FIRST_SCATTER_MM ** 2 + sum) / (SCATTER_WEIGHT + count);
  return { scatterMm: Math.sqrt(variance), scatterFrom: count };
}

/** Rows of one axis for the least squares: a tear now of its own wherever something else was changed. */
function axisProblem(
  { rows, moved, stretch }: ReturnType<typeof rowsOf>,
  axis: TearAxis,
  hand: Hand,
  scatterMm: number,
) {
  const ids = ADJUSTMENTS.filter((id) => adjustmentRule(id, hand).axis === axis);
  const starts = Array.from({ length: stretch + 1 }, () => ({ mean: 0, sd: UNSEEN_SD_MM }));
  const x = (at: number, how: Moved) => [
    ...starts.map((_, i) => (i === at ? 1 : 0)),
    ...ids.map((id) => how[id]),
  ];
  return {
    ids,
    starts,
    answers: ids.map((id) => {
      const { mean, sd } = adjustmentRule(id, hand);
      return { mean, sd };
    }),
    now: x(stretch, moved),
    rows: rows.map((row) => ({
      x: x(row.stretch, row.moved),
      y: axis === 'right' ? row.shot.rightMm : row.shot.upMm,
      noiseSd: row.sigmaMm ?? scatterMm,
    })),
  };
}

/**
 * How many times likelier the papers are if no move changed anything (J = 0) than with the response
 * of docs/models.md section 7: the ratio of the two marginal likelihoods, as its natural logarithm. 0
 * before the first move.
 */
export function nothingAnswersLog(history: readonly PaperEvent[], hand: Hand): number {
  const known = rowsOf(history);
  const { scatterMm } = scatterOf(known.rows);
  return (['right', 'up'] as const).reduce((sum, axis) => {
    const { starts, answers, rows } = axisProblem(known, axis, hand, scatterMm);
    const none = answers.map(() => ({ mean: 0, sd: 0 }));
    return (
      sum + logEvidence([...starts, ...none], rows) - logEvidence([...starts, ...answers], rows)
    );
  }, 0);
}

/**
 * What the bow answers, learned from every shot: tear = t₀ + J·u with the priors of docs/models.md
 * section 7 for J, by linear Bayesian least squares; each axis by itself, and a new t₀ wherever
 * something else was changed.
 */
export function paperResponse(history: readonly PaperEvent[], hand: Hand): PaperResponse {
  const known = rowsOf(history);
  const { rows, moved, setting } = known;
  const scatter = scatterOf(rows);
  const axisOf = (axis: TearAxis): AxisResponse => {
    const problem = axisProblem(known, axis, hand, scatter.scatterMm);
    const { ids, starts, answers, now } = problem;
    const fit = bayesianLeastSquares(
      [...starts, ...answers],
      problem.rows.map(({ x, y, noiseSd }) => {
        // Rows less sure than paper count less.
        const weight = scatter.scatterMm / noiseSd;
        return { x: x.map((v) => v * weight), y: y * weight };
      }),
      scatter.scatterMm,
    );
    const along = fit.covariance.map((row) => row.reduce((sum, c, i) => sum + c * now[i]!, 0));
    const at = (id: Adjustment) => starts.length + ids.indexOf(id);
    const each = (of: (i: number) => number) =>
      Object.fromEntries(ids.map((id) => [id, of(at(id))]));
    return {
      mean: fit.mean.reduce((sum, m, i) => sum + m * now[i]!, 0),
      variance: along.reduce((sum, c, i) => sum + c * now[i]!, 0),
      per: each((i) => fit.mean[i]!),
      perVariance: each((i) => fit.covariance[i]![i]!),
      perCovariance: each((i) => along[i]!),
    };
  };
  return {
    right: axisOf('right'),
    up: axisOf('up'),
    ...scatter,
    moved,
    shotsHere: rows.filter((row) => row.setting === setting).length,
  };
}
