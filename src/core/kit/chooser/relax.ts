import { ROUNDS, type Choice, type Limit } from './limits';

export const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * b[i]!, 0);

/** Prices of the limits that make the relaxation's bound low, by subgradient steps. */
export function relax(places: readonly (readonly Choice[])[], limits: readonly Limit[]): number[] {
  let now = limits.map(() => 0);
  let best = now;
  let least = Infinity;
  const scale = limits.map((_, k) => {
    const uses = places.map((place) =>
      Math.max(...place.map((choice) => Math.abs(choice.uses[k]!))),
    );
    return Math.max(1e-9, ...uses);
  });
  const spread = Math.max(
    1e-9,
    places.reduce((sum, place) => {
      const values = place.map(({ value }) => value);
      return sum + Math.max(...values) - Math.min(...values);
    }, 0),
  );
  let step = 1;
  for (let round = 0; round < ROUNDS && limits.length > 0; round++) {
    const used = limits.map(() => 0);
    let bound = limits.reduce((sum, { most }, k) => sum + now[k]! * most, 0);
    for (const place of places) {
      let top = -Infinity;
      let taken: Choice = place[0]!;
      for (const choice of place) {
        const reduced = choice.value - dot(now, choice.uses);
        if (reduced > top) [top, taken] = [reduced, choice];
      }
      bound += top;
      taken.uses.forEach((use, k) => (used[k]! += use));
    }
    if (bound < least - 1e-12) [least, best] = [bound, now];
    else step *= 0.85;
    // In units of each limit's own scale, so that grams and cents move alike.
    const over = limits.map(({ most }, k) => (used[k]! - most) / scale[k]!);
    const norm = Math.hypot(...over);
    if (norm < 1e-12) break;
    now = now.map((price, k) =>
      Math.max(0, price + (step * spread * over[k]!) / (norm * norm + 1) / scale[k]!),
    );
  }
  return best;
}
