import { answered, refused, type Outcome } from '../outcome';
import { G_PER_GRAIN, gram, type Gram } from '../units';

/** Arrows of a set are taken for alike within this spread; two grains. Shop rule. */
export const SET_TOLERANCE_G = gram(2 * G_PER_GRAIN);

interface SetMatch {
  readonly meanG: Gram;
  /** Heaviest less lightest of all. */
  readonly spreadG: Gram;
  /** Of the arrows by their place in the list. */
  readonly keep: readonly number[];
  readonly leaveOut: readonly number[];
  readonly keptMeanG: Gram;
  readonly keptSpreadG: Gram;
}

/**
 * Which arrows of a set to shoot together: with `wanted`, those so many that lie closest together;
 * without, the most that lie within the tolerance. Of equals, the window nearest the set's mean.
 *
 * @param massesG each arrow, above 0 g.
 * @returns a refusal for fewer than two arrows, a mass that is none, or more wanted than there are.
 */
export function matchSet(
  massesG: readonly number[],
  { wanted, toleranceG = SET_TOLERANCE_G }: { wanted?: number; toleranceG?: number } = {},
): Outcome<SetMatch> {
  if (massesG.length < 2) return refused('too-few', 'Weigh at least two arrows.', 'massesG');
  if (massesG.some((mass) => !(mass > 0) || !Number.isFinite(mass)))
    return refused('no-mass', 'Every arrow has a mass above nothing.', 'massesG');
  if (wanted !== undefined && (wanted < 1 || wanted > massesG.length))
    return refused('too-many', `There are ${massesG.length} arrows.`, 'wanted');
  const order = massesG
    .map((mass, i) => ({ mass, i }))
    .sort((a, b) => a.mass - b.mass || a.i - b.i);
  const mean = massesG.reduce((sum, mass) => sum + mass, 0) / massesG.length;
  const spread = (from: number, to: number) => order[to]!.mass - order[from]!.mass;
  let best = { from: 0, to: 0, size: 0, spread: Infinity, off: Infinity };
  for (let from = 0; from < order.length; from++) {
    let to = wanted === undefined ? from : from + wanted - 1;
    if (wanted === undefined)
      while (to + 1 < order.length && spread(from, to + 1) <= toleranceG + 1e-9) to++;
    if (to >= order.length) break;
    const size = to - from + 1;
    const off = Math.abs((order[from]!.mass + order[to]!.mass) / 2 - mean);
    const here = { from, to, size, spread: spread(from, to), off };
    const better =
      here.size > best.size ||
      (here.size === best.size &&
        (here.spread < best.spread - 1e-12 ||
          (here.spread < best.spread + 1e-12 && here.off < best.off)));
    if (better) best = here;
  }
  const keep = order.slice(best.from, best.to + 1).map(({ i }) => i);
  const kept = keep.map((i) => massesG[i]!);
  return answered({
    meanG: gram(mean),
    spreadG: gram(spread(0, order.length - 1)),
    keep: keep.sort((a, b) => a - b),
    leaveOut: massesG.map((_, i) => i).filter((i) => !keep.includes(i)),
    keptMeanG: gram(kept.reduce((sum, mass) => sum + mass, 0) / kept.length),
    keptSpreadG: gram(best.spread),
  });
}
