/** A stream of numbers in [0, 1), the same for the same seed. */
export type Random = () => number;

/** Seeded generator (mulberry32, T. Ettinger, public domain): 32 bits of state, period 2³². */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** 32-bit seed of a text (FNV-1a), so that the same id gives the same stream. */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (const char of text) hash = Math.imul(hash ^ char.codePointAt(0)!, 0x01000193);
  return hash >>> 0;
}

/** Standard normal by Box and Muller (Ann. Math. Stat. 29, 1958). */
export function normal(random: Random): number {
  // 1 − u lies in (0, 1]: the logarithm stays finite.
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A new array in random order (Fisher and Yates). */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const list = [...items];
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
