import type { HitPoint } from '../setup';
import { metre, metresPer } from '../units';
import type { JobDerived } from './derive';
import { dropsBelow, jobMarks } from './marks';

/** How far the next group is shot from the first one at least, in the shop's unit. Shop rule. */
const FURTHER_BY = 15;
/** Further than this a group tells the archer more than the sight. Shop rule, m. */
const FAR_ENOUGH_M = 90;
const USUAL_FURTHEST_M = 50;
const STEP = 5;

/**
 * Where the next group is best shot, as it is typed: the usual first distance, then far out. Shop rule.
 *
 * @param firstM distance of the first confirmed group; null before there is one.
 */
export function nextGroupDistance(
  firstM: number | null,
  furthestM: number | null,
  unit: 'm' | 'yd',
): string {
  if (firstM === null) return unit === 'yd' ? '20 yd' : '18 m';
  const perUnit = metresPer(unit);
  const far = Math.max(
    firstM + FURTHER_BY * perUnit,
    Math.min(furthestM ?? USUAL_FURTHEST_M, FAR_ENOUGH_M),
  );
  return `${Math.round(far / perUnit / STEP) * STEP} ${unit}`;
}

/** Hits of the newest group that was confirmed; none where there is none. */
export function newestGroup({ history }: Pick<JobDerived, 'history'>): readonly HitPoint[] {
  const groups = [...(history.get('firstMark') ?? []), ...(history.get('markShot') ?? [])]
    .flatMap(({ seq, data }) =>
      data?.kind === 'group' || (data?.kind === 'mark' && data.hits.length > 0)
        ? [{ seq, hits: data.hits }]
        : [],
    )
    .sort((a, b) => b.seq - a.seq);
  return groups[0]?.hits ?? [];
}

/** What the marks say of a distance before it is shot, mm below the first; null while they cannot. */
export function predictedDropMm(derived: JobDerived, distanceM: number): number | null {
  const at = [metre(distanceM)];
  const { flight, referenceM } = jobMarks(derived, at);
  return flight ? (dropsBelow(flight, flight.speedMps, referenceM, at)?.[0] ?? null) : null;
}
